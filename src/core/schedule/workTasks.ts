import { batchOf, BATCH_PRACTICE } from '../batch/batchOf';
import type { WayId } from '../forms/wayId';
import type { OwnPace } from './ownPace';
import { type Phase, PHASES, practiceMinutes, restsOvernightH, SET_UP_MIN } from './practiceMinutes';
import type { PacedTask, Spread } from './readiness';
import { HANDS, type Minute } from './task';

/** Pieces alike that are still to be made, and how far they are. */
export interface Work {
  readonly id: string;
  readonly name: string;
  readonly way: WayId;
  /** True for balls and the like, of which hands stand only so many. */
  readonly isSolid: boolean;
  /** What one is laid of, g, > 0. */
  readonly gramsEach: number;
  /** How many there are altogether, ≥ 1. */
  readonly count: number;
  /** How many are felted already. */
  readonly felted: number;
  /** The phase in which the rest is. */
  readonly phase: Phase;
  /** Minutes of hands that went into that phase already. */
  readonly spentMin: number;
  /** Hours one dries, and the deviation of its logarithm. */
  readonly dryH: number;
  readonly drySd: number;
  /** What it dries in: pieces of one air are longer or shorter alike. */
  readonly air: string;
  /** True where it lies in the vinegar before it is rinsed out. */
  readonly soaks: boolean;
  /** True where hands are at it once more when it is dry. */
  readonly hasAfter: boolean;
  /** When what dries now is likely to be dry; null where nothing does. */
  readonly dryAt: Minute | null;
  readonly due: Minute | null;
}

/** Things that are put together of works. */
export interface Joining {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  /** What it waits for until it holds: glue. Minutes. */
  readonly setsMin: Minute;
  /** The works that go into it. */
  readonly of: readonly string[];
  readonly due: Minute | null;
}

/** What is done in a task. */
export type TaskDoes = 'lay' | 'felt' | 'rinse' | 'dry' | 'after' | 'join' | 'drying';
export interface WorkTask extends PacedTask {
  readonly does: TaskDoes;
  /** The work or joining it is of. */
  readonly of: string;
  readonly name: string;
  /** How many pieces it is for. */
  readonly count: number;
  /** Which sitting of how many; null where there is only one. */
  readonly sitting: { readonly number: number; readonly of: number } | null;
}

/** Minutes of the vinegar soak. Common practice. */
const SOAK_MIN = 15;
/** Work that is nearly through by the clock is still so much, as a share. Common practice. */
const LEAST_LEFT = 0.15;
/** Hands' time of joining is surer than most: deviation of its logarithm. Common practice. */
const JOIN_SD = 0.35;

export const BASIN = 'basin';
export const RACK = 'rack';

const SURE: Spread = { shared: [], own: 0 };

const spreadOf = (phase: Phase, pace: OwnPace): Spread => ({
  shared: [{ key: phase, sd: pace.sharedSd }],
  own: pace.ownSd,
});

interface Group {
  /** Which sitting of all, from 1: the same whatever is done already. */
  readonly key: number;
  /** How many sittings there are altogether. */
  readonly sittings: number;
  readonly count: number;
  readonly begins: Phase;
  readonly spentMin: number;
}

/** How many go into one sitting: as many balls as hands stand; of other pieces, what fits. */
const sizesOf = (work: Work, feltEach: number, sittingMin: number): readonly number[] => {
  if (work.isSolid) return batchOf(work.count).each;
  const perSitting = Math.max(1, Math.min(BATCH_PRACTICE.perSitting, Math.floor(sittingMin / feltEach)));
  const sittings = Math.ceil(work.count / perSitting);
  return Array.from(
    { length: sittings },
    (_, i) => Math.floor(work.count / sittings) + (i < work.count % sittings ? 1 : 0),
  );
};

/** What is left of each sitting, the felted ones taken off the first. */
const groupsOf = (work: Work, sizes: readonly number[]): readonly Group[] => {
  const isMany = work.count > 1 && work.phase === 'felt' && work.felted > 0;
  if (!isMany)
    return sizes.map((count, i) => ({
      key: i + 1,
      sittings: sizes.length,
      count,
      begins: work.phase,
      // What was spent is spread over all of them.
      spentMin: (work.spentMin * count) / work.count,
    }));
  let done = work.felted;
  const sittings = sizes.length;
  return sizes.flatMap((count, i): readonly Group[] => {
    const through = Math.min(count, done);
    done -= through;
    return [
      ...(through > 0
        ? [{ key: i + 1, sittings, count: through, begins: 'finish' as const, spentMin: 0 }]
        : []),
      ...(count > through
        ? [{ key: i + 1, sittings, count: count - through, begins: 'lay' as const, spentMin: 0 }]
        : []),
    ];
  });
};

