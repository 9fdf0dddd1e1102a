import type { PartSort } from './partSorts';

/** What a part and a piece say of each other: whether they fit, and what helps. */
export interface JoinAdvice {
  readonly fits: boolean | null;
  readonly text: string;
}

/** How much wider a ball is than its cap: squeezed in, it holds; wider than that it bulges out. Common practice. */
const CAP = { least: 1, most: 1.2 } as const;
/** A brooch back longer than this share of the piece looks out of it. Common practice. */
const BACK = 0.7;
/** A needle's eye takes a wire or cord so thick; a bead of felt stretches to about so much of its width. Common practice. */
const HOLE = 0.15;

const mm = (value: number): string => `${Math.round(10 * value) / 10} mm`;

/**
 * Whether a part fits a piece.
 * @param partMm its size, mm: a cap's inside, a back's length, how thick a wire or cord is; null where it was not said
 * @param pieceMm the least finished measure of the piece across, mm; null where it is not known
 */
export const joinAdvice = (
  sort: PartSort,
  partMm: number | null,
  pieceMm: number | null,
): JoinAdvice | null => {
  switch (sort) {
    case 'cap': {
      if (partMm === null || pieceMm === null)
        return { fits: null, text: 'A ball a little wider than the inside of its cap holds in it.' };
      const ratio = pieceMm / partMm;
      if (ratio < CAP.least)
        return {
          fits: false,
          text: `The ball is ${mm(partMm - pieceMm)} too thin for the cap: it falls out. Take a smaller cap, or glue it.`,
        };
      return ratio <= CAP.most
        ? { fits: true, text: 'The ball is a little wider than its cap: it holds.' }
        : {
            fits: false,
            text: `The ball is ${mm(pieceMm - partMm)} wider than the cap: it bulges out. Take a larger cap.`,
          };
    }
    case 'brooch back':
    case 'clasp':
      if (sort === 'clasp' || partMm === null || pieceMm === null) return null;
      return partMm <= BACK * pieceMm
        ? { fits: true, text: 'The back is hidden behind the piece.' }
        : { fits: false, text: `The back looks out: it should be ${mm(BACK * pieceMm)} at the most.` };
    case 'wire':
    case 'cord':
      if (partMm === null || pieceMm === null)
        return {
          fits: null,
          text: 'The needle’s eye must take it. Let a string in before laying, or leave a stick in while felting.',
        };
      return partMm <= HOLE * pieceMm
        ? { fits: true, text: 'A needle draws it through.' }
        : {
            fits: false,
            text: `It is too thick to be drawn through: leave a stick of ${mm(partMm)} in while felting.`,
          };
    default:
      return null;
  }
};
