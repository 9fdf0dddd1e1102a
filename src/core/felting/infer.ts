import { inverse, Matrix } from 'ml-matrix';
import { WAITS } from './feltingModel';
import { type FeltingRecord, type LikelihoodProblem, likelihoodProblem, type Particle } from './likelihood';
import { climb, nearTo } from './mostLikely';
import { blunderChance } from './readings';
import { draw, evenly, normalOf, type NormalMoments, type PosteriorDraws, refit } from './sampling';

/** What is known of a piece after its measurings: worlds, each with its weight; the weights sum to 1. */
export interface Posterior {
  readonly particles: readonly Particle[];
  readonly weights: Float64Array;
  /** Standard normal deviates for what is still to come: the drift of the next interval, one to a world. */
  readonly drifts: Float64Array;
  /** How many worlds of equal weight would say as much. */
  readonly effective: number;
  /** Of each reading, in the order of the log, the chance that it was a blunder. */
  readonly doubts: ReadonlyArray<{
    readonly interval: number;
    readonly gauge: number;
    readonly chance: number;
  }>;
}

/** Felts of one kind: what is not known of them, and their draws. */
interface Kind {
  readonly problem: LikelihoodProblem;
  readonly drawn: PosteriorDraws;
}

/** A chance to a hundredth or two is enough to doubt a reading by. */
const DOUBTERS = 300;

/**
 * Of each reading the chance that it was a blunder.
 * @param weights of the worlds of all kinds, one kind after the other; they sum to 1
 */
const doubtsOf = (kinds: readonly [Kind, Kind], weights: Float64Array): Posterior['doubts'] => {
  const times = new Uint16Array(weights.length);
  for (const n of evenly(weights, DOUBTERS)) times[n] = (times[n] ?? 0) + 1;
  const { places } = kinds[0].problem;
  const chances = new Float64Array(places.length);
  let before = 0;
  for (const { problem, drawn } of kinds) {
    const d = problem.dimensions;
    const off = new Float64Array(problem.readings + problem.looks);
    for (let n = 0; n < drawn.particles.length; n += 1) {
      const share = (times[before + n] ?? 0) / DOUBTERS;
      if (share === 0) continue;
      problem.residuals(drawn.points.subarray(n * d, (n + 1) * d), off);
      for (let i = 0; i < chances.length; i += 1)
        chances[i] = (chances[i] ?? 0) + share * blunderChance(off[i] ?? 0);
    }
    before += drawn.particles.length;
  }
  return places.map((place, i) => ({ ...place, chance: chances[i] ?? 0 }));
};

/** With 1 800 one end of a reference case lies further off than is allowed: docs/model-notes.md. */
const POINTS = 1900;
/** Points that the law is learnt from, as a share of those that the answer rests on. */
const LEARNING = 0.4;
/** How those are shared between felts that start gently and those that wait. */
const GENTLE_SHARE = 0.65;
/** Either kind has at least this share of the points, however unlikely it is by then. */
const LEAST_SHARE = 0.1;

/** Felts of one kind, and the law that most of them obey. */
interface Learnt {
  readonly problem: LikelihoodProblem;
  readonly law: NormalMoments;
  /** The most likely of them; null where nothing was measured. */
  readonly near: Float64Array | null;
  readonly logEvidence: number;
}

/** Climbs to the most likely felt of a kind, and learns the law from some points about it. */
const learn = (
  record: FeltingRecord,
  of: { readonly waits: boolean; readonly points: number; readonly near: Float64Array | null },
): Learnt => {
  const problem = likelihoodProblem(record, of.waits);
  const d = problem.dimensions;
  const start = new Float64Array(d);
  if (problem.readings + problem.looks === 0) {
    const law = { mean: start, covariance: Matrix.eye(d) };
    return { problem, law, near: null, logEvidence: 0 };
  }
  const near = climb(problem, of.near ?? climb(problem, start, 3), 1);
  const first = { mean: near, covariance: inverse(nearTo(problem, near, 1).information) };
  const drawn = draw(problem, normalOf(first), { count: Math.round(of.points), withParticles: false });
  return { problem, law: refit(drawn, first), near, logEvidence: drawn.logEvidence };
};

const drawnFrom = ({ problem, law }: Learnt, count: number): Kind => ({
  problem,
  drawn: draw(problem, normalOf(law), { count, withParticles: true }),
});

const joined = (a: Float64Array, b: Float64Array): Float64Array => {
  const both = new Float64Array(a.length + b.length);
  both.set(a);
  both.set(b, a.length);
  return both;
};

/**
 * What the log of a piece says of it. Deterministic: the same log, the same answer.
 * Source: docs/model-notes.md: Levenberg–Marquardt to the most likely values in two passes, then adaptive importance sampling
 * with evenly spread points; for felts that start gently and for those that wait, each weighed by how likely it makes the readings.
 * @param points how many the answer rests on; fewer are quicker and a little too sure
 * @param waitShare how many felts in all wait before they give way, 0 to 1
 */
export const infer = (record: FeltingRecord, points = POINTS, waitShare: number = WAITS.share): Posterior => {
  /** How likely it is that the felt waits, by how much better that explains the readings, as a logarithm. */
  const waitsBy = (better: number): number => 1 / (1 + Math.exp(-better) * ((1 - waitShare) / waitShare));
  const gentle = learn(record, { waits: false, points: GENTLE_SHARE * LEARNING * points, near: null });
  const waiting = learn(record, {
    waits: true,
    points: (1 - GENTLE_SHARE) * LEARNING * points,
    near: gentle.near,
  });
  const likely = waitsBy(waiting.logEvidence - gentle.logEvidence);
  const ofWaiting = Math.round(points * Math.min(1 - LEAST_SHARE, Math.max(LEAST_SHARE, likely)));
  const kinds = [drawnFrom(gentle, points - ofWaiting), drawnFrom(waiting, ofWaiting)] as const;
  const [a, b] = [kinds[0].drawn, kinds[1].drawn];
  const waits = waitsBy(b.logEvidence - a.logEvidence);
  const weights = joined(
    a.weights.map(w => w * (1 - waits)),
    b.weights.map(w => w * waits),
  );
  return {
    particles: [...a.particles, ...b.particles],
    weights,
    drifts: joined(a.drifts, b.drifts),
    effective: 1 / weights.reduce((sum, w) => sum + w * w, 0),
    doubts: doubtsOf(kinds, weights),
  };
};

/**
 * `infer`, keeping its last answer: what was rolled since a measuring changes nothing of what the measurings say, so that a tap
 * between two of them costs no new inference.
 */
export const inferenceKept = (): ((record: FeltingRecord) => Posterior) => {
  let last: { readonly key: string; readonly posterior: Posterior } | null = null;
  return record => {
    const { gaugesDeg, intervals, belief, startSd } = record;
    const key = JSON.stringify([gaugesDeg, intervals, belief, startSd]);
    if (last?.key !== key) last = { key, posterior: infer(record) };
    return last.posterior;
  };
};
