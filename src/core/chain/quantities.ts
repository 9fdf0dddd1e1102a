import type { AxisShrinkage } from '../quantity';

/**
 * The links of the chain, in the order a felter reads them.
 * size and laidSize: mm of the form's reference measure; shrinkage: linear, along; arealLaid: g/m²;
 * grams: g in all; layers: per face; gramsPerLayer: g per face and layer; thickness: mm; firmness: g/cm³.
 */
export const CHAIN = [
  'size',
  'shrinkage',
  'laidSize',
  'grams',
  'arealLaid',
  'layers',
  'gramsPerLayer',
  'thickness',
  'firmness',
] as const;

export type ChainQuantity = (typeof CHAIN)[number];
export type PartialChain = Readonly<Partial<Record<ChainQuantity, number>>>;

/** The links of a solid: it has no layers and no wall. */
const SOLID_CHAIN = ['size', 'shrinkage', 'laidSize', 'grams', 'firmness'] as const;
type SolidLink = (typeof SOLID_CHAIN)[number];

/** A chain in which every link is known; a solid's lacks the links of a wall. */
export type ChainValues = PartialChain & Readonly<Record<SolidLink, number>>;

/** The links that a body has. */
export const linksOf = (body: 'sheet' | 'solid'): readonly ChainQuantity[] =>
  body === 'sheet' ? CHAIN : SOLID_CHAIN;

/** What the form and the school bring to the chain. */
export interface ChainContext {
  /** Shrinkage across divided by shrinkage lengthwise, > 0. */
  readonly acrossRatio: number;
  readonly body: 'sheet' | 'solid';
  /** How many alike are made; the grams are for all of them. */
  readonly pieces: number;
  /** Faces that are laid: 1 for a flat sheet, 2 on a resist. */
  readonly faces: number;
  /** η, the share of the laid wool that is in the dry piece, in (0, 1]. */
  readonly keptShare: number;
  /** Laid wool area in m², fold-over included, for a finished reference size in mm and a shrinkage. */
  readonly laidAreaM2: (sizeMm: number, s: AxisShrinkage) => number;
  /** For a solid: volume in cm³ of the wool of one piece when finished, for a finished size in mm and a shrinkage. */
  readonly volumeCm3: (sizeMm: number, s: AxisShrinkage) => number;
  /** Whether that volume is another at another shrinkage: a stem's dry fan. */
  readonly volumeNeedsShrinkage: boolean;
  /** The reference measure of the form as drawn, mm: where the search for a size starts. */
  readonly nominalSizeMm: number;
}
