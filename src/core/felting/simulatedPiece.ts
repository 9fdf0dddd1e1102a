import { normal, type Random } from '../numeric/random';
import {
  type Prior,
  driftSd,
  FELTING,
  type FeltParameters,
  GENERAL_PRIOR,
  grow,
  lineAt,
  logLength,
  logLoss,
  NO_WORK,
  parametersOf,
  sumWork,
  type Tensor,
  type FeltingWork,
  ZERO,
} from './feltingModel';
import { choleskyOf, type Particle } from './likelihood';

/** How a made-up felt differs from what the model takes for granted. */
export interface Oddity {
  /** Vigour from measuring to measuring: as the model has it (1), steady (0), or wilder. */
  readonly drift?: number;
  /** Share of readings that are blunders. */
  readonly blunders?: number;
  /** Deviation of what each gauge was really laid at, as a logarithm. */
  readonly startSd?: number;
  /** How the logarithm of length is lost under work, where it is not as the model has it. */
  readonly lost?: (lambda: number, p: FeltParameters) => number;
}

/** Nothing at all happens at first, for this share of the lag; then it goes at a steady rate towards the limit. */
const delayed =
  (part: number): Oddity['lost'] =>
  (lambda, { limit, halfWork, lag }) => {
    const delay = part * lag * halfWork;
    return limit * (1 - Math.exp((-Math.LN2 * Math.max(0, lambda - delay)) / (halfWork - delay)));
  };

/** The worlds that the model is tried in, as docs/model-notes.md lists them. */
export const ODD_WORLDS: Readonly<Record<string, Oddity>> = {
  'as the model has it': {},
  steady: { drift: 0 },
  'hard delay': { lost: delayed(0.3) },
  'hard delay, a third shorter': { lost: delayed(0.2) },
  'another shape of the lag': {
    lost: (lambda, { limit, halfWork, lag }) =>
      limit * (1 - Math.exp(-Math.LN2 * (Math.max(0, lambda) / halfWork) ** (1 + lag))),
  },
  'drift of another kind': { drift: 0.6 },
  '8 % blunders': { blunders: 0.08 },
  'start misread by 2.5 %': { startSd: 0.025 },
  'all of these together': { lost: delayed(0.3), drift: 0.6, blunders: 0.08, startSd: 0.025 },
};

/** A made-up piece: what is true of it, and how a felter finds it. */
export interface SimulatedPiece {
  readonly parameters: FeltParameters;
  /** Does work, as vigorously as the hands are by now. */
  readonly work: (work: FeltingWork) => void;
  /** log(L/laid) of each gauge, as it truly is. */
  readonly truth: () => readonly number[];
  /** How it would truly be after more work, with the hands as they will be; nothing is done. */
  readonly predicted: (work: FeltingWork) => readonly number[];
  /** The same as a tape reads it. The next work is done with other vigour. */
  readonly measure: () => readonly number[];
}

/** @param gaugesDeg directions of the measuring lines, degrees from along */
export const simulatedPiece = (
  random: Random,
  gaugesDeg: readonly number[],
  of: {
    readonly odd?: Oddity;
    readonly belief?: Prior;
    /** Where it goes on from, as the model has a real piece; from what is laid when left out. */
    readonly from?: Particle;
  } = {},
): SimulatedPiece => {
  const { odd = {}, belief = GENERAL_PRIOR, from } = of;
  const root = choleskyOf(belief.covariance);
  const u = belief.mean.map(() => normal(random));
  const drawn = parametersOf(
    belief.mean.map((m, i) => m + u.reduce((sum, v, j) => sum + root.get(i, j) * v, 0)),
  );
  const parameters = from?.parameters ?? drawn;
  const drawnStarts = gaugesDeg.map(() => (odd.startSd ?? 0) * normal(random));
  const starts = from && from.starts.length > 0 ? from.starts : drawnStarts;
  const lines = gaugesDeg.map(lineAt);
  const lostAt = odd.lost ?? logLoss;
  let tensor: Tensor = from?.tensor ?? ZERO;
  let since = NO_WORK;
  let logVigour = from?.logVigour ?? 0;
  // Before the first measuring the hands are what all is reckoned against; of a piece that goes on they are as they come.
  let innovation = from ? normal(random) : 0;
  let before: Tensor = tensor;
  const truth = (): readonly number[] => {
    const tilt = Math.exp(parameters.bias);
    const [w11, w22, w12] = [tensor.xx * tilt, tensor.yy / tilt, tensor.xy];
    const t = (w11 + w22) / 2;
    const s = (w11 - w22) / 2;
    const r = Math.hypot(s, w12) || 1e-12;
    const [g1, g2] = [t + r, t - r].map(v => Math.exp(-2 * lostAt(v, parameters)));
    const half = ((g1 ?? 1) - (g2 ?? 1)) / (2 * r);
    const stretch = { mean: ((g1 ?? 1) + (g2 ?? 1)) / 2, cos: half * s, sin: half * w12 };
    return lines.map((line, i) => logLength(stretch, line) + (starts[i] ?? 0));
  };
  const work = (more: FeltingWork): void => {
    since = sumWork(since, more);
    const vigour = Math.exp(logVigour + innovation * driftSd(since) * (odd.drift ?? 1));
    tensor = grow(before, since, { share: parameters.share, vigour });
  };
  return {
    parameters,
    predicted: more => {
      const kept = [tensor, since] as const;
      work(more);
      const ahead = truth();
      [tensor, since] = kept;
      return ahead;
    },
    work,
    truth,
    measure: () => {
      logVigour += innovation * driftSd(since) * (odd.drift ?? 1);
      before = tensor;
      since = NO_WORK;
      innovation = normal(random);
      return truth().map(v => {
        const isBlunder = random() < (odd.blunders ?? FELTING.blunders);
        return v + FELTING.readingSd * (isBlunder ? FELTING.blunderScale : 1) * normal(random);
      });
    },
  };
};
