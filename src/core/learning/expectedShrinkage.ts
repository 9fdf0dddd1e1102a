import { USUAL } from '../plan/usual';
import type { Felts } from '../wool/breeds';
import { type WoolQuery, type Evidence, type LevelShares, pool, TRUSTED, trustIn } from './pool';

/**
 * What is generally expected, all common practice: felters plan 20–50 % linear loss, most often a third. Reckoned as
 * y = −ln(1 − s), in which shares of length add up.
 */
export const GENERAL_SHRINKAGE = { mean: -Math.log(1 - USUAL.shrinkage), sd: 0.12 } as const;
/** How a fibre that felts more or less readily differs from the general; common practice. */
const BREED_SHIFT: Readonly<Record<Felts, number>> = {
  quick: 0.06,
  well: 0,
  slowly: -0.1,
  hardly: -0.27,
  never: -0.35,
};
/** Shares of the variance: maker, breed, wool, piece. Source: docs/model-notes.md, learning across pieces. */
export const SHARES: LevelShares = { maker: 0.25, breed: 0.2, wool: 0.2, piece: 0.35 };
/** How well a tape reads a dry piece, and how much more a swatch differs from a piece; of y. */
const READING_SD = 0.015;
const SWATCH_SD = 0.05;
/** Four in five lie within so many standard deviations of a normal law. */
const FOUR_IN_FIVE = 1.2816;

/** Shrinkage that was measured, each way; a direction that was not is null. */
export interface ShrinkageReading {
  readonly id: string;
  readonly name: string;
  readonly woolId: string;
  readonly breedId: string;
  readonly felts: Felts | null;
  readonly isSwatch: boolean;
  readonly along: number | null;
  readonly across: number | null;
}

/** Expected linear shrinkage of the next piece: the middle, and the range it lies in four times out of five. */
export interface ShrinkageRange {
  readonly mean: number;
  readonly least: number;
  readonly most: number;
}

/** The wool that is asked about, and how readily its fibre felts; null where that is not known. */
export interface WoolTraits extends WoolQuery {
  readonly felts: Felts | null;
}

export interface Expectation {
  readonly along: ShrinkageRange;
  readonly across: ShrinkageRange;
  /** How much of what can be known of this wool is from the maker's own work, 0 to 1. */
  readonly ownShare: number;
  /** Ids of pieces and swatches too odd to be trusted, in either direction. */
  readonly odd: readonly string[];
}

const toShrinkage = (y: number): number => Math.max(0, 1 - Math.exp(-y));
const generally = (felts: Felts | null): number =>
  GENERAL_SHRINKAGE.mean + (felts === null ? 0 : BREED_SHIFT[felts]);

type Axis = 'along' | 'across';

/** Evidence of one direction, each reading less what is generally expected of its fibre. */
const evidenceOf = (shown: readonly ShrinkageReading[], axis: Axis): Evidence[] =>
  shown.flatMap(s => {
    const share = s[axis];
    if (share === null || !(share > -1 && share < 0.95)) return [];
    const { id, woolId, breedId } = s;
    const variance = READING_SD ** 2 + (s.isSwatch ? SWATCH_SD ** 2 : 0);
    return [{ id, woolId, breedId, shift: -Math.log(1 - share) - generally(s.felts), variance }];
  });

/** What one direction says of any wool. */
const learner = (shown: readonly ShrinkageReading[], axis: Axis) => {
  const known = {
    priorVariance: GENERAL_SHRINKAGE.sd ** 2,
    shares: SHARES,
    evidence: evidenceOf(shown, axis),
  };
  const trust = trustIn(known);
  return {
    odd: [...trust].flatMap(([id, t]) => (t < TRUSTED ? [id] : [])),
    of: (asked: WoolTraits): ShrinkageRange & { readonly ownShare: number } => {
      const { shift, variance, ownShare } = pool(known, asked, trust);
      const middle = generally(asked.felts) + shift;
      const reach = FOUR_IN_FIVE * Math.sqrt(variance);
      return {
        mean: toShrinkage(middle),
        least: toShrinkage(middle - reach),
        most: toShrinkage(middle + reach),
        ownShare,
      };
    },
  };
};

/** Answers what is expected of a wool, from everything that was finished, of it and of others. */
export const shrinkageLearner = (shown: readonly ShrinkageReading[]): ((of: WoolTraits) => Expectation) => {
  const [along, across] = [learner(shown, 'along'), learner(shown, 'across')];
  const odd = [...new Set([...along.odd, ...across.odd])];
  return asked => {
    const [a, b] = [along.of(asked), across.of(asked)];
    return { along: a, across: b, ownShare: (a.ownShare + b.ownShare) / 2, odd };
  };
};
