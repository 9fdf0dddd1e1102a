import { measure, type Measures } from './formKind';

/** Most places a felter would measure by hand. */
const MOST = 40;

/** A piece has two ends. */
const FEWEST = 2;

/** The numbers of the places that a list of measures holds, told by one of their two figures. */
export const indexes = (m: Measures, by: string): number[] =>
  Array.from({ length: MOST }, (_, i) => i + 1).filter(i => m[`${by}${i}`] !== undefined);

/** One place more, as far beyond the last as that lies beyond the one before; null at the most. */
export const morePlaces = (m: Measures, along: string, wide: string): Measures | null => {
  const [before, last] = indexes(m, wide).slice(-2);
  if (before === undefined || last === undefined || last >= MOST) return null;
  const at = (i: number): number => measure(m, `${along}${i}`);
  return {
    ...m,
    [`${along}${last + 1}`]: 2 * at(last) - at(before),
    [`${wide}${last + 1}`]: measure(m, `${wide}${last}`),
  };
};

/** Without the last place; null at the fewest. */
export const withoutPlace = (m: Measures, along: string, wide: string): Measures | null => {
  const last = indexes(m, wide).at(-1) ?? 0;
  const kept = Object.entries(m).filter(([id]) => id !== `${along}${last}` && id !== `${wide}${last}`);
  return last > FEWEST ? Object.fromEntries(kept) : null;
};

/** Why a list of places cannot be: too few, or one that lies before the one it follows; null when it can. */
export const objectToPlaces = (m: Measures, along: string, wide: string): string | null => {
  const list = indexes(m, wide);
  if (list.length < FEWEST) return 'You need at least two places.';
  const back = list.findIndex((i, at) => {
    const before = list[at - 1];
    return before !== undefined && !(measure(m, `${along}${i}`) > measure(m, `${along}${before}`));
  });
  return back > 0 ? `Place ${back + 1} must be further along than place ${back}.` : null;
};
