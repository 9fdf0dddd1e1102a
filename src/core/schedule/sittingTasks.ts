import type { OwnPace, PaceOf } from './ownPace';
import { type Phase, PHASES, practiceMinutes, restsOvernightH, SET_UP_MIN } from './practiceMinutes';
import type { Spread } from './readiness';
import type { Group } from './sittings';
import { HANDS, type Minute } from './task';
import { BASIN, RACK, type TaskDoes, type Work, type WorkTask } from './work';

/** Minutes of the vinegar soak. Common practice. */
const SOAK_MIN = 15;
/** Work that is nearly through by the clock is still so much, as a share. Common practice. */
const LEAST_LEFT = 0.15;

/** A time that is known: nothing about it is drawn. */
export const EXACTLY: Spread = { shared: [], own: 0 };

const spreadOf = (phase: Phase, pace: OwnPace): Spread => ({
  shared: [{ key: phase, sd: pace.sharedSd }],
  own: pace.ownSd,
});

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
      wait: EXACTLY,
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
          pace: EXACTLY,
          waitMin: Math.max(0, Math.round(work.dryAt)),
          ...drying,
        }),
      ];

/** What is left to do of one sitting, each after the one before. */
export const groupTasks = (work: Work, group: Group, paceOf: PaceOf): readonly WorkTask[] => {
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
