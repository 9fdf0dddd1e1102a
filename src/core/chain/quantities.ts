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
export type ChainValues = Readonly<Record<ChainQuantity, number>>;
export type PartialChain = Readonly<Partial<Record<ChainQuantity, number>>>;

/** What the form and the school bring to the chain. */
export interface ChainContext {
  /** Shrinkage across divided by shrinkage along, > 0. */
  readonly acrossRatio: number;
  /** Faces that are laid: 1 for a flat sheet, 2 on a resist. */
  readonly faces: number;
  /** η, the share of the laid wool that is in the dry piece, in (0, 1]. */
  readonly keptShare: number;
  /** Laid wool area in m², fold-over included, for a finished reference size in mm and a shrinkage. */
  readonly laidAreaM2: (sizeMm: number, s: AxisShrinkage) => number;
  /** The reference measure of the form as drawn, mm: where the search for a size starts. */
  readonly nominalSizeMm: number;
}
