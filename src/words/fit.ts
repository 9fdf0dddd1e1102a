import { type Fit, nextLarger } from '../core/finishing/fit';

/** What a fit asks of the next one; null where it is right, or nobody said. */
export const fitAdvice = (fit: Fit | null): string | null => {
  const larger = fit === null ? 0 : nextLarger(fit);
  if (larger === 0) return null;
  const percent = (100 * Math.abs(larger)).toFixed(1);
  return `It was ${fit}: plan the next about ${percent} % ${larger < 0 ? 'smaller' : 'larger'}.`;
};
