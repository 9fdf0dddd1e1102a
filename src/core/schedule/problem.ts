import { HANDS, type Minute, type Task, type WorkHours } from './task';

/** A task as it is laid in: what it stands on by its place among the others. */
export interface Job {
  readonly task: Task;
  /** Places of what must be done before it, and of what comes after it. */
  readonly before: readonly number[];
  readonly next: readonly number[];
  /** A wait that comes before hands are at it: where time is looked at backwards. */
  readonly leadMin: Minute;
  /** A wait that comes after it. */
  readonly waitMin: Minute;
  /** Whether it is laid in as soon as what it stands on is. */
  readonly rightOn: boolean;
}

export interface Problem {
  readonly jobs: readonly Job[];
  readonly work: WorkHours;
}

/** Tasks with what each stands on. What a task waits for that is not among them is done already. */
export const problemOf = (tasks: readonly Task[], work: WorkHours): Problem => {
  const places = new Map(tasks.map((t, i) => [t.id, i]));
  const next = tasks.map((): number[] => []);
  const before = tasks.map((task, i) =>
    [...new Set(task.after)].flatMap(id => {
      const place = places.get(id);
      if (place === undefined) return [];
      next[place]?.push(i);
      return [place];
    }),
  );
  return {
    jobs: tasks.map((task, i) => ({
      task,
      before: before[i] ?? [],
      next: next[i] ?? [],
      leadMin: 0,
      waitMin: task.waitMin,
      rightOn: task.rightOn,
    })),
    work,
  };
};

/**
 * The same work looked at backwards from an end: what is last comes first, and a wait comes before its task. Laid in from the left
 * there, everything is as late as it may be.
 * @param end the moment from which time runs backwards
 */
export const mirrored = ({ jobs, work }: Problem, end: Minute): Problem => ({
  jobs: jobs.map(({ task, before, next, leadMin, waitMin }) => ({
    task: {
      ...task,
      from: task.due === null ? null : Math.max(0, end - task.due),
      due: null,
      startAt: task.startAt === null ? null : end - task.startAt - task.minutes,
    },
    before: next,
    next: before,
    leadMin: waitMin,
    waitMin: leadMin,
    rightOn: next.some(n => jobs[n]?.rightOn),
  })),
  work: {
    ...work,
    hours: work.hours
      .filter(h => h.start < end)
      .map(h => ({ start: end - Math.min(h.end, end), end: end - h.start }))
      .toReversed(),
  },
});

/** Whether hands are at it. */
export const takesHands = (task: Task): boolean => task.uses.some(u => u.resource === HANDS);
