import type { PartSort } from './partSorts';

/** Whether a part fits a piece: why or why not, and by how much, mm; `mind` where nothing was measured. */
export type Join =
  | { readonly is: 'holds' | 'hidden' | 'drawn' }
  | { readonly is: 'falls-out' | 'bulges' | 'shows' | 'too-thick'; readonly mm: number }
  | { readonly is: 'mind-cap' | 'mind-thread' };

/** How much wider a ball is than its cap: squeezed in, it holds; wider than that it bulges out. Common practice. */
const CAP = { least: 1, most: 1.2 } as const;
/** A brooch back longer than this share of the piece looks out of it. Common practice. */
const BACK = 0.7;
/** A wire or cord up to this share of a bead is drawn through with a needle. Common practice. */
const HOLE = 0.15;

/**
 * Whether a part fits a piece; null where nothing is to be said of it.
 * @param partMm its size, mm: a cap's inside, a back's length, how thick a wire or cord is; null where it was not said
 * @param pieceMm the least finished measure of the piece across, mm; null where it is not known
 */
export const joinOf = (sort: PartSort, partMm: number | null, pieceMm: number | null): Join | null => {
  const isKnown = partMm !== null && pieceMm !== null;
  switch (sort) {
    case 'cap':
      if (!isKnown) return { is: 'mind-cap' };
      if (pieceMm < CAP.least * partMm) return { is: 'falls-out', mm: partMm - pieceMm };
      return pieceMm <= CAP.most * partMm ? { is: 'holds' } : { is: 'bulges', mm: pieceMm - partMm };
    case 'brooch back':
      if (!isKnown) return null;
      return partMm <= BACK * pieceMm ? { is: 'hidden' } : { is: 'shows', mm: BACK * pieceMm };
    case 'wire':
    case 'cord':
      if (!isKnown) return { is: 'mind-thread' };
      return partMm <= HOLE * pieceMm ? { is: 'drawn' } : { is: 'too-thick', mm: partMm };
    default:
      return null;
  }
};

/** Whether it does not fit. */
export const isMisfit = (join: Join): boolean => 'mm' in join;
