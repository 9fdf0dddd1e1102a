/**
 * Units and frames in the type. A length as laid cannot be handed over as a finished one.
 * Lengths are mm, areas mm² (m² where the name says so), mass g, areal weight g/m², density g/cm³,
 * angles degrees from the piece's along axis (0° = along, 90° = across).
 */
declare const unit: unique symbol;

/** A number that carries its unit (and, for lengths and areas, its frame) in the type. */
export type Quantity<U extends string> = number & { readonly [unit]: U };

/** Any length on the piece or the sheet, frame not said. */
export type Mm = Quantity<'mm'>;
/** A length as laid out, before felting. */
export type LaidMm = Quantity<'mm laid'>;
/** A length when the piece is felted and dry. */
export type FinishedMm = Quantity<'mm finished'>;
export type GramsPerCm3 = Quantity<'g/cm3'>;
/** Linear shrinkage, (laid − finished)/laid, in [0, 1). */
export type Shrinkage = Quantity<'linear shrinkage'>;

/** Names the unit of a bare number. The caller vouches for the unit; ranges are checked where they matter. */
const brand =
  <U extends string>() =>
  (value: number): Quantity<U> =>
    value as Quantity<U>;

export const mm = brand<'mm'>();
export const laidMm = brand<'mm laid'>();
export const finishedMm = brand<'mm finished'>();
export const gramsPerCm3 = brand<'g/cm3'>();
export const shrinkage = brand<'linear shrinkage'>();

/** Shrinkage of the two axes of a piece. */
export interface AxisShrinkage {
  readonly along: Shrinkage;
  readonly across: Shrinkage;
}
