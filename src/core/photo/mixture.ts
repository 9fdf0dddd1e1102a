/** What places of one kind look like: some bells, each along every figure by itself. */
export interface Mixture {
  readonly bells: readonly Bell[];
}
interface Bell {
  readonly share: number;
  readonly mean: Float64Array;
  readonly variance: Float64Array;
  /** Half of one over each variance. */
  readonly tight: Float64Array;
  /** Logarithm of its height: what does not change from place to place. */
  readonly height: number;
}

const bellOf = (share: number, mean: Float64Array, variance: Float64Array): Bell => ({
  share,
  mean,
  variance,
  tight: variance.map(v => 0.5 / v),
  height: Math.log(share) - 0.5 * variance.reduce((sum, v) => sum + Math.log(2 * Math.PI * v), 0),
});

/** No figure is known better than this; keeps a bell from closing in on a few places alike. */
const LEAST_SD = 0.03;
const ROUNDS = 9;

const logBell = ({ height, mean, tight }: Bell, of: ArrayLike<number>, at: number): number => {
  let sum = height;
  for (let d = 0; d < mean.length; d += 1) {
    const off = (of[at + d] ?? 0) - (mean[d] ?? 0);
    sum -= off * off * (tight[d] ?? 0);
  }
  return sum;
};

/** Beside the likeliest bell one that is less likely by this, as a logarithm, counts for nothing. */
const NOTHING = 30;

/** Logarithm of how likely a place looks as it does. @param at where its figures begin in `of` */
export const logLikely = ({ bells }: Mixture, of: Float32Array, at: number): number => {
  let [top, sum] = [Number.NEGATIVE_INFINITY, 0];
  for (const bell of bells) {
    const l = logBell(bell, of, at);
    if (l > top) {
      sum = top < l - NOTHING ? 1 : sum * Math.exp(top - l) + 1;
      top = l;
    } else if (l > top - NOTHING) sum += Math.exp(l - top);
  }
  return top + Math.log(sum);
};

/** Places that a mixture is fitted to: their figures one after the other. */
interface Places {
  readonly count: number;
  readonly figures: number;
  readonly looks: Float64Array;
}

/** No more places than this are looked at; every so manieth of more. */
const MOST = 2000;

/** Some of the places, in order of their first figure. */
const placesOf = (of: Float32Array, starts: readonly number[], figures: number): Places => {
  const every = Math.max(1, Math.floor(starts.length / MOST));
  const few = starts.filter((_, i) => i % every === 0).toSorted((a, b) => (of[a] ?? 0) - (of[b] ?? 0));
  const looks = new Float64Array(few.length * figures);
  few.forEach((at, i) => looks.set(of.subarray(at, at + figures), i * figures));
  return { count: few.length, figures, looks };
};

/** The bell that fits places by how much each belongs to it. */
const fitted = ({ count, figures, looks }: Places, weights: Float64Array): Bell => {
  let total = 1e-9;
  for (const w of weights) total += w;
  const mean = new Float64Array(figures);
  const variance = new Float64Array(figures);
  for (let d = 0; d < figures; d += 1) {
    let sum = 0;
    for (let i = 0; i < count; i += 1) sum += (weights[i] ?? 0) * (looks[i * figures + d] ?? 0);
    const middle = sum / total;
    let squares = 0;
    for (let i = 0; i < count; i += 1) {
      const off = (looks[i * figures + d] ?? 0) - middle;
      squares += (weights[i] ?? 0) * off * off;
    }
    mean[d] = middle;
    variance[d] = squares / total + LEAST_SD ** 2;
  }
  return bellOf(total / count, mean, variance);
};

/** How much each place belongs to each bell, written into `belongs`. */
const shareOut = (
  { count, figures, looks }: Places,
  bells: readonly Bell[],
  belongs: readonly Float64Array[],
): void => {
  const logs = new Float64Array(bells.length);
  for (let i = 0; i < count; i += 1) {
    let top = Number.NEGATIVE_INFINITY;
    bells.forEach((bell, k) => {
      const l = logBell(bell, looks, i * figures);
      logs[k] = l;
      if (l > top) top = l;
    });
    let sum = 0;
    for (let k = 0; k < logs.length; k += 1) {
      const off = (logs[k] ?? 0) - top;
      const part = off < -NOTHING ? 0 : Math.exp(off);
      logs[k] = part;
      sum += part;
    }
    belongs.forEach((weights, k) => {
      weights[i] = (logs[k] ?? 0) / sum;
    });
  }
};

/**
 * Fits bells to places by expectation and maximisation, begun from places in order of their first figure: the same places give the same bells.
 * @param starts where each place's figures begin in `of`  @param figures how many each has
 */
export const mixtureOf = (
  of: Float32Array,
  starts: readonly number[],
  { figures, bells: count }: { readonly figures: number; readonly bells: number },
): Mixture => {
  const places = placesOf(of, starts, figures);
  const n = places.count;
  const belongs = Array.from({ length: count }, (_, k) =>
    Float64Array.from({ length: n }, (_place, i) =>
      Number(Math.min(count - 1, Math.floor((i * count) / n)) === k),
    ),
  );
  let bells = belongs.map(weights => fitted(places, weights));
  for (let round = 0; round < ROUNDS; round += 1) {
    shareOut(places, bells, belongs);
    bells = belongs.map(weights => fitted(places, weights));
  }
  return { bells };
};

/** The same places in a shadow: so much darker, on their first figure, and not known how much. */
export const shaded = ({ bells }: Mixture, share: number): Mixture => ({
  bells: [
    ...bells.map(b => bellOf(b.share * (1 - share), b.mean, b.variance)),
    ...bells.map(b =>
      bellOf(
        b.share * share,
        b.mean.map((m, d) => (d === 0 ? m - 0.3 : m)),
        b.variance.map((v, d) => (d === 0 ? v + 0.02 : v)),
      ),
    ),
  ],
});
