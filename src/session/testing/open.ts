import { memoryStore } from '../../store/makeStore';
import type { Store } from '../../store/store';
import type { WorkerClient } from '../../workers/client';
import type { Chance } from '../chance';
import { type Clock, isoTime } from '../clock';
import { memoryNotes, type Notes } from '../notes';
import { makeWorkshop, type Workshop } from '../workshop';

/** A clock that stands until it is turned. */
export const handClock = (at = '2026-03-01T10:00:00.000Z') => {
  let now = Date.parse(at);
  const timers = new Set<() => void>();
  const clock: Clock = {
    nowMs: () => now,
    every: (_ms, tell) => {
      timers.add(tell);
      return () => void timers.delete(tell);
    },
  };
  return {
    clock,
    turn: (ms: number): void => {
      now += ms;
    },
    strike: (): void => {
      for (const tell of timers) tell();
    },
    waiting: () => timers.size,
  };
};

/** Names that count up, so that two workshops can be told apart. */
const countedChance = (prefix: string): Chance => {
  let made = 0;
  const next = (): number => (made += 1);
  return { newId: () => `${prefix}-${next()}`, seed: next };
};

const noWorker: WorkerClient = {
  run: () => Promise.reject(new Error('There is no worker in this test.')),
  stop: () => undefined,
};

/** A workshop over the memory store. Two over one store and one set of notes are two tabs. */
export const aWorkshop = (
  of: {
    readonly tab?: string;
    readonly store?: Store;
    readonly notes?: Notes;
    readonly clock?: Clock;
  } = {},
): Workshop => {
  const { tab = 'tab', clock = handClock().clock, notes = memoryNotes() } = of;
  return makeWorkshop({
    store: of.store ?? memoryStore(() => isoTime(clock.nowMs())),
    isKept: true,
    clock,
    chance: countedChance(tab),
    notes,
    tab,
    workers: { long: noWorker, bench: noWorker, quiet: noWorker },
  });
};
