import { THIN } from '../evenness/evenness';
import type { Field } from '../evenness/field';
import type { Hand } from '../evenness/hand';
import { TIDINESS, type Tidiness, USUAL_ROWS } from '../evenness/shingle';
import type { LayoutAsk } from '../evenness/simulateLayout';
import { type ThinPlace, thinPlaces } from '../evenness/thinPlaces';
import { wayToLay } from '../evenness/waysToLay';
import type { Plan } from '../plan/makePlan';
import { type FibreLay, fibreDirection } from '../wool/layOrder';
import { chanceAt } from './chanceAt';
import type { Hidden } from './hidden';

/** How tidily the hidden hand laid, by chance: each up to its bound. Common practice; nothing was counted. */
const HANDS: ReadonlyArray<readonly [bound: number, Tidiness]> = [
  [0.25, 'very-tidy'],
  [0.75, 'tidy'],
  [1, 'hasty'],
];
/** What an eye finds against a window: wool runs out at the rim, and what is smaller than this is not seen, mm. Common practice. */
const SEEN = { rimMm: 25, leastMm: 15, smoothMm: 10 } as const;

/**
 * The layout of the first side of a made-up piece, as its hidden hand laid it: to be simulated once, off the main thread. Null where nothing
 * is weighed, or where it is a solid: no light comes through that.
 * @param of.isScattered tufts lie every way, as of a batt
 */
export const hiddenLayout = (
  { form, weigh, values }: Plan,
  { seed }: Pick<Hidden, 'seed'>,
  of: { readonly hand: Hand; readonly fibres: FibreLay; readonly isScattered: boolean },
): LayoutAsk | null => {
  const [face] = weigh?.faces ?? [];
  const plannedGsm = values.arealLaid ?? 0;
  if (!face || form.solid || !(plannedGsm > 0)) return null;
  const random = chanceAt(seed, 'layout');
  const drawn = random();
  const [, tidy = 'tidy'] = HANDS.find(([bound]) => drawn < bound) ?? [];
  const wool = form.faces[0]?.wool ?? [];
  const planned = Math.max(1, face.layers.length);
  const { layers, hand } = wayToLay({
    grams: face.grams,
    planned,
    layers: planned,
    hand: of.hand,
    directionOf: n => fibreDirection(of.fibres, n),
  });
  return {
    rings: wool.length > 0 ? wool : [form.laid.points],
    layers,
    hand,
    rows: of.isScattered ? null : { ...USUAL_ROWS, jitter: TIDINESS[tidy] },
    plannedGsm,
    seed: Math.floor(random() * 2 ** 31),
    runs: 1,
  };
};

/** Where the light comes through a layout, thinnest first. @param of.foldOverMm so much along its outline is folded over to the other side */
export const paleSpots = (of: {
  readonly field: Field;
  readonly plannedGsm: number;
  readonly foldOverMm: number;
}): readonly ThinPlace[] =>
  thinPlaces(of.field, {
    shouldGsm: of.plannedGsm,
    under: THIN,
    ...SEEN,
    rimMm: SEEN.rimMm + of.foldOverMm,
  });
