import { dayOf } from './clock';
import type { DayCopies } from './dayCopies';
import type { Workshop } from './workshop';

/** So many days can be gone back to. */
const MOST_DAYS = 7;
/** The first change of a day is left alone for so long: hands go on first. */
const AFTER_MS = 2_000;

/** Writes the workshop, pictures by their names only. */
export type WriteDay = (workshop: Workshop) => Promise<Uint8Array>;

const writeDay: WriteDay = async ({ whole, nowIso }) =>
  (await whole.save({ pieceId: null, pictures: false, exportedAt: nowIso() })).file.bytes;

interface DayKeeping {
  readonly copies: DayCopies;
  readonly write: WriteDay;
}

/** Keeps the workshop as it stands today, and lets the oldest days go. */
const keepToday = async (workshop: Workshop, { copies, write }: DayKeeping, day: string): Promise<void> => {
  const known = await copies.list();
  if (known.some(c => c.day === day)) return;
  await copies.keep(day, await write(workshop));
  const all = await copies.list();
  for (const old of all.slice(MOST_DAYS)) await copies.drop(old.day);
};

/**
 * Keeps a copy of the workshop at the first change of each day. One that could not be made is tried again at the next change.
 * @returns what ends it
 */
export const keepDays = (workshop: Workshop, copies: DayCopies, write: WriteDay = writeDay): (() => void) => {
  const { store, clock } = workshop;
  let doneFor = '';
  let dueMs: number | null = null;
  let isBusy = false;
  const leave = store.subscribe(({ table }) => {
    if (table === 'settings' || dueMs !== null || doneFor === dayOf(clock.nowMs())) return;
    dueMs = clock.nowMs() + AFTER_MS;
  });
  const stop = clock.every(1000, () => {
    if (dueMs === null || isBusy || clock.nowMs() < dueMs) return;
    const day = dayOf(clock.nowMs());
    isBusy = true;
    keepToday(workshop, { copies, write }, day)
      .then(
        () => (doneFor = day),
        () => undefined,
      )
      .finally(() => {
        isBusy = false;
        dueMs = null;
      });
  });
  return () => {
    leave();
    stop();
  };
};
