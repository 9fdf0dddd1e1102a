import { isFelt } from '../forms/fits';
import type { FormPlan, Gauge } from '../forms/formKind';
import { isReadable } from './gaugesRead';
import type { PhotoAsked } from './photoAsked';

/** How much smaller than wanted, and larger than laid, a piece may be and still be believed. Common practice. */
const SHARES = { ofWanted: 0.86, ofLaid: 1.12 } as const;
/** Wet felt that is not firm yet is thicker than it will be. Common practice. */
const WET = 1.4;
/** Where a plan says nothing: common practice, mm. */
const USUAL_MM = 3;

/**
 * What a picture of a piece is asked for, but for what lies beside it.
 * @param gauges lines that can be measured now  @param wallMm thickness of the finished felt; of what is usual where it is not known
 */
export const askedOf = (
  form: FormPlan,
  gauges: readonly Gauge[],
  wallMm: number | null,
): Omit<PhotoAsked, 'reference' | 'piece' | 'card'> => {
  const outline = form.laid.points;
  return {
    outline,
    lines: gauges
      .filter(isFelt)
      .map(({ id, from, to }) => ({ id, from, to }))
      .filter(line => isReadable(outline, line)),
    shares: [
      SHARES.ofWanted * Math.min(...form.gauges.filter(isFelt).map(g => g.wantedMm / g.laidMm)),
      SHARES.ofLaid,
    ],
    // What is hollow lies double.
    thickMm: WET * Math.max(1, form.faces.length) * (wallMm ?? USUAL_MM),
  };
};