type PaceOf = (phase: Phase, way: WayId) => OwnPace;

/** What the tasks of one sitting have in common. */
interface GroupScope {
  readonly work: Work;
  readonly group: Group;
  readonly minutes: (phase: Phase, setUp?: number) => number;
  readonly task: (
    does: TaskDoes,
    phase: Phase,
    of: Partial<WorkTask> & { readonly minutes: Minute },
  ) => WorkTask;
  /** How long it dries, as unsure as that is. */
  readonly drying: Pick<WorkTask, 'keeps' | 'wait'>;
}

const scopeOf = (work: Work, group: Group, paceOf: PaceOf): GroupScope => {
  const { way, gramsEach } = work;
  const { count } = group;
  // Of one sitting, those that are felted already go their own way.
  const part = group.begins === 'finish' && work.phase === 'felt' ? 'f' : '';
  return {
    work,
    group,
    minutes: (phase, setUp = 0) => {
      const all = paceOf(phase, way).factor * practiceMinutes(way, phase, gramsEach) * count + setUp;
      const spent = group.begins === phase ? group.spentMin : 0;
      return Math.max(1, Math.round(Math.max(all - spent, LEAST_LEFT * all)));
    },
    task: (does, phase, of) => ({
      id: `${work.id}:${group.key}${part}:${does}`,
      does,
      of: work.id,
      name: work.name,
      count,
      sitting: group.sittings > 1 ? { number: group.key, of: group.sittings } : null,
      after: [],
      uses: [{ resource: HANDS, count: 1 }],
      keeps: [],
      waitMin: 0,
      wait: SURE,
      pace: spreadOf(phase, paceOf(phase, way)),
      mayPause: false,
      tires: false,
      rightOn: false,
      from: null,
      due: null,
      startAt: null,
      ...of,
    }),
    drying: {
      keeps: [{ resource: RACK, count }],
      wait: { shared: [{ key: `dry ${work.air}`, sd: work.drySd }], own: 0 },
    },
  };
};

const atBasin = { uses: [HANDS, BASIN].map(resource => ({ resource, count: 1 })) };

/** Rinsing is a third of the finishing; pressing out and shaping the rest. */
const finishTasks = ({ work, minutes, task, drying }: GroupScope): readonly WorkTask[] => {
  const all = minutes('finish');
  const rinse = Math.max(1, Math.round(all / 3));
  return [
    task('rinse', 'finish', {
      minutes: rinse,
      rightOn: work.phase !== 'finish',
      waitMin: work.soaks ? SOAK_MIN : 0,
      ...atBasin,
    }),
    task('dry', 'finish', {
      minutes: Math.max(1, all - rinse),
      rightOn: true,
      waitMin: Math.round(60 * work.dryH),
      ...drying,
    }),
  ];
};

/** What dries now: no hands are at it. */
const dryingTasks = ({ work, group, task, drying }: GroupScope): readonly WorkTask[] =>
  work.dryAt === null || group.begins !== 'after'
    ? []
    : [
        task('drying', 'after', {
          minutes: 0,
          uses: [],
          pace: SURE,
          waitMin: Math.max(0, Math.round(work.dryAt)),
          ...drying,
        }),
      ];

/** What is left to do of one sitting, each after the one before. */
const groupTasks = (work: Work, group: Group, paceOf: PaceOf): readonly WorkTask[] => {
  const scope = scopeOf(work, group, paceOf);
  const { minutes, task } = scope;
  const begun = PHASES.indexOf(group.begins);
  const isLeft = (phase: Phase): boolean => PHASES.indexOf(phase) >= begun;
  const tasks = [
    ...(isLeft('lay') ? [task('lay', 'lay', { minutes: minutes('lay'), mayPause: true })] : []),
    ...(isLeft('felt')
      ? [
          task('felt', 'felt', {
            minutes: minutes('felt', SET_UP_MIN),
            waitMin: Math.round(60 * restsOvernightH(work.way)),
            mayPause: true,
            tires: true,
            ...atBasin,
          }),
        ]
      : []),
    ...(isLeft('finish') ? finishTasks(scope) : []),
    ...dryingTasks(scope),
    ...(work.hasAfter && isLeft('after')
      ? [task('after', 'after', { minutes: minutes('after'), mayPause: true })]
      : []),
  ];
  return tasks.map((t, i) => ({
    ...t,
    after: tasks.slice(Math.max(0, i - 1), i).map(before => before.id),
    due: i === tasks.length - 1 ? work.due : null,
  }));
};

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
  const all = groupsOf(work, sizesOf(work, feltEach, of.sittingMin)).map(group =>
    groupTasks(work, group, of.paceOf),
  );
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
  wait: SURE,
});
