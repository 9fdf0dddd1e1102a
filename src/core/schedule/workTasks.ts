import { practiceMinutes } from './practiceMinutes';
import { sittingsOf } from './sittings';
import type { PaceOf } from './ownPace';
import { groupTasks, EXACTLY } from './sittingTasks';
import { HANDS } from './task';
import type { Joining, Work, WorkTask } from './work';

/** Hands' time of joining is surer than most: deviation of its logarithm. Common practice. */
const JOIN_SD = 0.35;

/** Sittings alike come in their order: the second is not laid or felted before the first. What must wait after its felting holds nothing up. */
const sameBefore = ({ does }: WorkTask, before: readonly WorkTask[]): readonly string[] =>
  does === 'lay' || does === 'felt'
    ? before
        .filter(t => t.does === does && t.waitMin === 0)
        .slice(-1)
        .map(t => t.id)
    : [];

/** What is done to make a work, and what is last of each sitting: when those are over, it is ready. */
export interface TasksOfWork {
  readonly tasks: readonly WorkTask[];
  readonly last: readonly string[];
}

/**
 * Tasks of a work: by sittings, each laid, felted, rinsed, put to dry and gone over; what is done already is left out.
 * @param of.paceOf the maker's own pace  @param of.sittingMin the longest that hands stand
 */
export const tasksOfWork = (
  work: Work,
  of: { readonly paceOf: PaceOf; readonly sittingMin: number },
): TasksOfWork => {
  const feltEach = of.paceOf('felt', work.way).factor * practiceMinutes(work.way, 'felt', work.gramsEach);
  const all = sittingsOf(work, feltEach, of.sittingMin).map(group => groupTasks(work, group, of.paceOf));
  const inOrder = all.map((tasks, i) =>
    tasks.map(t => ({ ...t, after: [...t.after, ...sameBefore(t, all.slice(0, i).flat())] })),
  );
  return { tasks: inOrder.flat(), last: all.flatMap(tasks => tasks.at(-1)?.id ?? []) };
};

/** The task of putting something together, after all that goes into it. */
export const joiningTask = (joining: Joining, after: readonly string[]): WorkTask => ({
  id: `${joining.id}:join`,
  does: 'join',
  of: joining.id,
  name: joining.name,
  count: 1,
  sitting: null,
  minutes: Math.max(1, Math.round(joining.minutes)),
  waitMin: joining.setsMin,
  after,
  uses: [{ resource: HANDS, count: 1 }],
  keeps: [],
  mayPause: true,
  tires: false,
  rightOn: false,
  from: null,
  due: joining.due,
  startAt: null,
  pace: { shared: [{ key: 'after', sd: JOIN_SD }], own: JOIN_SD },
  wait: EXACTLY,
});
