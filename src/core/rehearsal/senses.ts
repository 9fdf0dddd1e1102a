import { type Act, waterAfter, workOfAct } from '../acts/act';
import type { DrawingMark, Foam, PinchGrade, TestName, Water, Wetness } from '../acts/vocabulary';
import { HOLE } from '../evenness/evenness';
import type { ThinPlace } from '../evenness/thinPlaces';
import { EYE_SD, markSeen } from '../felting/eye';
import { linesNow } from '../forms/fits';
import { gaugeAxis } from '../forms/gaugeAxis';
import type { Gauge } from '../forms/formKind';
import { normal } from '../numeric/random';
import type { Point } from '../outline/polygon';
import { sidesOf } from '../ways/sidesOf';
import { chanceAt } from './chanceAt';
import type { Hidden, Rehearsed } from './hidden';
import type { FeltTruth } from './rehearse';

/** How far a test scatters, as a share of the way to its next grade. Common practice. */
const TEST_SD = 0.06;
/** How far a hole comes out from what was cut, as a logarithm. Common practice. */
const HOLE_SD = 0.01;

/** Wool laid on covers so much round where it was put, mm. Common practice. */
const PATCH_MM = 40;
/** How far wool floats apart where it does, mm. Common practice. */
const FLOATED_MM = 40;

/** The grade, by the values from which each but the first is given. */
const gradeOf = (value: number, from: readonly number[]): number => from.filter(v => value >= v).length;

const least = (values: Iterable<number>): number => Math.min(...values);

/** The chance of this test at this point of the log: the same question asked again with nothing done between has the same answer. */
const scatter = ({ seed }: Hidden, { entries }: FeltTruth, salt: number): number =>
  TEST_SD * normal(chanceAt(seed, 'test', 16 * entries.length + salt));

/** What comes of pinching the skin: of the side that is least far. */
export const pinched = (truth: FeltTruth, hidden: Hidden): PinchGrade => {
  const skin = least(truth.skin.values()) + scatter(hidden, truth, 0);
  if (skin < 0.5) return 0;
  if (skin < 1) return 1;
  return truth.firm + scatter(hidden, truth, 1) / 3 < 1 ? 2 : 3;
};

/** Where light comes through: where it was laid thin and no wool was laid on since, and where it floated apart. On the laid outline, mm. */
export const litPlaces = (
  { faults, entries }: FeltTruth,
  { spots = [] }: Hidden,
): ReadonlyArray<{ readonly at: Point; readonly acrossMm: number; readonly isHole: boolean }> => {
  const laidOn = entries.flatMap(({ act }) => (act.kind === 'addWool' ? [act.at] : []));
  const isPatched = (s: ThinPlace): boolean =>
    laidOn.some(p => p === null || Math.hypot(p.x - s.at.x, p.y - s.at.y) < s.acrossMm / 2 + PATCH_MM);
  return [
    ...spots
      .filter(s => !isPatched(s))
      .map(s => ({ at: s.at, acrossMm: s.acrossMm, isHole: s.share < HOLE })),
    ...faults.flatMap(f =>
      f.fault === 'thin' && !f.isMended && f.at ? [{ at: f.at, acrossMm: FLOATED_MM, isHole: f.isFast }] : [],
    ),
  ];
};

/** What comes of any other test. */
export const tested = (test: TestName, truth: FeltTruth, hidden: Hidden): number => {
  const skin = least(truth.skin.values()) + scatter(hidden, truth, 2);
  const firm = truth.firm + scatter(hidden, truth, 3) / 3;
  const way = truth.progress + scatter(hidden, truth, 4) / 3;
  switch (test) {
    case 'finger':
      return gradeOf(skin, [1]);
    case 'pull':
      return gradeOf(skin, [0.7, 1.3]);
    case 'light': {
      const lit = litPlaces(truth, hidden);
      return lit.some(p => p.isHole) ? 0 : lit.length > 0 ? 1 : 2;
    }
    case 'squeeze':
      return gradeOf(firm, [0.3, 0.65, 1, 1.15]);
    case 'cloth':
      return skin < 1 ? 0 : gradeOf(firm, [1]) + 1;
    case 'bend':
      return gradeOf(firm, [0.35, 0.75, 1]);
    case 'resist':
      return gradeOf(way, [0.25, 0.75]);
  }
};

/** How long water stays as warm as it was poured, min. Common practice, in a room. */
const COOLS: Readonly<Record<Water, readonly [warm: number, cold: number]>> = {
  hot: [10, 30],
  warm: [0, 20],
  cold: [0, 0],
};
const MINUTE_MS = 60_000;

