import { duration } from '../core/acts/actWords';

/** How much more, at the tenths: in rolls or minutes; infinite where it may never be reached. */
interface Range {
  readonly low: number;
  readonly middle: number;
}

/** More rolls than this are not predicted to a figure. */
const MOST_ROLLS = 1000;
/** Nor more minutes. */
const MOST_MINUTES = 300;

const tens = (rolls: number): number => Math.round(rolls / 10) * 10;

/**
 * How many rolls are still to do.
 * @param way which way, or nothing
 * @example rollsToGo({ low: 190, middle: 330 }, 'crosswise') // 'about 330 crosswise, 190 at least'
 */
export const rollsToGo = ({ low, middle }: Range, way: string): string => {
  const more = middle > MOST_ROLLS ? `over ${MOST_ROLLS}` : `about ${tens(middle)}`;
  const least = tens(low) > 0 ? `${tens(Math.min(low, MOST_ROLLS))} at least` : 'or none';
  return `${[more, way].filter(Boolean).join(' ')}, ${least}`;
};

/** How many minutes are still to do. @example minutesToGo({ low: 8.4, middle: 12 }) // 'about 12 min, 8 min at least' */
export const minutesToGo = ({ low, middle }: Range): string => {
  const more =
    middle > MOST_MINUTES
      ? `over ${duration(MOST_MINUTES)}`
      : `about ${duration(Math.max(1, Math.round(middle)))}`;
  const least = low < 1 ? 'or none' : `${duration(Math.round(Math.min(low, MOST_MINUTES)))} at least`;
  return `${more}, ${least}`;
};
