import { dequal } from 'dequal';
import { type Issue } from '../core/issues';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { loadRecord } from '../records/migrate';
import { type Patch, patchBetween, patched, reversed } from './patch';
import type { HistoryStep } from './history';
import { promptly } from './promptly';
import type { Workshop } from './workshop';

/** How a change is told and joined with others. */
export interface ChangeLabel {
  readonly label: string;
  readonly key?: string;
}

/** What became of a change that was not taken, or not kept. */
export interface ChangeRefusal {
  readonly issues: readonly Issue[];
}

/** Puts a patch on the stored record; gives how many of its figures were overtaken. */
const apply = async <T extends StoredRecord>(
  { store }: Workshop,
  kind: Kind<T>,
  { id, patch }: { readonly id: string; readonly patch: Patch },
): Promise<number> => {
  let left = 0;
  await store.update(kind, id, record => {
    const { fields, overtaken } = patched(record, patch);
    left = overtaken;
    const loaded = loadRecord(kind, fields, kind.kind);
    if (loaded.status === 'ok' && overtaken < patch.length) return loaded.value;
    // What would not be a good record any more is not made: all of it counts as overtaken.
    left = patch.length;
    return record;
  });
  return left;
};

/** What a step of the history goes back to, so that steps of one field can be joined. */
const origins = new WeakMap<HistoryStep, StoredRecord>();

const stepOf = <T extends StoredRecord>(
  workshop: Workshop,
  kind: Kind<T>,
  of: { readonly before: T; readonly after: T; readonly told: ChangeLabel },
): HistoryStep => {
  const { before, after, told } = of;
  const { id } = before;
  const patch = patchBetween(before, after);
  const step: HistoryStep = {
    label: told.label,
    // Typing in one field joins; the same field of another record does not.
    ...(told.key === undefined ? {} : { key: `${id}.${told.key}` }),
    at: workshop.clock.nowMs(),
    undo: () => apply(workshop, kind, { id, patch: reversed(patch) }),
    redo: () => apply(workshop, kind, { id, patch }),
    after: earlier => {
      const origin = origins.get(earlier);
      return origin && kind.is(origin) ? stepOf(workshop, kind, { ...of, before: origin }) : step;
    },
  };
  origins.set(step, before);
  return step;
};

/**
 * Changes a record at once on the screen and durably behind it, notes it ahead, and remembers how to undo it.
 * @returns settles when it is durable: null, or why it was not taken
 */
export const changeRecord = async <T extends StoredRecord>(
  workshop: Workshop,
  kind: Kind<T>,
  of: { readonly id: string; readonly change: (record: T) => T; readonly told: ChangeLabel },
): Promise<ChangeRefusal | null> => {
  const { store, cache, history, journal } = workshop;
  const { id, change, told } = of;
  const before = cache.shown(kind, id);
  if (!before) return store.update(kind, id, change).then(() => null);
  const changed = change(before);
  if (changed === before) return null;
  const loaded = loadRecord(kind, changed, kind.kind);
  if (loaded.status !== 'ok') return { issues: loaded.issues };
  const after = { ...changed, revision: before.revision + 1, updatedAt: workshop.nowIso() };
  const patch = patchBetween(before, after);
  const step = stepOf(workshop, kind, { before, after, told });
  history.push(step);
  const settled = cache.begin(id);
  promptly(() => cache.show(kind.table, after));
  const noted = Object.fromEntries(patch.map(({ path: [field = ''] }) => [field, Reflect.get(after, field)]));
  const durable = journal.note(kind.kind, before, noted);
  try {
    // What was shown is what is kept: the change is made anew only on a record that has moved on meanwhile.
    const kept = await store.update(kind, id, record =>
      patchBetween(before, record).length === 0 ? after : change(record),
    );
    durable();
    // What is kept as it was shown, but for the very moment, is not drawn again.
    const isShown = kept !== null && dequal({ ...kept, updatedAt: after.updatedAt }, after);
    if (settled() && kept && !isShown) cache.show(kind.table, kept);
    return null;
  } catch (error) {
    // It was not kept, and is told: its note must not come back, and the screen shows what is there.
    durable();
    settled();
    history.drop(step);
    cache.reread(kind.table, id);
    throw error;
  }
};

/** Puts a new record in; undo takes it out of sight again. Settles when it is durable. */
export const addRecord = async <T extends StoredRecord>(
  workshop: Workshop,
  kind: Kind<T>,
  record: T,
): Promise<void> => {
  const { store, history, clock, nowIso } = workshop;
  const setDeleted = async (deletedAt: string | null): Promise<number> => {
    await store.update(kind, record.id, r => ({ ...r, deletedAt }));
    return 0;
  };
  await store.add(kind, record);
  history.push({
    label: `new: ${kind.nameOf(record)}`,
    at: clock.nowMs(),
    undo: () => setDeleted(nowIso()),
    redo: () => setDeleted(null),
  });
};
