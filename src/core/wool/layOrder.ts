import { type Habits, habitOf } from '../ways/habits';
import type { LayBuild } from '../ways/layBuild';

/**
 * How many layers are laid before the piece is turned over: all of a side, two, one, two and then one; or all of them on one side,
 * laid wide and closed over the resist. Schools differ.
 */
export const LAY_ORDERS = ['all', 'two', 'one', 'two-one', 'wide'] as const;
export type LayOrder = (typeof LAY_ORDERS)[number];

/** Which way fibres lie: each layer across the one before, all one way, from the middle outwards, or at random. */
export const FIBRE_LAYS = ['crossed', 'single', 'radial', 'random'] as const;
export type FibreLay = (typeof FIBRE_LAYS)[number];

/** What is laid with the wool: a motif of yarn, locks or prefelt; a fibre that does not felt; a stem or cord made before. */
export const DECORATION_KINDS = ['motif', 'silk', 'stem'] as const;

export interface Decoration {
  readonly id: string;
  readonly kind: (typeof DECORATION_KINDS)[number];
  readonly name: string;
  /** Face it lies on, from 1. */
  readonly face: number;
  /** True where it is laid before the first layer and so lies face down: then it is mirrored. */
  readonly first: boolean;
  /** What it is taken from on the shelf; null where it is not from the shelf. */
  readonly woolId: string | null;
  /** g of it for one piece; null where it is not weighed. */
  readonly grams: number | null;
}

/** What is done in a step of laying. What it is called stands in `src/words/laying.ts`. */
export type LayAct =
  | 'make'
  | 'lay'
  | 'decorate'
  | 'grid'
  | 'wet'
  | 'cover'
  | 'flip'
  | 'fold'
  /** Laid wide: the resist is put on, and the wool closed over it. */
  | 'place'
  | 'close'
  /** Round a ball: blown up, laid and felted in rounds, a loop let in at the top. */
  | 'blow'
  | 'felt'
  | 'loop'
  /** A body: wound up, wadded, wrapped like a parcel, tacked with a needle, put into its stocking. */
  | 'wind'
  | 'wad'
  | 'wrap'
  | 'tack'
  | 'bag'
  /** A strip for a tube: plastic under it, rolled up and bound. */
  | 'plastic'
  | 'roll-up'
  /** A cord: twisted, its tip wetted. */
  | 'twist'
  | 'tip';

/** One step of laying, in the order they are done. */
export interface LayStep {
  /** Stands in the log; the same plan gives the same ids. */
  readonly id: string;
  readonly act: LayAct;
  /** Face, from 1; of a body, its heap. */
  readonly face: number;
  /** Layer, from 1; only of what is laid. */
  readonly layer?: number;
  /** True where the wool of every face goes on at once. */
  readonly isWide?: true;
  /** What is made or laid beside the layers. */
  readonly what?: Decoration;
}

interface LaySpec {
  /** Of a sheet 1, over a resist 2, of a body its heaps. */
  readonly faces: number;
  /** Layers of each face, whole, ≥ 1. */
  readonly layers: number;
  readonly order: LayOrder;
  readonly decorations?: readonly Decoration[];
  /** Turned, when left out. */
  readonly build?: LayBuild;
  readonly habits?: Habits;
}

/** Rounds of laying on a ball, with rubbing between them; common practice: two or three. */
const MOST_ROUNDS = 3;

/** How many layers go on in each round before the piece is turned, or felted. */
const roundsOf = ({ layers, order, build = 'turned' }: LaySpec): readonly number[] => {
  if (build === 'dabbed') {
    const rounds = Math.min(MOST_ROUNDS, layers);
    return Array.from(
      { length: rounds },
      (_, i) => Math.floor(((i + 1) * layers) / rounds) - Math.floor((i * layers) / rounds),
    );
  }
  if (build !== 'turned' || order === 'all' || order === 'wide') return [layers];
  const first = order === 'one' ? 1 : 2;
  const more = order === 'two' ? 2 : 1;
  const rounds = [Math.min(first, layers)];
  for (let left = layers - first; left > 0; left -= more) rounds.push(Math.min(more, left));
  return rounds;
};

type Put = (step: Omit<LayStep, 'id'>, round?: number) => void;

