/**
 * What a length follows: the felt as it shrinks; a hole, which is as large as it was cut; or a hole drawn over a fist, which is as
 * large as the felt gives.
 */
export type LineKind = 'felt' | 'hole' | 'drawn-over';

/** A length that must fit once the piece is open, finished mm. */
export interface FitSpec {
  readonly id: string;
  readonly name: string;
  readonly wanted: number;
  readonly axis: 'along' | 'across' | 'both';
  readonly how: LineKind;
}
