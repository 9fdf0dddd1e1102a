/** How a finished piece fits whoever or whatever it is for. */
export const FITS = ['loose', 'right', 'tight'] as const;
export type Fit = (typeof FITS)[number];

/** A step from loose to right, or from tight: two centimetres of a head of 57. Common practice. */
const STEP = 0.035;

/** What a fit asks of the next one; null where it is right, or nobody said. */
export const fitAdvice = (fit: Fit | null): string | null =>
  fit === null || fit === 'right'
    ? null
    : `It was ${fit}: plan the next about ${(100 * STEP).toFixed(1)} % ${fit === 'loose' ? 'smaller' : 'larger'}.`;
