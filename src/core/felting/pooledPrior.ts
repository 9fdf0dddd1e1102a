import { type WoolQuery, type Evidence, type LevelShares, pool, TRUSTED, trustIn } from '../learning/pool';
import { type Prior, parameterVector, GENERAL_PRIOR, PARAMETERS } from './feltingModel';
import { infer, type Posterior } from './infer';
import type { FeltingRecord } from './likelihood';

/**
 * How the variance of each of log E, log h, logit ρ, logit(2a − 1), b is shared by maker, breed, wool and piece.
 * Source: docs/model-notes.md, learning across pieces; common practice, by simulation.
 */
const SHARES: readonly LevelShares[] = [
  { maker: 0.25, breed: 0.2, wool: 0.2, piece: 0.35 },
  { maker: 0.3, breed: 0.2, wool: 0.2, piece: 0.3 },
  { maker: 0.2, breed: 0.15, wool: 0.2, piece: 0.45 },
  { maker: 0.4, breed: 0.05, wool: 0.1, piece: 0.45 },
  { maker: 0.3, breed: 0, wool: 0, piece: 0.7 },
];
/** How much more a swatch differs from a piece: deviation of log E. */
const SWATCH_SD = 0.05;
/** How well a tape reads a swatch, of the logarithm of length. */
const READING_SD = 0.015;
/** A piece that says less than this share of what was known before says nothing. */
const LEAST = 0.05;

/** What the log of one finished piece, or a swatch, says of the five: mean and variance of each; null where it says nothing. */
export interface PriorEvidence {
  readonly id: string;
  readonly woolId: string;
  /** Empty when the breed is not known. */
  readonly breedId: string;
  readonly says: ReadonlyArray<{ readonly mean: number; readonly variance: number } | null>;
}

/** Mean and variance of each of the five, as a log has them. */
export const marginals = ({
  particles,
  weights,
}: Posterior): ReadonlyArray<{ readonly mean: number; readonly variance: number }> => {
  const etas = particles.map(w => parameterVector(w.parameters));
  return Array.from({ length: PARAMETERS }, (_, i) => {
    let mean = 0;
    let square = 0;
    etas.forEach((eta, n) => {
      const [w, v] = [weights[n] ?? 0, eta[i] ?? 0];
      mean += w * v;
      square += w * v * v;
    });
    return { mean, variance: Math.max(1e-9, square - mean * mean) };
  });
};

/** Means and variances need fewer points than the ends of a range. */
const POINTS_TO_LEARN = 800;

/** What the log of one finished piece says of the five, inferred from general practice. */
export const saidBy = (record: FeltingRecord): PriorEvidence['says'] =>
  marginals(infer(record, POINTS_TO_LEARN));

/** A fully felted swatch says how far its wool shrinks at the most, and nothing else. */
export const swatchEvidence = (along: number, across: number): PriorEvidence['says'] => {
  const y = -(Math.log(1 - along) + Math.log(1 - across)) / 2;
  return y > 0
    ? [{ mean: Math.log(y), variance: SWATCH_SD ** 2 + (READING_SD / y) ** 2 }, null, null, null, null]
    : [null, null, null, null, null];
};

/** What is believed of the next piece of a wool. */
export interface PooledPrior {
  readonly belief: Prior;
  /** How much of what can be known of the wool comes from the maker's own work, 0 to 1. */
  readonly ownShare: number;
  /** Ids of pieces too odd to be trusted. */
  readonly odd: readonly string[];
}

/** The prior is divided out of what a piece says; null where hardly anything is left. */
const messageOf = (
  said: { readonly mean: number; readonly variance: number },
  prior: { readonly mean: number; readonly variance: number },
): { readonly shift: number; readonly variance: number } | null => {
  const lambda = 1 / said.variance - 1 / prior.variance;
  if (lambda < LEAST / prior.variance) return null;
  return { shift: (said.mean - prior.mean) / said.variance / lambda, variance: 1 / lambda };
};

/** What several alike of one batch say is one piece's word: they share the day, the water and the hands. */
const ofOnePiece = (all: readonly Evidence[]): readonly Evidence[] => {
  const joined = new Map<string, Evidence>();
  for (const e of all) {
    const was = joined.get(e.id);
    const variance = was ? 1 / (1 / was.variance + 1 / e.variance) : e.variance;
    joined.set(
      e.id,
      was ? { ...e, variance, shift: variance * (was.shift / was.variance + e.shift / e.variance) } : e,
    );
  }
  return [...joined.values()];
};

/**
 * Pools what finished pieces and swatches say, parameter by parameter, in closed form over the tree maker, breed, wool, piece.
 * @param all each inferred from the general belief; swatches too, whose variance is their own. Those of one id are one piece's, or one batch's
 */
export const pooledPrior = (
  all: readonly PriorEvidence[],
  asked: WoolQuery,
  isSwatch: (id: string) => boolean = () => false,
): PooledPrior => {
  const mean = [...GENERAL_PRIOR.mean];
  const variance = GENERAL_PRIOR.covariance.map((row, i) => row[i] ?? 0);
  const odd = new Set<string>();
  let ownShare = 0;
  for (let i = 0; i < PARAMETERS; i += 1) {
    const prior = { mean: GENERAL_PRIOR.mean[i] ?? 0, variance: GENERAL_PRIOR.covariance[i]?.[i] ?? 1 };
    const evidence = ofOnePiece(
      all.flatMap(({ id, woolId, breedId, says }): Evidence[] => {
        const said = says[i];
        if (!said) return [];
        const message = isSwatch(id)
          ? { shift: said.mean - prior.mean, variance: said.variance }
          : messageOf(said, prior);
        return message ? [{ id, woolId, breedId, ...message }] : [];
      }),
    );
    const shares = SHARES[i];
    if (evidence.length === 0 || !shares) continue;
    const known = { priorVariance: prior.variance, shares, evidence };
    const trust = trustIn(known);
    for (const [id, t] of trust) if (t < TRUSTED) odd.add(id);
    const pooled = pool(known, asked, trust);
    mean[i] = prior.mean + pooled.shift;
    variance[i] = pooled.variance;
    if (i === 0) ({ ownShare } = pooled);
  }
  return {
    belief: {
      mean,
      covariance: variance.map((v, i) => variance.map((_, j) => (i === j ? v : 0))),
    },
    ownShare,
    odd: [...odd],
  };
};
