import type { Placed } from '../../core/schedule/task';
import type { PlannedWork } from '../../core/schedule/planWork';
import type { WorkTask } from '../../core/schedule/work';
import type { Workplace } from '../../records/workplace';
import { dayOf } from '../../session/clock';
import type { ClassTime } from '../../session/openWork';
import { dayAfter, hoursFrom, momentOf } from '../../session/workHours';

const MINUTE_MS = 60_000;

/** A stretch of hands on one day. */
export interface BlockOfDay {
  readonly task: WorkTask;
  /** Which stretch of the task, from 0, and of how many. */
  readonly part: number;
  readonly parts: number;
  readonly startMs: number;
  readonly endMs: number;
  readonly isMoved: boolean;
  /** Whether it cannot be kept where it was put. */
  readonly isBroken: boolean;
  /** Of its wool, as CSS has it; null where none is known. */
  readonly colour: string | null;
}

/** One name for a stretch among all of them. */
export const blockKey = ({ task, part }: BlockOfDay): string => `${task.id}#${part}`;

/** A wait as far as it lies on one day. */
export interface WaitOfDay {
  readonly task: WorkTask;
  readonly startMs: number;
  readonly endMs: number;
  readonly overMs: number;
}

export interface DayRow {
  /** As 2026-11-28. */
  readonly day: string;
  readonly blocks: readonly BlockOfDay[];
  readonly waits: readonly WaitOfDay[];
  /** Classes that are held on it. */
  readonly classes: readonly ClassTime[];
  /** The maker's hours on it, ms. */
  readonly hours: ReadonlyArray<{ readonly startMs: number; readonly endMs: number }>;
}

/** Hours of a day that are shown: whole ones, from the first to the last of all. */
export interface Axis {
  readonly from: number;
  readonly to: number;
}

/** The time of day where the maker is, hours. */
export const hourOf = (ms: number): number => {
  const d = new Date(ms);
  return d.getHours() + d.getMinutes() / 60;
};

const waitsOn = (
  placed: readonly Placed[],
  tasks: ReadonlyMap<string, WorkTask>,
  of: { nowMs: number; day: string },
) => {
  const dayStart = momentOf(of.day, '00:00');
  const dayEnd = momentOf(dayAfter(of.day, 1), '00:00');
  return placed.flatMap(({ id, spans, overAt }): WaitOfDay[] => {
    const task = tasks.get(id);
    const from = of.nowMs + (spans.at(-1)?.end ?? 0) * MINUTE_MS;
    const overMs = of.nowMs + overAt * MINUTE_MS;
    if (!task || task.waitMin === 0 || from >= dayEnd || overMs <= dayStart) return [];
    return [{ task, startMs: Math.max(from, dayStart), endMs: Math.min(overMs, dayEnd), overMs }];
  });
};

/** The schedule by days, from today to the last on which something is done or waits; a day with neither is left out. */
export const dayRows = (
  { placed, tasks, breaks, nowMs }: PlannedWork & { readonly nowMs: number },
  of: {
    readonly workplace: Pick<Workplace, 'hours' | 'daysOff' | 'moved'>;
    readonly classes: readonly ClassTime[];
    readonly colourOf: (of: string) => string | null;
  },
): readonly DayRow[] => {
  const { workplace, classes } = of;
  const broken = new Set(breaks.map(b => b.id));
  const byId = new Map(tasks.map(t => [t.id, t]));
  const moved = new Set(workplace.moved.map(m => m.task));
  const blocks = placed.flatMap(({ id, spans }): BlockOfDay[] => {
    const task = byId.get(id);
    if (!task || task.minutes === 0) return [];
    return spans.map((s, part) => ({
      task,
      part,
      parts: spans.length,
      startMs: nowMs + s.start * MINUTE_MS,
      endMs: nowMs + s.end * MINUTE_MS,
      isMoved: moved.has(id),
      isBroken: broken.has(id),
      colour: of.colourOf(task.of),
    }));
  });
  const last = Math.max(0, ...placed.map(p => p.overAt));
  const lastDay = dayOf(Math.max(nowMs + last * MINUTE_MS, ...classes.map(c => c.endMs)));
  const until = Math.min(
    MOST_DAYS,
    Math.ceil((momentOf(lastDay, '23:59') - nowMs) / (24 * 60 * MINUTE_MS)) + 1,
  );
  const hours = hoursFrom(workplace, nowMs, until).map(h => ({
    startMs: nowMs + h.start * MINUTE_MS,
    endMs: nowMs + h.end * MINUTE_MS,
  }));
  const rows: DayRow[] = [];
  for (let day = dayOf(nowMs), i = 0; day <= lastDay && i < MOST_DAYS; day = dayAfter(day, 1), i += 1)
    rows.push({
      day,
      blocks: blocks.filter(b => dayOf(b.startMs) === day).toSorted((a, b) => a.startMs - b.startMs),
      waits: waitsOn(placed, byId, { nowMs, day }),
      classes: classes.filter(c => dayOf(c.startMs) === day),
      hours: hours.filter(h => dayOf(h.startMs) === day),
    });
  return rows;
};
const MOST_DAYS = 366;

/** Whole hours that hold all that is shown. */
export const axisOf = (rows: readonly DayRow[]): Axis => {
  const spans = rows.flatMap(r => [...r.blocks, ...r.classes, ...r.hours]);
  if (spans.length === 0) return { from: 8, to: 22 };
  const ends = spans.map(s => (dayOf(s.endMs) === dayOf(s.startMs) ? hourOf(s.endMs) : 24));
  return {
    from: Math.floor(Math.min(...spans.map(s => hourOf(s.startMs)))),
    to: Math.max(
      Math.ceil(Math.max(...ends)),
      Math.floor(Math.min(...spans.map(s => hourOf(s.startMs)))) + 4,
    ),
  };
};

/** Where a moment of a day lies on the axis, per cent of its width; beyond its ends at the end. */
export const percentAt = (ms: number, day: string, { from, to }: Axis): number => {
  const hour = dayOf(ms) === day ? hourOf(ms) : ms > momentOf(day, '12:00') ? 24 : 0;
  return Math.min(100, Math.max(0, (100 * (hour - from)) / (to - from)));
};

/** Minutes that an arrow moves a block, and that a dragged one snaps to. */
export const STEP_MIN = 15;

/** A moment so many minutes on, on the grid of the steps; whole days keep the time of day, whatever the clocks do. */
export const movedBy = (startMs: number, minutes: number): number => {
  const d = new Date(startMs);
  const days = Math.trunc(minutes / 1440);
  const grid = Math.round(d.getMinutes() / STEP_MIN) * STEP_MIN;
  return new Date(
    d.getFullYear(),
    d.getMonth(),
    d.getDate() + days,
    d.getHours(),
    (days === 0 ? grid : d.getMinutes()) + (minutes % 1440),
  ).getTime();
};
