import { FORM_KINDS } from '../../forms/kinds/registry';
import type { Polygon } from '../../outline/polygon';
import { newPlan } from '../../plan/newPlan';
import { planOf } from '../../plan/planOf';
import { HALF, lightCheck, type LitPlace } from '../lightCheck';
import { lightPicture, type ScenePlace, somePlaces } from '../lightScene';

/** Small pictures are made sooner, and show as much. */
export const SMALL_PX = 340;

/** The laid outline of every form that light comes through. */
export const LIT_OUTLINES: readonly Polygon[] = FORM_KINDS.flatMap(kind =>
  [kind, ...(kind.also ?? [])].flatMap(offer => {
    const plan = planOf({ ...newPlan(kind, { offer }), pieces: 1 });
    return plan.ok && !plan.value.form.solid ? [plan.value.form.laid.points] : [];
  }),
);

/** What came of many made-up pictures. */
export interface LightFigures {
  readonly scenes: number;
  readonly read: number;
  /** Thin places of 2 to 4 cm at 30 to 50 %, and how many were found. */
  readonly asked: number;
  readonly found: number;
  /** Places told as under half, and how many are. */
  readonly half: number;
  readonly trulyHalf: number;
  /** Pictures of even pieces, and places listed on them. */
  readonly even: number;
  readonly onEven: number;
}

const isAt = (p: ScenePlace, l: LitPlace): boolean =>
  Math.hypot(p.at.x - l.at.x, p.at.y - l.at.y) < Math.max(15, p.acrossMm / 2);

/** Looks at so many scenes of every form, every other one of an even piece. @param seed of the first; others follow */
export const lightFigures = (seed: number, scenes: number): LightFigures => {
  let [read, asked, found, half, trulyHalf, even, onEven] = [0, 0, 0, 0, 0, 0, 0];
  for (let n = seed; n < seed + scenes; n += 1) {
    const outline = LIT_OUTLINES[n % LIT_OUTLINES.length] ?? [];
    const places = n % 2 === 0 ? [] : somePlaces(outline, n);
    const got = lightCheck(lightPicture({ outline: [outline], places, seed: n, longPx: SMALL_PX }), [
      outline,
    ]);
    asked += places.length;
    if (!got.ok) continue;
    read += 1;
    const { places: listed, isTurnUnknown } = got.value;
    const thin = listed.filter(l => l.share < HALF);
    if (places.length === 0) {
      even += 1;
      onEven += listed.length;
      continue;
    }
    half += thin.length;
    // Where a piece looks alike turned round, only how many there are can be compared.
    found += isTurnUnknown
      ? Math.min(places.length, listed.length)
      : places.filter(p => listed.some(l => isAt(p, l))).length;
    trulyHalf += isTurnUnknown
      ? Math.min(places.length, thin.length)
      : thin.filter(l => places.some(p => isAt(p, l))).length;
  }
  return { scenes, read, asked, found, half, trulyHalf, even, onEven };
};