/** How warm the water is to the hand by now; null where none was poured yet. @param at.nowMs ms since 1970  @param at.msOf reads a stored time */
export const waterFelt = (
  { entries }: FeltTruth,
  at: { readonly nowMs: number; readonly msOf: (iso: string) => number },
): Water | null => {
  const poured = entries.findLast(({ act }) => waterAfter(act) !== null);
  const was = poured && waterAfter(poured.act);
  if (!poured || !was) return null;
  const minutes = (at.nowMs - at.msOf(poured.at)) / MINUTE_MS;
  const [warm, cold] = COOLS[was];
  return minutes >= cold ? 'cold' : minutes >= warm ? 'warm' : was;
};

/** Wettings that one side stands before water stands on it. Common practice. */
const MOST_WET = 2;
/** How often the side was wetted that was wetted most. */
const mostWettings = (entries: FeltTruth['entries']): number => {
  const wetted = new Map<number, number>();
  for (const { act } of entries)
    if (act.kind === 'wet') wetted.set(act.face, (wetted.get(act.face) ?? 0) + 1);
  return Math.max(0, ...wetted.values());
};

/** How wet it lies there: dry in places, wet all through, or with pools on it. */
export const wetnessSeen = ({ entries }: FeltTruth, { form, way }: Rehearsed): Wetness => {
  const wetted = new Set(entries.flatMap(({ act }) => (act.kind === 'wet' ? [act.face] : [])));
  const faces = sidesOf(form, way);
  if (faces.some(f => !wetted.has(f))) return 'dry';
  return mostWettings(entries) > MOST_WET ? 'pools' : 'right';
};

/** Reference rolls after which the soap is worked out of it. Common practice. */
const SOAP_LASTS = 400;

/** How it foams: nothing to feel where it was never wetted or long ago, too much where it was wetted over and over. */
export const foamSeen = ({ entries }: FeltTruth): Foam => {
  const last = entries.findLastIndex(({ act }) => act.kind === 'wet');
  if (last < 0) return 'none';
  const since = entries.slice(last).reduce((sum, { act }) => sum + (workOfAct(act, 'hot')?.rolls ?? 0), 0);
  if (since > SOAP_LASTS) return 'none';
  return mostWettings(entries) > MOST_WET ? 'much' : 'right';
};

/** What a tape reads of every line that can be measured now, mm by its id. */
export const taped = (
  truth: FeltTruth,
  hidden: Hidden,
  { form }: Rehearsed,
): Readonly<Record<string, number>> => {
  const { modelled, measurable, openings } = linesNow(form, truth.state.isCut);
  const felt = modelled.slice(0, measurable).map(g => {
    const at = truth.lines.findIndex(l => l.id === g.id);
    return [g.id, Math.round(g.laidMm * (truth.taped[at] ?? 1))] as const;
  });
  const holes = openings.map((g, n) => {
    const off = HOLE_SD * normal(chanceAt(hidden.seed, 'hole', n));
    return [g.id, Math.round(g.wantedMm * Math.exp(off))] as const;
  });
  return Object.fromEntries([...felt, ...holes]);
};

/** Where an eye sees the edge of some lines against the drawing. */
const seen = (truth: FeltTruth, lines: readonly Gauge[], off: number): DrawingMark => {
  const mean = (value: (g: Gauge) => number): number =>
    lines.reduce((sum, g) => sum + value(g), 0) / lines.length;
  const now = mean(g => Math.log(truth.shares[truth.lines.findIndex(l => l.id === g.id)] ?? 1));
  return markSeen(
    now + EYE_SD * off,
    mean(g => Math.log(g.wantedMm / g.laidMm)),
    mean(g => g.laidMm),
  );
};

/** What a look at the drawing says: each way by itself, where there are lines both ways. */
export const compared = (
  truth: FeltTruth,
  hidden: Hidden,
  { form, way }: Rehearsed,
): Extract<Act, { kind: 'compare' }> => {
  const { modelled } = linesNow(form, truth.state.isCut);
  const linesOf = (axis: 'along' | 'across'): readonly Gauge[] =>
    modelled.filter(g => gaugeAxis(g.directionDeg) === axis);
  const random = chanceAt(hidden.seed, 'eye', truth.entries.length);
  const [along, across] = [linesOf('along'), linesOf('across')];
  // What is worked the same all round is looked at all round, as the bench asks for it.
  if (!way.hasDirections || along.length === 0 || across.length === 0)
    return { kind: 'compare', at: seen(truth, modelled, normal(random)) };
  return {
    kind: 'compare',
    at: seen(truth, along, normal(random)),
    across: seen(truth, across, normal(random)),
  };
};