/** A body of one or two heaps: core and cover. */
const bodySteps = ({ faces, build, habits = {} }: LaySpec, put: Put): void => {
  for (let face = 1; face <= faces; face += 1) {
    const isCover = face > 1;
    if (build === 'twisted') put({ act: 'twist', face });
    else if (isCover) put({ act: 'wrap', face });
    else put({ act: build === 'wrapped' && faces > 1 ? 'wad' : 'wind', face });
  }
  if (habitOf(habits, 'needle') === 'first' && build !== 'twisted') put({ act: 'tack', face: 1 });
  if (build === 'wrapped') put({ act: 'bag', face: 1 });
  if (build === 'twisted') put({ act: 'tip', face: 1 });
};

/** Layers, side by side or round and round. */
const sheetSteps = (of: LaySpec, put: Put): void => {
  const { build = 'turned', habits = {}, order } = of;
  const decorations = of.decorations ?? [];
  const isWide = build === 'turned' && of.faces > 1 && order === 'wide';
  const faces = isWide ? 1 : of.faces;
  const hasCover = habitOf(habits, 'cover') !== 'hands' && build !== 'bare' && build !== 'dabbed';
  const decorate = (face: number, first: boolean, round: number): void => {
    for (const what of decorations)
      if ((isWide || what.face === face) && what.first === first) put({ act: 'decorate', face, what }, round);
  };
  if (build === 'dabbed') put({ act: 'blow', face: 1 });
  if (build === 'strip') put({ act: 'plastic', face: 1 });
  const rounds = roundsOf(of);
  let laid = 0;
  rounds.forEach((count, round) => {
    const isLast = round === rounds.length - 1;
    for (let face = 1; face <= faces; face += 1) {
      if (round === 0) decorate(face, true, round);
      for (let layer = laid + 1; layer <= laid + count; layer += 1)
        put({ act: 'lay', face, layer, ...(isWide ? { isWide } : {}) }, round);
      if (isLast) decorate(face, false, round);
      if (build === 'stacked' && face < faces) {
        put({ act: 'grid', face }, round);
        continue;
      }
      if (isWide) {
        put({ act: 'place', face }, round);
        put({ act: 'close', face }, round);
      }
      if (build === 'dabbed' && isLast) put({ act: 'loop', face }, round);
      put({ act: 'wet', face }, round);
      if (hasCover) put({ act: 'cover', face }, round);
      if (build === 'dabbed' && !isLast) put({ act: 'felt', face }, round);
      if (build === 'strip') put({ act: 'roll-up', face }, round);
      if (faces === 1 || build !== 'turned') continue;
      put({ act: 'flip', face }, round);
      put({ act: 'fold', face }, round);
    }
    laid += count;
  });
};

/**
 * The steps of laying a piece. Over a resist, layers go on a face, are wetted and covered, the piece is flipped, the overhang of
 * the face before is folded over, and the next layers go on; a sheet is laid, wetted and covered. Source: common practice.
 * @example laySteps({ faces: 1, layers: 2, order: 'all' }).map(s => s.act) // lay, lay, wet, cover
 */
export const laySteps = (of: LaySpec): readonly LayStep[] => {
  const { build = 'turned' } = of;
  const steps: LayStep[] = [];
  const isBody = build === 'wound' || build === 'wrapped' || build === 'twisted';
  const put: Put = (step, round = 0) => {
    const id = isBody
      ? `${step.act}.${step.face}`
      : [step.act, step.face, step.what?.id ?? step.layer ?? `r${round + 1}`].join('.');
    steps.push({ id, ...step });
  };
  // A stem is made before all else: its root must be there to be spread into the layers.
  for (const what of of.decorations ?? [])
    if (what.kind === 'stem' && !isBody) put({ act: 'make', face: what.face, what });
  if (isBody) bodySteps(of, put);
  else sheetSteps(of, put);
  return steps;
};

/**
 * Which way the fibres of a layer lie.
 * @param index from 0, the layer laid first
 * @returns degrees from along, or every way
 */
export const fibreDirection = (lay: FibreLay, index: number): 0 | 90 | 'radial' | 'random' =>
  lay === 'crossed' ? (index % 2 === 0 ? 0 : 90) : lay === 'single' ? 0 : lay;

/** Wool that has no one direction is laid in tufts every way. */
const SCATTERED: ReadonlySet<string> = new Set(['batt', 'fleece']);

/** Whether it is laid in tufts every way: what has no one direction, and all that is laid on a ball. @param woolForm as the shelf has it: tops, batt, fleece … */
export const isScattered = ({ outlineIs }: { readonly outlineIs: string }, woolForm: string): boolean =>
  outlineIs === 'ball' || SCATTERED.has(woolForm);
