import { z } from 'zod';
import { entriesInForce } from '../core/log/entriesInForce';
import type { StoredRecord } from '../records/common';
import { type Entry, ENTRY_VERSION, entrySpec } from '../records/entry';
import type { Kind } from '../records/kind';
import { loadRecord, type RecordSpec } from '../records/migrate';
import { KINDS } from '../records/kinds';
import { type Settings, settingsSpec } from '../records/settings';
import type { NewEntry, Store } from '../store/store';
import { StoreError } from '../store/storeError';
import type { Notes } from './notes';

/**
 * Changes and entries on their way to the store. A tab that closes in the middle leaves its note, which is written at once, and
 * the next start carries it out. The browser may bring back a note that was taken away already: a note therefore says on which
 * revision it was made, and one that the record has moved past is passed over.
 */
const PREFIX = 'jorrit.ahead.';
const SETTINGS = 'settings';
const ENTRY = 'entry';

const NoteSchema = z.object({
  kind: z.string(),
  id: z.string(),
  fields: z.record(z.string(), z.unknown()),
  /** The revision that it changes; left out by builds that did not say. */
  on: z.number().exactOptional(),
  /** The tab that made it. */
  by: z.string().exactOptional(),
});
type Note = z.infer<typeof NoteSchema>;

export interface Journal {
  /** Notes a change of a record that stands at a revision; gives what to call when it is durable, or has failed. */
  readonly note: (kind: string, record: Pick<StoredRecord, 'id' | 'revision'>, fields: object) => () => void;
  readonly noteSettings: (settings: Pick<Settings, 'revision'>, fields: object) => () => void;
  /** Notes an entry on its way into a log. */
  readonly noteEntry: (entry: NewEntry) => () => void;
  /** Carries out what closed tabs had noted, in the order it was done. @param lives whether a tab is still at work */
  readonly replay: (store: Store, lives: (tab: string) => boolean) => Promise<void>;
}

const parseNote = (text: string): Note | null => {
  try {
    return NoteSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
};

/** The record with noted fields, when that is still a good one; else as it was. */
const withFields = <T extends object>(spec: RecordSpec<T>, record: T, fields: object): T => {
  const loaded = loadRecord(spec, { ...record, ...fields }, 'ahead');
  return loaded.status === 'ok' ? loaded.value : record;
};

/** When a note of a build that named no revision was made, ms: its name begins with it. */
const madeAt = (key: string): number => Number.parseInt(key.slice(PREFIX.length), 10);

/** Whether a record is still where it was when the note was made. */
const isCurrent = (record: StoredRecord, note: Note, key: string): boolean =>
  note.on === undefined ? Date.parse(record.updatedAt) < madeAt(key) : record.revision <= note.on;

const carryOutChange = <T extends StoredRecord>(
  store: Store,
  kind: Kind<T>,
  { note, key }: { readonly note: Note; readonly key: string },
): Promise<unknown> =>
  store.update(kind, note.id, record =>
    isCurrent(record, note, key)
      ? withFields(kind, record, { ...note.fields, id: record.id, revision: record.revision })
      : record,
  );

/** Whether an entry, other than an undo, does not stand any more. */
const isTakenBack = (log: readonly Entry[], id: string): boolean => {
  const target = log.find(e => e.id === id);
  return target !== undefined && target.act.kind !== 'undo' && !entriesInForce(log).some(e => e.id === id);
};

/** Puts a noted entry into its log, unless it is there already, or its piece is gone, or it is damaged, or was taken back already. */
const carryOutEntry = async (store: Store, { id, fields }: Note): Promise<void> => {
  const loaded = loadRecord(entrySpec, { ...fields, kind: ENTRY, id, seq: 1 }, 'ahead');
  if (loaded.status !== 'ok') return;
  const { pieceId, at, act } = loaded.value;
  const decide = (log: readonly Entry[]) => {
    const isKnown = log.some(e => e.id === id);
    return !isKnown && act.kind === 'undo' && isTakenBack(log, act.of) ? null : { id, at, act };
  };
  await store.appendBy(pieceId, decide).catch((error: unknown) => {
    if (!(error instanceof StoreError && error.issue.code === 'PIECE_GONE')) throw error;
  });
};

const carryOut = async (store: Store, note: Note, key: string): Promise<unknown> => {
  if (note.kind === ENTRY) return carryOutEntry(store, note);
  if (note.kind === SETTINGS)
    return store.updateSettings(settings =>
      note.on === undefined || settings.revision <= note.on
        ? withFields(settingsSpec, settings, { ...note.fields, revision: settings.revision })
        : settings,
    );
  const kind = KINDS.find(k => k.kind === note.kind);
  return kind && carryOutChange(store, kind, { note, key });
};

/**
 * The journal of one tab.
 * @param tab its name  @param nowMs the time, which orders notes of several tabs
 */
export const makeJournal = (notes: Notes, tab: string, nowMs: () => number): Journal => {
  let made = 0;
  const put = (note: Note): (() => void) => {
    made += 1;
    const key = `${PREFIX}${nowMs()}.${made}.${tab}`;
    return notes.set(key, JSON.stringify(note)) ? () => notes.remove(key) : () => undefined;
  };
  return {
    note: (kind, { id, revision }, fields) => put({ kind, id, fields: { ...fields }, on: revision, by: tab }),
    noteSettings: ({ revision }, fields) =>
      put({ kind: SETTINGS, id: SETTINGS, fields: { ...fields }, on: revision, by: tab }),
    noteEntry: ({ id, ...fields }) =>
      put({ kind: ENTRY, id, fields: { version: ENTRY_VERSION, ...fields }, by: tab }),
    replay: async (store, lives) => {
      const keys = notes
        .keys()
        .filter(key => key.startsWith(PREFIX))
        .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }));
      for (const key of keys) {
        const note = parseNote(notes.get(key) ?? '');
        if (note?.by !== undefined && note.by !== tab && lives(note.by)) continue;
        if (note) await carryOut(store, note, key);
        notes.remove(key);
      }
    },
  };
};
