import { inverse, Matrix } from 'ml-matrix';
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

/** A chance to a hundredth or two is enough to doubt a reading by. */
const DOUBTERS = 500;

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

/** Points of the stages: two to learn the law from, and one to answer with. */
const STAGES = [400, 600] as const;
const POINTS = 3500;

/**
 * What the log of a piece says of it. Deterministic: the same log, the same answer.
 * Source: docs/model-notes.md: Levenberg–Marquardt to the most likely values in two passes, then adaptive importance sampling
 * with evenly spread points.
 * @param points how many the answer rests on; fewer are quicker and a little too sure
 */
export const infer = (record: FeltingRecord, points = POINTS): Posterior => {
  const problem = likelihoodProblem(record);
  const d = problem.dimensions;
  let law: NormalMoments = { mean: new Float64Array(d), covariance: Matrix.eye(d) };
  if (problem.readings + problem.looks > 0) {
    const near = climb(problem, climb(problem, new Float64Array(d), 3), 1);
    law = { mean: near, covariance: inverse(information(linearised(problem, near, 1).j)) };
    for (const count of STAGES)
      law = refit(draw(problem, normalOf(law.mean, law.covariance), { count, withParticles: false }), law);
  }
  const drawn = draw(problem, normalOf(law.mean, law.covariance), { count: points, withParticles: true });
  const { particles, weights, drifts, effective } = drawn;
  return { particles, weights, drifts, effective, doubts: doubtsOf(problem, drawn) };
};
