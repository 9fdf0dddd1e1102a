import { handsMinutes } from '../diary/handsMinutes';
import { workOfAct } from '../acts/act';
import { entriesInForce } from '../log/entriesInForce';
import type { LogEntry } from '../log/entry';
import type { Phase } from './practiceMinutes';

/** The phase that an entry brings a piece into; what says nothing of it leaves it where it is. */
const phaseAt = ({ act }: LogEntry, before: Phase): Phase => {
  if (act.kind === 'finish') {
    if (before === 'after' || (act.step === 'dry' && act.how === 'done')) return 'after';
    return 'finish';
  }
  const isOfFelt = act.kind === 'wet' || act.kind === 'open' || workOfAct(act, 'hot') !== null;
  // Felt that is worked again after it was rinsed is at the bench again.
  return isOfFelt ? 'felt' : before;
};

/** Every entry with the phase it belongs to. */
export const phasesOf = (log: readonly LogEntry[]): readonly Phase[] => {
  let phase: Phase = 'lay';
  return log.map(entry => (phase = phaseAt(entry, phase)));
};

/**
 * Minutes of hands in each phase of a piece, by its log; as `handsMinutes` counts them. What passes before an entry is of its phase.
 * @param all in order; undone entries do not count  @param msOf a stored time in ms since 1970
 */
export const phaseMinutes = (
  all: readonly LogEntry[],
  msOf: (at: string) => number,
): Readonly<Record<Phase, number>> => {
  const log = entriesInForce(all);
  const sums: Record<Phase, number> = { lay: 0, felt: 0, finish: 0, after: 0 };
  phasesOf(log).forEach((phase, i) => {
    sums[phase] += handsMinutes(log.slice(Math.max(0, i - 1), i + 1), msOf);
    // The first of two counts by itself only where it is the first of all.
    if (i > 0) sums[phase] -= handsMinutes(log.slice(i - 1, i), msOf);
  });
  return sums;
};
