import type { WayId } from '../forms/wayId';
import { pool, trustIn } from '../learning/pool';
import { type Phase, practiceMinutes } from './practiceMinutes';

/** What one finished piece took in a phase. */
export interface WorkedPiece {
  readonly id: string;
  readonly way: WayId;
  readonly phase: Phase;
  /** What it was laid of, g, > 0. */
  readonly grams: number;
  /** Hands' time of one, min, > 0. */
  readonly minutes: number;
}

/** How much makers differ, their ways, and one piece from the next: deviation of the logarithm. Common practice. */
const PRIOR_SD = 0.5;
export const PACE_SHARES = { maker: 0.5, breed: 0, wool: 0.25, piece: 0.25 } as const;
/** How well a log says how long hands were at it. Common practice. */
export const LOGGED_SD = 0.2;
/** Beyond this it was typed in afterwards, or left lying. */
const BELIEVED = { least: 0.2, most: 5 } as const;

/** How fast a maker works in a phase, and how sure that is. */
export interface OwnPace {
  /** Factor on the minutes of common practice, > 0. */
  readonly factor: number;
  /** Deviation of its logarithm, the same for all pieces of the phase. */
  readonly sharedSd: number;
  /** How much one piece differs from the next beside that. */
  readonly ownSd: number;
  /** How many of the maker's own pieces it rests on. */
  readonly learntFrom: number;
}

/**
 * A maker's own pace in a phase and a way: log-normal about common practice, ways pooled as in `learning/pool`.
 * @example ownPace([], { phase: 'felt', way: 'palms' }).factor // 1
 */
export const ownPace = (
  all: readonly WorkedPiece[],
  of: { readonly phase: Phase; readonly way: WayId },
): OwnPace => {
  const evidence = all
    .filter(w => w.phase === of.phase && w.minutes > 0 && w.grams > 0)
    .map(w => ({ ...w, ratio: w.minutes / practiceMinutes(w.way, w.phase, w.grams) }))
    .filter(w => w.ratio >= BELIEVED.least && w.ratio <= BELIEVED.most)
    .map(w => ({
      id: w.id,
      woolId: w.way,
      breedId: 'all',
      shift: Math.log(w.ratio),
      variance: LOGGED_SD ** 2,
    }));
  const piece = PACE_SHARES.piece * PRIOR_SD ** 2;
  if (evidence.length === 0)
    return { factor: 1, sharedSd: Math.sqrt(PRIOR_SD ** 2 - piece), ownSd: Math.sqrt(piece), learntFrom: 0 };
  const known = { priorVariance: PRIOR_SD ** 2, shares: PACE_SHARES, evidence };
  const { shift, variance } = pool(known, { woolId: of.way, breedId: 'all' }, trustIn(known));
  return {
    factor: Math.exp(shift),
    sharedSd: Math.sqrt(Math.max(0, variance - piece)),
    ownSd: Math.sqrt(piece),
    learntFrom: evidence.length,
  };
};

/** A maker's pace in each phase and way, worked out once for each. */
export type PaceOf = (phase: Phase, way: WayId) => OwnPace;
export const pacesOf = (all: readonly WorkedPiece[]): PaceOf => {
  const known = new Map<string, OwnPace>();
  return (phase, way) => {
    const key = `${phase} ${way}`;
    const pace = known.get(key) ?? ownPace(all, { phase, way });
    known.set(key, pace);
    return pace;
  };
};
