import type { FeltingRecord, Particle } from './likelihood';
import {
  driftSd,
  grow,
  type LineDirection,
  lineAt,
  logLength,
  stretchOf,
  sumWork,
  type FeltingWork,
  guessSd,
} from './feltingModel';
import type { Posterior } from './infer';

/** Quantiles of a figure: the middle, and the ranges that hold it 80 and 95 times in a hundred. */
export interface Range {
  readonly mean: number;
  readonly sd: number;
  readonly low95: number;
  readonly low80: number;
  readonly median: number;
  readonly high80: number;
  readonly high95: number;
}

const QUANTILES = [0.025, 0.1, 0.5, 0.9, 0.975] as const;

/** @param values one to a world @param weights summing to 1 */
export const rangeOf = (values: Float64Array, weights: Float64Array): Range => {
  const order = Array.from(values.keys()).toSorted((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  let mean = 0;
  values.forEach((v, n) => {
    mean += v * (weights[n] ?? 0);
  });
  let variance = 0;
  values.forEach((v, n) => {
    variance += (weights[n] ?? 0) * (v - mean) ** 2;
  });
  const found: number[] = [];
  let sum = 0;
  for (const n of order) {
    sum += weights[n] ?? 0;
    while (found.length < QUANTILES.length && sum >= (QUANTILES[found.length] ?? 1))
      found.push(values[n] ?? 0);
  }
  const last = values[order.at(-1) ?? 0] ?? 0;
  const [low95 = last, low80 = last, median = last, high80 = last, high95 = last] = found;
  return { mean, sd: Math.sqrt(variance), low95, low80, median, high80, high95 };
};

/** Vigour of the hands in the time since the last measuring; before the first, it is what all is reckoned against. */
const vigourOf = (particle: Particle, drift: { readonly z: number; readonly sd: number }): number =>
  Math.exp(particle.logVigour + drift.z * drift.sd);

/** How the felt of one world lies after more work. */
export const stretchAfter = (
  particle: Particle,
  work: FeltingWork,
  drift: { readonly z: number; readonly sd: number },
) =>
  stretchOf(
    grow(particle.tensor, work, { share: particle.parameters.share, vigour: vigourOf(particle, drift) }),
    particle.parameters,
  );

/**
 * No felt is quite as the model has it: what lies ahead is held for so much less sure than its drift alone. Chosen by
 * `npm run calibrate`, so that ranges hold in worlds that are not the model's; docs/model-notes.md has the figures.
 */
const WIDER = 1.2;

/** How much the hands may have changed since a measuring, before the first not at all; and what was guessed of the work. */
export const driftAfter = (record: FeltingRecord, work: FeltingWork): number =>
  Math.hypot(
    // What was never measured was done with hands as they were each time: by feel that is all there is to go by.
    record.intervals.length > 0 ? WIDER * driftSd(work) : work.guessed > 0 ? driftSd(work) : 0,
    WIDER * guessSd(work),
  );

/** Length of each gauge as a share of what it was thought to be laid, world by world, after more work. */
export const sharesAfter = (
  record: FeltingRecord,
  posterior: Posterior,
  future: FeltingWork,
): readonly Float64Array[] => {
  const work = sumWork(record.since, future);
  const sd = driftAfter(record, work);
  const lines: readonly LineDirection[] = record.gaugesDeg.map(lineAt);
  const shares = lines.map(() => new Float64Array(posterior.particles.length));
  posterior.particles.forEach((particle, n) => {
    const stretch = stretchAfter(particle, work, { z: posterior.drifts[n] ?? 0, sd });
    lines.forEach((line, g) => {
      const own = shares[g];
      if (own) own[n] = Math.exp(logLength(stretch, line) + (particle.starts[g] ?? 0));
    });
  });
  return shares;
};
