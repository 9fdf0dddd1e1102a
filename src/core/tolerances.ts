/** Every tolerance of the core, in one place, each with its unit and why. */

/** Relative size of a disagreement between pins below which they are taken to agree: a tape reads 1 mm in 500. */
export const PIN_AGREEMENT = 0.005;
/** A root is found when the residual, or the bracket relative to its middle, is this small: far below a scale or tape. */
export const ROOT_RELATIVE = 1e-10;
/** An area found by the polygon library is known to about this share; no root is sought beyond it. */
export const AREA_RELATIVE = 1e-6;
/** Largest shrinkage the solver looks for. */
export const MAX_SHRINKAGE = 0.95;
/** Arc tolerance of offsets, mm: far below what a pen on plastic can follow. */
export const OFFSET_ARC_MM = 0.05;
/** Decimal places of a millimetre kept by the polygon library. */
export const OFFSET_DECIMALS = 4;
/** A gauge within this share of the wanted length counts as there (common practice: 3 %). */
export const SIZE_TOLERANCE = 0.03;
/** Two directions whose progress differs by more than this are called lopsided (common practice). */
export const LOPSIDED_PROGRESS = 0.12;
/** Edge ÷ middle above which the edge is to be worked more than the rest, and above which a form is warned of (design figures). */
export const EDGE_SURPLUS = { tells: 1.1, warns: 1.25 } as const;
/** A reading that is this much longer than the one before is questioned (common practice). */
export const GREW_QUESTION = 0.03;
/** A curve is drawn as straight pieces no further than this from it, mm: finer than a pen on plastic. */
export const CURVE_FLATNESS_MM = 0.05;
/** Points of an outline closer than this are one and the same, mm. */
export const SAME_POINT_MM = 0.001;
/** An outline that encloses less is no piece of felt, mm². */
export const SMALLEST_OUTLINE_MM2 = 1;
/** The largest outline, mm: as long as a large table. */
export const LARGEST_OUTLINE_MM = 5000;
/** The most points an outline may be read with; it is thinned to what a pen can follow. */
export const MOST_OUTLINE_POINTS = 200_000;
/** An outline read from a file is thinned as long as it moves no further than this, mm. */
export const THINNED_MM = 0.05;
/** Points of an outline that move its fold-over by less than this are left out of the offset, mm. */
export const FOLD_THINNED_MM = 0.05;
/** The same while something is dragged, as a share of its size: what the eye cannot see on the table. */
export const DRAGGED_FINENESS = 0.001;
/** The most points of an outline that is kept and edited; more are thinned when it is read in. */
export const MOST_DRAWN_POINTS = 2000;
