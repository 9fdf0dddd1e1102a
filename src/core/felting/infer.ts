import { inverse, Matrix } from 'ml-matrix';
import { WAITS } from './feltingModel';
import {
  blunderChance,
  type FeltingRecord,
  type LikelihoodProblem,
  likelihoodProblem,
  type Particle,
} from './likelihood';
import { climb, information, linearised } from './mostLikely';
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

/** A chance to a hundredth or two is enough to doubt a reading by. */
const DOUBTERS = 300;

const doubtsOf = (problem: LikelihoodProblem, { points, weights }: PosteriorDraws): Posterior['doubts'] => {
  const chances = new Float64Array(problem.readings);
  const some = evenly(weights, DOUBTERS);
  const d = problem.dimensions;
  for (const n of some) {
    const off = problem.residuals(points.subarray(n * d, (n + 1) * d));
    for (let i = 0; i < off.length; i += 1) chances[i] = (chances[i] ?? 0) + blunderChance(off[i] ?? 0);
  }
  return problem.places.map((place, i) => ({ ...place, chance: (chances[i] ?? 0) / some.length }));
};

/** Points of the stages, as shares of the points that the answer rests on: two to learn the law from. */
const STAGES = [0.11, 0.17] as const;
const POINTS = 3000;
/** How the points are shared between felts that start gently and those that wait. */
const GENTLE_SHARE = 0.65;

/** One kind of felt: its draws, and the law they were drawn from. */
const drawsOf = (
  record: FeltingRecord,
  of: { readonly waits: boolean; readonly points: number; readonly near: Float64Array | null },
) => {
  const problem = likelihoodProblem(record, of.waits);
  const d = problem.dimensions;
  let law: NormalMoments = { mean: new Float64Array(d), covariance: Matrix.eye(d) };
  let near = of.near;
  if (problem.readings + problem.looks > 0) {
    near = climb(problem, near ?? climb(problem, new Float64Array(d), 3), 1);
    law = { mean: near, covariance: inverse(information(linearised(problem, near, 1).j)) };
    for (const share of STAGES) {
      const count = Math.round(share * of.points);
      law = refit(draw(problem, normalOf(law.mean, law.covariance), { count, withParticles: false }), law);
    }
  }
  const drawn = draw(problem, normalOf(law.mean, law.covariance), { count: of.points, withParticles: true });
  return { problem, drawn, near };
};

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
  const ofGentle = Math.round(GENTLE_SHARE * points);
  const gentle = drawsOf(record, { waits: false, points: ofGentle, near: null });
  const waiting = drawsOf(record, { waits: true, points: points - ofGentle, near: gentle.near });
  const odds = (waitShare / (1 - waitShare)) * Math.exp(waiting.drawn.logEvidence - gentle.drawn.logEvidence);
  const waits = odds / (1 + odds);
  const [a, b] = [gentle.drawn, waiting.drawn];
  const weights = joined(
    a.weights.map(w => w * (1 - waits)),
    b.weights.map(w => w * waits),
  );
  const [doubtsA, doubtsB] = [doubtsOf(gentle.problem, a), doubtsOf(waiting.problem, b)];
  return {
    particles: [...a.particles, ...b.particles],
    weights,
    drifts: joined(a.drifts, b.drifts),
    effective: 1 / weights.reduce((sum, w) => sum + w * w, 0),
    doubts: doubtsA.map((doubt, i) => ({
      ...doubt,
      chance: (1 - waits) * doubt.chance + waits * (doubtsB[i]?.chance ?? doubt.chance),
    })),
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
