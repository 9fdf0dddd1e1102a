import type { WayId } from '../forms/wayId';

/** What a piece's work falls into: with dry hands, wet, after it is felted, and after it is dry. */
export const PHASES = ['lay', 'felt', 'finish', 'after'] as const;
export type Phase = (typeof PHASES)[number];

interface Minutes {
  readonly once: number;
  readonly perG: number;
}

/** Hands' time of one piece: so much for any, and so much for each gram. Common practice, no published source. */
const WORK: Readonly<Record<WayId, Readonly<Record<'lay' | 'felt', Minutes>>>> = {
  bundle: { lay: { once: 15, perG: 0.5 }, felt: { once: 40, perG: 0.4 } },
  hands: { lay: { once: 12, perG: 0.5 }, felt: { once: 35, perG: 0.3 } },
  sheet: { lay: { once: 10, perG: 0.4 }, felt: { once: 30, perG: 0.3 } },
  cloth: { lay: { once: 20, perG: 0.8 }, felt: { once: 40, perG: 0.5 } },
  grid: { lay: { once: 20, perG: 0.5 }, felt: { once: 40, perG: 0.4 } },
  ball: { lay: { once: 15, perG: 0.8 }, felt: { once: 20, perG: 0.3 } },
  palms: { lay: { once: 1, perG: 0.08 }, felt: { once: 3, perG: 0.08 } },
  many: { lay: { once: 1, perG: 0.15 }, felt: { once: 1.2, perG: 0.1 } },
  stocking: { lay: { once: 3, perG: 0.1 }, felt: { once: 4, perG: 0.08 } },
  tube: { lay: { once: 20, perG: 0.5 }, felt: { once: 65, perG: 0.3 } },
  cord: { lay: { once: 3, perG: 0.3 }, felt: { once: 6, perG: 0.3 } },
  basin: { lay: { once: 15, perG: 0.3 }, felt: { once: 15, perG: 0.1 } },
};

/** Rinsing, pressing out and shaping of one piece, and the trimming of it when dry; what is round goes by the handful. Common practice. */
const HANDLING = {
  piece: { finish: { once: 15, perG: 0 }, after: { once: 5, perG: 0 } },
  handful: { finish: { once: 0.5, perG: 0.03 }, after: { once: 0.3, perG: 0.01 } },
} as const;
const BY_HANDFUL: ReadonlySet<WayId> = new Set(['palms', 'many', 'stocking', 'cord']);
/** Setting up and clearing away, once for each sitting, min. Common practice. */
export const SET_UP_MIN = 10;

/**
 * Minutes of hands that one piece takes in a phase, by common practice.
 * @param grams what it is laid of, g, > 0
 * @example practiceMinutes('palms', 'felt', 4) // 3.32
 */
export const practiceMinutes = (way: WayId, phase: Phase, grams: number): number => {
  const { once, perG } =
    phase === 'lay' || phase === 'felt'
      ? WORK[way][phase]
      : HANDLING[BY_HANDFUL.has(way) ? 'handful' : 'piece'][phase];
  return once + perG * grams;
};

/** Felting of this way is left overnight before it is gone on with, h; 0 for most. Common practice. */
export const restsOvernightH = (way: WayId): number => (way === 'tube' ? 10 : 0);
