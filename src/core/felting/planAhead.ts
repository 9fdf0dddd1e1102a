import { addWork, lineAt, logLength, NO_WORK, sumWork, type FeltingWork } from './feltingModel';
import { driftAfter, stretchAfter } from './predict';
import type { Posterior } from './infer';
import { evenly } from './sampling';
import type { FeltingRecord, Particle } from './likelihood';

/** Where the piece is to end: log(wanted/laid) of each gauge, and how far off still counts as there, as a share. */
export interface GaugeTargets {
  readonly wanted: readonly number[];
  readonly tolerance: number;
}

/** Rolls that are still to come, each way. */
export interface RollsAhead {
  readonly along: number;
  readonly across: number;
}

/** A world with the drift of the hands that is still to come. */
interface DriftingParticle {
  readonly particle: Particle;
  readonly z: number;
}

const WORLDS = 500;

/** So many worlds of equal weight: each stands for as many as it weighs. */
const evenWorlds = ({ particles, weights, drifts }: Posterior, count: number): readonly DriftingParticle[] =>
  evenly(weights, count).flatMap(n => {
    const particle = particles[n];
    return particle ? [{ particle, z: drifts[n] ?? 0 }] : [];
  });

/** What an end would be worth: its mean loss, how likely all gauges are there, and each one's chance to be past it. */
export interface EndingRisk {
  readonly loss: number;
  readonly within: number;
  readonly past: readonly number[];
}

/** A length below what is wanted is five times as bad as one above: it cannot be undone. */
const PAST_COSTS = 5;

/**
 * What lies ahead of a piece, rolled on.
 * @param intensity what one roll counts, reference rolls
 * @param hasDirections false for a solid, whose rolls have no direction
 */
export const outlookOf = (of: {
  readonly record: FeltingRecord;
  readonly posterior: Posterior;
  readonly targets: GaugeTargets;
  readonly intensity: number;
  readonly hasDirections: boolean;
}) => {
  const { record, posterior, targets, intensity, hasDirections } = of;
  const particles = evenWorlds(posterior, WORLDS);
  const lines = record.gaugesDeg.map(lineAt);
  const [least, most] = [Math.log(1 - targets.tolerance), Math.log(1 + targets.tolerance)];

  const workOf = ({ along, across }: RollsAhead): FeltingWork =>
    hasDirections
      ? addWork(addWork(NO_WORK, along * intensity, 0), across * intensity, 90)
      : addWork(NO_WORK, (along + across) * intensity, null);

  /** How far each gauge would be above what is wanted in one world, as a logarithm; into the array that is given. */
  const offAt = (
    { particle, z }: DriftingParticle,
    ahead: { readonly work: FeltingWork; readonly sd: number },
    into: Float64Array,
  ): void => {
    const stretch = stretchAfter(particle, ahead.work, { z, sd: ahead.sd });
    for (let g = 0; g < lines.length; g += 1) {
      const line = lines[g];
      if (line) into[g] = logLength(stretch, line) + (particle.starts[g] ?? 0) - (targets.wanted[g] ?? 0);
    }
  };
  const aheadOf = (rolls: RollsAhead): { work: FeltingWork; sd: number } => {
    const work = sumWork(record.since, workOf(rolls));
    return { work, sd: driftAfter(record, work) };
  };

  /** @param step 1 looks at every world, 4 at every fourth */
  const endingRisk = (rolls: RollsAhead, step = 1): EndingRisk => {
    const ahead = aheadOf(rolls);
    const off = new Float64Array(lines.length);
    const past = lines.map(() => 0);
    let [loss, within, count] = [0, 0, 0];
    for (let n = 0; n < particles.length; n += step) {
      const own = particles[n];
      if (!own) continue;
      offAt(own, ahead, off);
      let isWithin = true;
      for (let g = 0; g < off.length; g += 1) {
        const v = off[g] ?? 0;
        loss += v * v * (v < 0 ? PAST_COSTS : 1);
        if (v < least) past[g] = (past[g] ?? 0) + 1;
        if (v < least || v > most) isWithin = false;
      }
      within += isWithin ? 1 : 0;
      count += 1;
    }
    return { loss: loss / count, within: within / count, past: past.map(p => p / count) };
  };

  /** Of how many times the given rolls each world would be at its aim, sorted; infinite where it never would. */
  const timesNeeded = (rolls: RollsAhead): readonly number[] => {
    const off = new Float64Array(lines.length);
    const above = (own: DriftingParticle, times: number): number => {
      offAt(own, aheadOf({ along: rolls.along * times, across: rolls.across * times }), off);
      let sum = 0;
      for (const v of off) sum += v;
      return sum;
    };
    return particles
      .filter((_, n) => n % SPARE === 0)
      .map(own => {
        if (above(own, 0) <= 0) return 0;
        if (above(own, MOST_TIMES) > 0) return Number.POSITIVE_INFINITY;
        let [low, high] = [0, MOST_TIMES];
        for (let i = 0; i < HALVINGS; i += 1) {
          const middle = (low + high) / 2;
          if (above(own, middle) > 0) low = middle;
          else high = middle;
        }
        return high;
      })
      .toSorted((a, b) => a - b);
  };

  return { endingRisk, timesNeeded, workOf, hasDirections };
};

export type Outlook = ReturnType<typeof outlookOf>;

const SPARE = 4;
const MOST_TIMES = 6;
const HALVINGS = 12;

/** Where a search looks first, rolls; how finely it looks then; and how far it may go. */
const GRID = { step: 60, most: 600 } as const;
const PATTERN = [40, 20, 10] as const;
const FARTHEST = 2000;

const neighbours = (
  { along, across }: RollsAhead,
  step: number,
  hasDirections: boolean,
): readonly RollsAhead[] =>
  [
    [step, 0],
    [-step, 0],
    [0, step],
    [0, -step],
    [step, step],
    [-step, -step],
    [step, -step],
    [-step, step],
  ]
    .map(([a = 0, b = 0]) => ({ along: along + a, across: hasDirections ? across + b : 0 }))
    .filter(r => r.along >= 0 && r.across >= 0 && r.along <= FARTHEST && r.across <= FARTHEST);

/**
 * The rolls along and across that would leave the least loss: what is still to be done, as far as is known.
 * Source: docs/model-notes.md: a grid of 60 to 600, then a pattern search of 40, 20 and 10.
 */
export const rollsLeft = ({ endingRisk, hasDirections }: Outlook): RollsAhead => {
  const steps = Array.from({ length: GRID.most / GRID.step + 1 }, (_, i) => i * GRID.step);
  const across = hasDirections ? steps : [0];
  let best: RollsAhead = { along: 0, across: 0 };
  let least = Number.POSITIVE_INFINITY;
  for (const along of steps)
    for (const other of across) {
      const { loss } = endingRisk({ along, across: other }, SPARE);
      if (loss < least) [best, least] = [{ along, across: other }, loss];
    }
  const isAtEdge = best.along === GRID.most || best.across === GRID.most;
  least = endingRisk(best).loss;
  for (const step of isAtEdge ? [2 * GRID.step, ...PATTERN] : PATTERN)
    for (;;) {
      const near = neighbours(best, step, hasDirections).map(rolls => ({
        rolls,
        loss: endingRisk(rolls).loss,
      }));
      const next = near.toSorted((a, b) => a.loss - b.loss)[0];
      if (!next || next.loss >= least - 1e-12) break;
      [best, least] = [next.rolls, next.loss];
    }
  return best;
};
