import type { Air } from '../acts/finishSteps';
import { pool, trustIn } from '../learning/pool';

/** One piece that was dried: what was predicted by common practice, how long it took, and from when it was known not to be dry. */
export interface DriedPiece {
  readonly id: string;
  readonly air: Air;
  /** By common practice, h, > 0. */
  readonly predictedH: number;
  /** From being put to dry until it was said to be dry, h, > 0. */
  readonly tookH: number;
  /** The last time it was weighed and still wet, h after it was put to dry; null where it never was. */
  readonly wetAtH: number | null;
}

/** How much a maker's room differs from another's, and one drying from the next: deviation of the logarithm. Common practice. */
const PRIOR_SD = 0.5;
const SHARES = { maker: 0.35, breed: 0, wool: 0.35, piece: 0.3 } as const;
/** Nobody stands beside it: it was found dry some time after it was. */
const FOUND_SD = 0.6;
/** Found between a weighing and the end. */
const WEIGHED_SD = 0.2;
/** Longer than this it was forgotten, and shorter it was a slip. */
const BELIEVED = { least: 0.1, most: 6 } as const;

/** How much longer a maker's pieces take in this air than common practice has it, and how sure that is. */
export interface OwnDrying {
  /** Factor on the hours by common practice, > 0; 1 before anything was dried. */
  readonly factor: number;
  /** Deviation of its logarithm for the next piece. */
  readonly sd: number;
  /** How many of the maker's own dryings it rests on. */
  readonly learntFrom: number;
}

const saidOf = ({ predictedH, tookH, wetAtH }: DriedPiece): { shift: number; variance: number } => {
  if (wetAtH !== null && wetAtH > 0 && wetAtH < tookH) {
    // Dry somewhere between the last wet weighing and the end.
    const shift = Math.log(Math.sqrt(wetAtH * tookH) / predictedH);
    const width = Math.log(tookH / wetAtH) / Math.sqrt(12);
    return { shift, variance: WEIGHED_SD ** 2 + width ** 2 };
  }
  return { shift: Math.log(tookH / predictedH), variance: FOUND_SD ** 2 };
};

/**
 * Learns how long drying takes at this maker's, in each air by itself and pooled: log-normal, normal-normal conjugacy as in
 * `learning/pool`. With few readings it hardly moves. Source of the spreads: common practice.
 */
export const ownDrying = (all: readonly DriedPiece[], air: Air): OwnDrying => {
  const evidence = all
    .filter(
      d =>
        d.predictedH > 0 &&
        d.tookH >= BELIEVED.least * d.predictedH &&
        d.tookH <= BELIEVED.most * d.predictedH,
    )
    .map(d => ({ id: d.id, woolId: d.air, breedId: '', ...saidOf(d) }));
  if (evidence.length === 0) return { factor: 1, sd: PRIOR_SD, learntFrom: 0 };
  const known = { priorVariance: PRIOR_SD ** 2, shares: SHARES, evidence };
  const { shift, variance } = pool(known, { woolId: air, breedId: '' }, trustIn(known));
  return { factor: Math.exp(shift), sd: Math.sqrt(variance), learntFrom: evidence.length };
};

/** Hours until it is dry as this maker's own work has it, four times in five between the two. */
export const dryingRange = (
  hours: number,
  { factor, sd }: OwnDrying,
): { readonly likelyH: number; readonly leastH: number; readonly mostH: number } => {
  const Z80 = 1.2816;
  const likelyH = hours * factor;
  return { likelyH, leastH: likelyH * Math.exp(-Z80 * sd), mostH: likelyH * Math.exp(Z80 * sd) };
};
