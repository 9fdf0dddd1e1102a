/**
 * Learning across pieces, in closed form. A true value is the general one plus what the maker, the breed, the wool and
 * the piece each add; every part is normal, and its share of the whole variance is given. Readings of finished pieces
 * pass upwards, widened at each level by that level's variance, are added where branches meet, and come down to the
 * wool that is asked about. Source: docs/model-notes.md; normal-normal conjugacy.
 */

/** Shares of the prior variance at each level; they sum to 1. */
export interface LevelShares {
  readonly maker: number;
  readonly breed: number;
  readonly wool: number;
  readonly piece: number;
}

/** One finished thing that says something: of which wool, what it read, and how uncertain that reading is. */
export interface Evidence {
  readonly id: string;
  readonly woolId: string;
  /** Empty when the breed is not known: such a wool stands by itself. */
  readonly breedId: string;
  /** Reading less what is generally expected of that breed. */
  readonly shift: number;
  /** Variance of the reading itself, > 0. */
  readonly variance: number;
}

/** What is known, before it is asked about any one wool. */
export interface PooledEvidence {
  /** Variance before anything is known, > 0. */
  readonly priorVariance: number;
  readonly shares: LevelShares;
  readonly evidence: readonly Evidence[];
}

/** The wool that is asked about. */
export interface WoolQuery {
  readonly woolId: string;
  readonly breedId: string;
}

/** What is expected of the next piece of a wool. */
export interface PooledEstimate {
  /** Shift of its mean from what is generally expected. */
  readonly shift: number;
  /** Variance of the next piece about that mean. */
  readonly variance: number;
  /** How much of what can be known of the wool comes from the maker's own work, 0 to 1. */
  readonly ownShare: number;
}

/** A message: precision, and precision times mean. */
interface Message {
  readonly lambda: number;
  readonly eta: number;
}
const NOTHING: Message = { lambda: 0, eta: 0 };

const plus = (a: Message, b: Message): Message => ({ lambda: a.lambda + b.lambda, eta: a.eta + b.eta });
const sum = (all: readonly Message[]): Message => all.reduce(plus, NOTHING);
/** Through a level of variance V: Λ/(1 + ΛV), H/(1 + ΛV). */
const through = ({ lambda, eta }: Message, variance: number): Message => ({
  lambda: lambda / (1 + lambda * variance),
  eta: eta / (1 + lambda * variance),
});

const groups = <T>(items: readonly T[], keyOf: (item: T) => string): ReadonlyMap<string, readonly T[]> => {
  const found = new Map<string, T[]>();
  for (const item of items) {
    const group = found.get(keyOf(item));
    if (group) group.push(item);
    else found.set(keyOf(item), [item]);
  }
  return found;
};

const breedKey = (e: WoolQuery): string => (e.breedId === '' ? `wool ${e.woolId}` : e.breedId);

/** How far each reading is trusted, 0 to 1, by id; 1 where it is not named. */
export type Trust = ReadonlyMap<string, number>;

/** Mean and variance of the wool itself, before what a piece adds; messages weighed by how far each is trusted. */
const ofWool = (
  { shares, priorVariance, evidence }: PooledEvidence,
  of: WoolQuery,
  trust: Trust,
): Message => {
  const at = (level: keyof LevelShares): number => shares[level] * priorVariance;
  const fromPieces = (items: readonly Evidence[]): Message =>
    sum(
      items.map(e => {
        const lambda = (trust.get(e.id) ?? 1) / e.variance;
        return through({ lambda, eta: lambda * e.shift }, at('piece'));
      }),
    );
  const fromWools = (items: readonly Evidence[]): Message =>
    sum([...groups(items, e => e.woolId).values()].map(wool => through(fromPieces(wool), at('wool'))));
  const breeds = groups(evidence, breedKey);
  const own = breedKey(of);
  const others = sum(
    [...breeds].flatMap(([key, items]) => (key === own ? [] : [through(fromWools(items), at('breed'))])),
  );
  // Down again: the maker as the general prior and all other breeds have it, then this breed, then this wool.
  const maker = plus({ lambda: 1 / at('maker'), eta: 0 }, others);
  const siblings = (breeds.get(own) ?? []).filter(e => e.woolId !== of.woolId);
  const breed = plus(through(maker, at('breed')), fromWools(siblings));
  return plus(through(breed, at('wool')), fromPieces(evidence.filter(e => e.woolId === of.woolId)));
};

/** Densities of a sound and of an odd reading: nine in ten sound; an odd one is four times as far out (common practice). */
const trustOf = (z: number): number => {
  const sound = 0.9 * Math.exp((-z * z) / 2);
  const odd = 0.025 * Math.exp((-z * z) / 32);
  return sound / (sound + odd);
};

/** Readings less trusted than this are told of as odd. */
export const TRUSTED = 0.5;

/**
 * How far each reading is trusted, by how far it lies from what all the others foretell. The oddest is judged first, and
 * no longer speaks against the others.
 */
export const trustIn = (known: PooledEvidence): Trust => {
  const judged = new Map<string, number>();
  const trust = (e: Evidence): number => {
    const others = { ...known, evidence: known.evidence.filter(other => other !== e) };
    const { lambda, eta } = ofWool(others, e, judged);
    const variance = 1 / lambda + known.shares.piece * known.priorVariance + e.variance;
    return trustOf((e.shift - eta / lambda) / Math.sqrt(variance));
  };
  for (;;) {
    const open = known.evidence.filter(e => !judged.has(e.id)).map(e => ({ id: e.id, trust: trust(e) }));
    const oddest = open.toSorted((a, b) => a.trust - b.trust)[0];
    if (!oddest || oddest.trust >= TRUSTED)
      return new Map([...judged, ...open.map(o => [o.id, o.trust] as const)]);
    judged.set(oddest.id, oddest.trust);
  }
};

/**
 * What finished work says of the next piece of a wool.
 * @param trust of each reading, as `trustIn` has it
 * @returns with no evidence, no shift and the prior variance
 */
export const pool = (known: PooledEvidence, asked: WoolQuery, trust: Trust): PooledEstimate => {
  const { lambda, eta } = ofWool(known, asked, trust);
  const piece = known.shares.piece * known.priorVariance;
  return {
    shift: eta / lambda,
    variance: 1 / lambda + piece,
    ownShare: Math.max(0, 1 - 1 / lambda / (known.priorVariance - piece)),
  };
};
