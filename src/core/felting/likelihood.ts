import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import {
  type Prior,
  driftSd,
  FELTING,
  type FeltParameters,
  growInPlace,
  guessSd,
  type LineDirection,
  lineAt,
  logLength,
  logLoss,
  NO_WORK,
  PARAMETERS,
  parametersOf,
  stretchInto,
  sumWork,
  type Tensor,
  type FeltingWork,
} from './feltingModel';
import { normalCdf } from '../numeric/normalCdf';
import type { LogRange } from './drawingRange';
import { logLikelihood } from './readings';

/** What was done and measured of one piece. */
export interface FeltingRecord {
  /** Directions of the measuring lines, degrees from along. */
  readonly gaugesDeg: readonly number[];
  /** From one measuring to the next, the work before it, and log(reading/laid) of each gauge; null where it was not read. */
  readonly intervals: ReadonlyArray<{
    readonly work: FeltingWork;
    readonly read: ReadonlyArray<number | null>;
    /**
     * Between which lengths the mean of the gauges was seen against the drawing: of those named, by their places, or of all. Left out
     * where it was measured.
     */
    readonly within?: LogRange & { readonly of?: readonly number[] };
    /** Of readings that say how far they may be off, as from a picture: their deviation beside that of a tape, of the logarithm. */
    readonly own?: ReadonlyArray<number | null>;
  }>;
  /** Work since the last measuring. */
  readonly since: FeltingWork;
  readonly belief: Prior;
  /** Where the laid edge is fuzzy: the deviation of each gauge’s own start; 0 where it is sharp. */
  readonly startSd: number;
}

/** A piece as one set of values has it: its parameters, where its work has brought it, and the vigour of the hands now. */
export interface Particle {
  readonly parameters: FeltParameters;
  readonly tensor: Tensor;
  readonly logVigour: number;
  /** Of each gauge, how much longer it was laid than was thought, as a logarithm. */
  readonly starts: readonly number[];
}

/**
 * Intervals share one vigour where there are very many, so that there is not more to learn than there are readings to learn it
 * from.
 */
const MOST_VIGOURS = 16;

/** For each interval, which vigour it has; and the work that a vigour spans. */
const vigoursOf = (
  works: readonly FeltingWork[],
): { readonly of: readonly number[]; readonly sd: readonly number[] } => {
  const per = Math.max(1, Math.ceil(works.length / MOST_VIGOURS));
  const of = works.map((_, k) => Math.floor(k / per));
  const last = of.at(-1) ?? 0;
  const sd = Array.from({ length: last }, (_, g) =>
    driftSd(works.filter((_w, k) => of[k] === g + 1).reduce(sumWork)),
  );
  return { of, sd };
};

/** Lower triangular root of a covariance. Throws where it is none. */
export const choleskyOf = (covariance: ReadonlyArray<readonly number[]>): Matrix => {
  const root = new CholeskyDecomposition(new Matrix(covariance.map(row => [...row])));
  if (!root.isPositiveDefinite()) throw new Error('The covariance is not positive definite.');
  return root.lowerTriangularMatrix;
};

const { readingSd, blunders } = FELTING;

/** How far an eye is off at the edge of a range, and how likely any range is to one that did not look. Common practice. */
const EYE_SD = 0.03;
const BLIND = 0.15;

const ACROSS = lineAt(90);
/** Work that is less oblique than this share of it moves a length by no more: far below any reading. */
const OBLIQUE = 1e-9;
const NO_STARTS: readonly number[] = [];

/**
 * The problem of what is not known of a piece: a vector of standard normal deviates before anything was measured (whitened):
 * the five parameters, the drift of vigour from one measuring to the next, the gauges’ own starts, and counts that were guessed.
 * @param waits whether it is taken for a felt that waits
 */
