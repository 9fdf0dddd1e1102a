import { gaugeAxis } from '../forms/gaugeAxis';
import type { FeltTruth } from './rehearse';

/** The mean of a figure over the lines of one axis; null where there are none. */
export const meanOfAxis = (
  { lines, shares }: FeltTruth,
  axis: 'along' | 'across',
  figure: (line: FeltTruth['lines'][number], share: number) => number,
): number | null => {
  const own = lines.flatMap((l, i) =>
    gaugeAxis(l.directionDeg) === axis ? [figure(l, shares[i] ?? 1)] : [],
  );
  return own.length === 0 ? null : own.reduce((a, b) => a + b, 0) / own.length;
};

/** How much longer, and how much thinner, a solid is that has become a sausage. Common practice. */
const SAUSAGE = { along: 1.3, across: 0.88 } as const;

/** How long and wide it is seen to be by now: what went wrong with its shape shows. */
export const shapeNow = (truth: FeltTruth): { readonly along: number; readonly across: number } => {
  const now = sharesNow(truth);
  const isLong = truth.faults.some(f => f.fault === 'sausage' && !f.isMended);
  return isLong ? { along: SAUSAGE.along * now.along, across: SAUSAGE.across * now.across } : now;
};

/** How long and wide it is by now, as shares of what was laid; where it has lines one way only, that goes for both. */
export const sharesNow = (truth: FeltTruth): { readonly along: number; readonly across: number } => {
  const way = (axis: 'along' | 'across'): number | null => meanOfAxis(truth, axis, (_, share) => share);
  const [along, across] = [way('along'), way('across')];
  return { along: along ?? across ?? 1, across: across ?? along ?? 1 };
};
