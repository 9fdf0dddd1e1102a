/** How many layers are laid before the piece is turned over: all of a face, two, or one. Schools differ. */
export const LAY_ORDERS = ['all', 'two', 'one'] as const;
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

/** One step of laying, in the order they are done. */
export interface LayStep {
  /** Stands in the log; the same plan gives the same ids. */
  readonly id: string;
  readonly act: 'make' | 'lay' | 'decorate' | 'grid' | 'wind' | 'wet' | 'cover' | 'flip' | 'fold';
  /** Face, from 1. */
  readonly face: number;
  /** Layer, from 1; only of what is laid. */
  readonly layer?: number;
  /** What is made or laid beside the layers. */
  readonly what?: Decoration;
}

/**
 * How the wool comes together: face by face and turned over between; one sheet on another with a grid between them, never turned; or
 * wound up into a body, heap by heap.
 */
export type LayBuild = 'turned' | 'stacked' | 'wound';

const AT_ONCE: Readonly<Record<LayOrder, number>> = { all: Number.POSITIVE_INFINITY, two: 2, one: 1 };

/**
 * The steps of laying a piece. Over a resist, layers go on a face, are wetted and covered, the piece is flipped, the spill of
 * the face before is folded over, and the next layers go on; a sheet is laid, wetted and covered. Source: common practice.
 * @param of.faces 1 for a sheet, 2 over a resist, of a body its heaps  @param of.layers of each face, whole, ≥ 1
 * @example laySteps({ faces: 1, layers: 2, order: 'all' }).map(s => s.act) // lay, lay, wet, cover
 */
export const laySteps = (of: {
  readonly faces: number;
  readonly layers: number;
  readonly order: LayOrder;
  readonly decorations?: readonly Decoration[];
  /** Turned, when left out. */
  readonly build?: LayBuild;
}): readonly LayStep[] => {
  const { build = 'turned' } = of;
  if (build === 'wound')
    return Array.from({ length: of.faces }, (_, i) => ({ id: `wind.${i + 1}`, act: 'wind', face: i + 1 }));
  const atOnce = build === 'stacked' ? of.layers : Math.min(of.layers, AT_ONCE[of.order]);
  const rounds = Math.ceil(of.layers / atOnce);
  const steps: LayStep[] = [];
  const put = (step: Omit<LayStep, 'id'>, round: number): void => {
    const id = [step.act, step.face, step.what?.id ?? step.layer ?? `r${round + 1}`].join('.');
    steps.push({ id, ...step });
  };
  const decorations = of.decorations ?? [];
  const decorate = (face: number, first: boolean, round: number): void => {
    for (const what of decorations)
      if (what.face === face && what.first === first) put({ act: 'decorate', face, what }, round);
  };
  // A stem is made before all else: its root must be there to be spread into the layers.
  for (const what of decorations) if (what.kind === 'stem') put({ act: 'make', face: what.face, what }, 0);
  for (let round = 0; round < rounds; round += 1)
    for (let face = 1; face <= of.faces; face += 1) {
      const first = round * atOnce;
      if (round === 0) decorate(face, true, round);
      for (let layer = first + 1; layer <= Math.min(of.layers, first + atOnce); layer += 1)
        put({ act: 'lay', face, layer }, round);
      if (round === rounds - 1) decorate(face, false, round);
      if (build === 'stacked' && face < of.faces) {
        put({ act: 'grid', face }, round);
        continue;
      }
      put({ act: 'wet', face }, round);
      put({ act: 'cover', face }, round);
      if (of.faces === 1 || build === 'stacked') continue;
      put({ act: 'flip', face }, round);
      put({ act: 'fold', face }, round);
    }
  return steps;
};

/**
 * Which way the fibres of a layer lie.
 * @param index from 0, the layer laid first
 * @returns degrees from along, or every way
 */
export const fibreDirection = (lay: FibreLay, index: number): 0 | 90 | 'radial' | 'random' =>
  lay === 'crossed' ? (index % 2 === 0 ? 0 : 90) : lay === 'single' ? 0 : lay;