export const likelihoodProblem = (record: FeltingRecord, waits = false) => {
  const { gaugesDeg, intervals, belief, startSd } = record;
  const root = Float64Array.from(choleskyOf(belief.covariance).to1DArray());
  const mean = Float64Array.from(belief.mean);
  const eta = new Float64Array(PARAMETERS);
  const lines: readonly LineDirection[] = gaugesDeg.map(lineAt);
  // Lines of one direction have one length: it is worked out once after each interval.
  const ways = [...new Set(gaugesDeg)];
  const wayLines = ways.map(lineAt);
  const areAxes = ways.every(deg => deg === 0 || deg === 90);
  const wayLengths = new Float64Array(ways.length);
  const wayOf = Uint8Array.from(gaugesDeg, deg => ways.indexOf(deg));
  const vigours = vigoursOf(intervals.map(i => i.work));
  const drifts = vigours.sd.length;
  const starts = startSd > 0 && intervals.length > 0 ? gaugesDeg.length : 0;
  /** Of each interval, the deviation of a guessed count and which unknown it is; a count that is certain needs none. */
  const guesses = intervals.map(i => guessSd(i.work));
  const guessAt = guesses.map((sd, k) => (sd > 0 ? guesses.slice(0, k).filter(s => s > 0).length : -1));
  const starting = PARAMETERS + drifts;
  const guessing = starting + starts;
  const dimensions = guessing + guesses.filter(sd => sd > 0).length;
  const works = intervals.map(i => i.work);
  const read = intervals.flatMap((interval, k) =>
    interval.read.flatMap((value, gauge) =>
      value === null
        ? []
        : [{ interval: k, gauge, value, sd: Math.hypot(readingSd, interval.own?.[gauge] ?? 0) }],
    ),
  );
  const ranges = intervals.flatMap(({ within }, k) => (within ? [{ interval: k, ...within }] : []));
  const allLines = gaugesDeg.map((_, g) => g);
  const rangeTo = Int32Array.from(intervals, (_, k) => ranges.filter(r => r.interval <= k).length);
  const rangeLengths = new Float64Array(ranges.length);
  const places = read.map(({ interval, gauge }) => ({ interval, gauge }));
  const readings = read.length;
  // Laid out flat: one answer walks through them some thousand times.
  const values = Float64Array.from(read, r => r.value);
  const sharps = Float64Array.from(read, r => 1 / r.sd);
  const wayAt = Uint8Array.from(read, r => wayOf[r.gauge] ?? 0);
  const gaugeAt = Uint8Array.from(read, r => r.gauge);
  const readTo = Int32Array.from(works, (_, k) => read.filter(r => r.interval <= k).length);
  const vigourAt = Int32Array.from(vigours.of);
  const tensor = { xx: 0, xy: 0, yy: 0 };
  const stretch = { mean: 1, cos: 0, sin: 0 };
  const push = { share: 0.5, vigour: 1 };

  /** Mean of some lines, of the lengths worked out last. */
  const meanLength = (of: readonly number[]): number => {
    let sum = 0;
    for (const g of of) sum += wayLengths[wayOf[g] ?? 0] ?? 0;
    return sum / of.length;
  };

  const parametersAt = (x: Float64Array): FeltParameters => {
    for (let i = 0; i < PARAMETERS; i += 1) {
      let value = mean[i] ?? 0;
      for (let j = 0; j <= i; j += 1) value += (root[PARAMETERS * i + j] ?? 0) * (x[j] ?? 0);
      eta[i] = value;
    }
    return parametersOf(eta, waits);
  };

  /** What the hands were worth when the last walk ended, as a logarithm, and its parameters; its work stands in `tensor`. */
  const ended = { logVigour: 0, parameters: parametersAt(new Float64Array(dimensions)) };
  const felt = { parameters: ended.parameters, tilt: 1 };

  /** Writes the length of each way as the work stands in `tensor`. */
  const measureWays = (): void => {
    const { parameters, tilt } = felt;
    // Along and across are the principal lines of most work there is: nothing has to be turned.
    if (areAxes && Math.abs(tensor.xy) < OBLIQUE * (tensor.xx + tensor.yy)) {
      for (let w = 0; w < wayLengths.length; w += 1)
        wayLengths[w] = -logLoss(ways[w] === 0 ? tensor.xx * tilt : tensor.yy / tilt, parameters);
      return;
    }
    stretchInto(tensor, felt, stretch);
    for (let w = 0; w < wayLengths.length; w += 1) wayLengths[w] = logLength(stretch, wayLines[w] ?? ACROSS);
  };

  /** Walks through the log and writes of each reading, in order, how many deviations it lies off. */
  const walk = (x: Float64Array, off: Float64Array): void => {
    const parameters = parametersAt(x);
    tensor.xx = 0;
    tensor.xy = 0;
    tensor.yy = 0;
    push.share = parameters.share;
    felt.parameters = parameters;
    felt.tilt = Math.exp(parameters.bias);
    let logVigour = 0;
    let own = 0;
    let i = 0;
    let r = 0;
    for (let k = 0; k < works.length; k += 1) {
      const next = vigourAt[k] ?? 0;
      if (next !== own) {
        logVigour += (vigours.sd[next - 1] ?? 0) * (x[PARAMETERS + next - 1] ?? 0);
        own = next;
      }
      const at = guessAt[k] ?? -1;
      const more = at < 0 ? 0 : (guesses[k] ?? 0) * (x[guessing + at] ?? 0);
      push.vigour = Math.exp(logVigour + more);
      growInPlace(tensor, works[k] ?? NO_WORK, push);
      const end = readTo[k] ?? 0;
      const rangeEnd = rangeTo[k] ?? 0;
      if (i < end || r < rangeEnd) measureWays();
      for (; i < end; i += 1) {
        const start = starts === 0 ? 0 : startSd * (x[starting + (gaugeAt[i] ?? 0)] ?? 0);
        off[i] = ((values[i] ?? 0) - start - (wayLengths[wayAt[i] ?? 0] ?? 0)) * (sharps[i] ?? 1);
      }
      for (; r < rangeEnd; r += 1) rangeLengths[r] = meanLength(ranges[r]?.of ?? allLines);
    }
    ended.logVigour = logVigour;
    ended.parameters = parameters;
  };

  /** How likely it is that each range was seen, were the lengths those of the last walk: now and then it was no good look. */
  const logRanges = (): number => {
    let sum = 0;
    for (let n = 0; n < ranges.length; n += 1) {
      const { low = 0, high = 0 } = ranges[n] ?? {};
      const length = rangeLengths[n] ?? 0;
      const seen = normalCdf((high - length) / EYE_SD) - normalCdf((low - length) / EYE_SD);
      sum += Math.log((1 - blunders) * seen + blunders * BLIND);
    }
    return sum;
  };

  const startsAt = (x: Float64Array): readonly number[] =>
    lines.map((_, g) => startSd * (x[starting + g] ?? 0));

  const scratch = new Float64Array(readings);
  const logPosterior = (x: Float64Array): number => {
    walk(x, scratch);
    let value = logLikelihood(scratch) + logRanges();
    for (let i = 0; i < dimensions; i += 1) value -= (x[i] ?? 0) ** 2 / 2;
    return value;
  };

  /** The world of the values that were walked last. */
  const particleOf = (x: Float64Array): Particle => ({
    parameters: ended.parameters,
    tensor: { xx: tensor.xx, xy: tensor.xy, yy: tensor.yy },
    logVigour: ended.logVigour,
    starts: starts === 0 ? NO_STARTS : startsAt(x),
  });

  /** Deviations of all readings, in the order of the log; behind them those of the ranges from their middles. */
  const residuals = (
    x: Float64Array,
    found: Float64Array = new Float64Array(readings + ranges.length),
  ): Float64Array => {
    walk(x, found);
    ranges.forEach(({ low, high }, n) => {
      const sd = Math.hypot(EYE_SD, (high - low) / Math.sqrt(12));
      found[readings + n] = ((low + high) / 2 - (rangeLengths[n] ?? 0)) / sd;
    });
    return found;
  };

  return { dimensions, readings, looks: ranges.length, places, logPosterior, particleOf, residuals };
};

export type LikelihoodProblem = ReturnType<typeof likelihoodProblem>;
