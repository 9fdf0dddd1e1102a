import { allowanceSpec, measure, type Measures, type MeasureSpec } from './formKind';

/** A measure of felt for a metal cap: a little larger than the cap, all over. */
export const overCap = (m: Measures, id: string): number => measure(m, id) + measure(m, 'over');

/** How much larger than its cap; 0 where it has none. @param what what is made, as a word of the hint */
export const capSpec = (what: string): MeasureSpec =>
  allowanceSpec('over', 'Larger than its cap', {
    hint: `a felt ${what} for a metal cap is made a little larger`,
    max: 20,
  });
