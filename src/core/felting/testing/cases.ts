import { addWork, type Prior, GENERAL_PRIOR, NO_WORK, type FeltingWork } from '../feltingModel';
import type { FeltingRecord } from '../likelihood';
import raw from './forecastCases.json';

interface Act {
  readonly kind: string;
  readonly n: number;
  readonly q: number;
  readonly dirDeg?: number;
}

/** Figures of a posterior that long Markov chains found: deviations and errors in the unit of the mean. */
export interface Found {
  readonly mean: number;
  readonly sd: number;
  /** At 0.025, 0.1, 0.5, 0.9, 0.975. */
  readonly q: readonly number[];
}

const workOf = (acts: readonly Act[]): FeltingWork =>
  acts.reduce((w, a) => addWork(w, a.n * a.q, a.kind === 'free' ? null : (a.dirDeg ?? 0)), NO_WORK);

/** The reference cases, as the model reads a piece. How they were made stands in the file. */
export const CASES = raw.cases.map(
  ({ id, input, check, posterior, blunderProb, forecastRisk, balancedRollsToTarget0 }) => {
    const { prior } = input;
    const belief: Prior =
      'cov' in prior && prior.cov ? { mean: prior.mu, covariance: prior.cov } : GENERAL_PRIOR;
    const record: FeltingRecord = {
      gaugesDeg: input.phiDeg,
      intervals: input.intervals.map((acts, k) => ({
        work: workOf(acts),
        read: input.phiDeg.map((_, g) => Math.log((input.readings[k]?.[g] ?? 0) / (input.L0[g] ?? 1))),
      })),
      since: NO_WORK,
      belief,
      startSd: 0,
    };
    const figures: Readonly<Record<string, Found | undefined>> = posterior;
    return {
      id,
      record,
      laidCm: input.L0,
      targetCm: input.target,
      future: workOf(input.future),
      check,
      figures,
      blunders: blunderProb,
      risk: forecastRisk,
      rollsToTarget: balancedRollsToTarget0.q,
    };
  },
);
