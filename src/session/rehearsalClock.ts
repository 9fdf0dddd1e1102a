import type { Clock } from './clock';

/** How fast the time of a rehearsal goes beside that on the wall; 0 is paused. */
export const SPEEDS = [0, 1, 20] as const;
export type Speed = (typeof SPEEDS)[number];

/** A clock that goes with the work: each act takes as long as hands take for it, and between acts it goes as fast as is wanted. */
export interface RehearsalClock extends Clock {
  readonly speed: () => Speed;
  readonly setSpeed: (speed: Speed) => void;
  /** An act took so long, ms. */
  readonly add: (ms: number) => void;
  readonly subscribe: (listener: () => void) => () => void;
}

/** @param wall the time it begins at, and runs beside */
export const makeRehearsalClock = (wall: Clock): RehearsalClock => {
  let speed: Speed = 1;
  let base = wall.nowMs();
  let since = base;
  const listeners = new Set<() => void>();
  const now = (): number => base + speed * (wall.nowMs() - since);
  const restart = (): void => {
    base = now();
    since = wall.nowMs();
  };
  const told = (): void => {
    for (const listener of listeners) listener();
  };
  return {
    nowMs: now,
    // Told by the wall: a picture is drawn as often whatever the time does.
    every: wall.every,
    speed: () => speed,
    setSpeed: next => {
      restart();
      speed = next;
      told();
    },
    add: ms => {
      restart();
      base += ms;
      told();
    },
    subscribe: listener => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
};
