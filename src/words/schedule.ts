import type { Break } from '../core/schedule/breaksOf';
import type { TaskDoes, WorkTask } from '../core/schedule/work';

/** What is done in a task. */
const TASK_WORDS: Readonly<Record<TaskDoes, string>> = {
  lay: 'Lay',
  felt: 'Felt',
  rinse: 'Rinse',
  dry: 'Shape, put to dry',
  drying: 'Dries',
  after: 'Trim and press',
  join: 'Put together',
};

/** A task in one line. @example taskWords({ does: 'felt', name: 'Beads', count: 12, sitting: { number: 1, of: 2 } }) // Felt: 12 × Beads, 1 of 2 */
export const taskWords = ({
  does,
  name,
  count,
  sitting,
}: Pick<WorkTask, 'does' | 'name' | 'count' | 'sitting'>): string =>
  `${TASK_WORDS[does]}: ${count > 1 ? `${count} × ` : ''}${name}${sitting ? `, ${sitting.number} of ${sitting.of}` : ''}`;

/** A length of time as people say it. @example lengthWords(95) // 1 h 35 min */
export const lengthWords = (minutes: number): string => {
  const whole = Math.round(minutes);
  if (whole >= 48 * 60) return `${Math.round(whole / 1440)} days`;
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
};

/** What a resource is called where there is not enough of it. */
const RESOURCE_WORDS: Readonly<Record<string, string>> = {
  hands: 'You are at something else then.',
  basin: 'The basin is taken then.',
  rack: 'The rack is full then.',
};

/** What a task breaks where it lies. @param nameOf what another task is called */
export const breakWords = (broken: Break, nameOf: (id: string) => string): string => {
  switch (broken.is) {
    case 'out-of-hours':
      return `${lengthWords(broken.minutes)} of it is outside your hours.`;
    case 'too-soon':
      return `It begins ${lengthWords(broken.minutes)} too soon: first ${nameOf(broken.after)}.`;
    case 'double':
      return RESOURCE_WORDS[broken.resource] ?? 'Something it needs is taken then.';
    case 'too-long':
      return `Your hands would work ${lengthWords(broken.minutes)} without a rest.`;
    case 'late':
      return `It is ready ${lengthWords(broken.minutes)} too late.`;
  }
};

/** A chance as people say it, in whole tenths that it reaches; never nought or ten where it is neither. @example chanceWords(0.79) // 7 in 10 */
export const chanceWords = (chance: number): string => {
  if (chance <= 0) return 'no chance';
  if (chance >= 1) return 'as good as certain';
  return `${Math.max(1, Math.floor(10 * chance + 1e-9))} in 10`;
};

/** A number of minutes after a time of day. @example timeAfter('14:00', 95) // 15:35 */
export const timeAfter = (startsAt: string, minutes: number): string => {
  const [hour = 0, minute = 0] = startsAt.split(':').map(Number);
  const all = (hour * 60 + minute + Math.round(minutes)) % (24 * 60);
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
};
