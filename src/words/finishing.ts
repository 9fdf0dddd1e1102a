import { FINISH, type FinishStep } from '../core/acts/finishSteps';
import { duration } from '../core/acts/actWords';
import type { FinishWait } from '../core/finishing/finishState';

/** Minutes or hours as a clock would be read: whole minutes to an hour, then half hours, then hours. */
export const roughHours = (hours: number): string => {
  if (hours < 1) return `${Math.max(1, Math.round(60 * hours))} min`;
  if (hours < 6) return `${Math.round(2 * hours) / 2} h`;
  if (hours < 36) return `${Math.round(hours)} h`;
  return `${Math.round(hours / 12) / 2} days`;
};

/** How long a wait still takes, or that it is over. */
export const waitWords = ({ untilMs, sinceMs }: FinishWait, nowMs: number): string => {
  if (untilMs === null) return `for ${duration(Math.max(0, Math.round((nowMs - sinceMs) / 60_000)))}`;
  const left = untilMs - nowMs;
  return left > 0 ? `${roughHours(left / 3_600_000)} left` : 'time is up';
};

/** What is going on while a step waits. */
export const WAITING: Readonly<Partial<Record<FinishStep, string>>> = {
  soak: 'It soaks.',
  dry: 'It dries.',
  stiffen: 'The stiffener sets.',
  glue: 'The glue sets.',
};

/** What is told when it has waited long enough. */
export const WAITED: Readonly<Partial<Record<FinishStep, string>>> = {
  soak: 'it has soaked long enough.',
  dry: 'it should be dry now. Weigh it.',
  stiffen: 'the stiffener should have set.',
  glue: 'the glue should have set.',
};

/** What the great button says: to begin a wait, to end it, or that it is done. */
export const finishGreat = (step: FinishStep | null, begins: boolean): { head: string; sub: string } => {
  if (step === null) return { head: 'To the finish', sub: 'plan against result' };
  if (step === 'record') return { head: 'Measure', sub: FINISH.record.name };
  if (begins) return { head: 'Start', sub: step === 'dry' ? 'put it to dry' : FINISH[step].name };
  if (step === 'rinse') return { head: 'Clear', sub: 'rinsed, the water stays clear' };
  if (step === 'dry') return { head: 'Dry', sub: 'it is dry now' };
  return { head: 'Done', sub: FINISH[step].done };
};
