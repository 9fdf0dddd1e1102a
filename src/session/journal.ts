import { z } from 'zod';
import { ENTRY_VERSION, entrySpec } from '../records/entry';
import { loadRecord, type RecordSpec } from '../records/migrate';
import { pieceSpec } from '../records/piece';
import { recipeSpec } from '../records/recipe';
import { settingsSpec } from '../records/settings';
import { swatchSpec } from '../records/swatch';
import { woolSpec } from '../records/wool';
import type { NewEntry, Store } from '../store/store';

/**
 * Changes and entries on their way to the store. A tab that closes in the middle leaves its note in the browser's local storage,
 * which is written at once, and the next start carries it out.
 */
const PREFIX = 'jorrit.ahead.';
let notes = 0;

/** Notes a change of a record; returns what to call when it is durable. */
export const noteAhead = (kind: string, id: string, fields: object): (() => void) => {
  notes += 1;
  const key = `${PREFIX}${Date.now()}.${notes}`;
  try {
    localStorage.setItem(key, JSON.stringify({ kind, id, fields }));
  } catch {
    return () => undefined;
  }
  return () => localStorage.removeItem(key);
};

/** Notes an entry on its way into a log; returns what to call when it is there. */
export const noteEntryAhead = ({ id, ...fields }: NewEntry): (() => void) =>
  noteAhead('entry', id, { version: ENTRY_VERSION, ...fields });

const NoteSchema = z.object({
  kind: z.enum(['piece', 'wool', 'swatch', 'recipe', 'settings', 'entry']),
  id: z.string(),
  fields: z.record(z.string(), z.unknown()),
});
type Note = z.infer<typeof NoteSchema>;

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
const withNote =
  <T extends { readonly id: string; readonly revision: number }>(spec: RecordSpec<T>, { fields }: Note) =>
  (record: T): T =>
    withFields(spec, record, { ...fields, id: record.id, revision: record.revision });

/** Puts a noted entry into its log, unless it is there already, or its piece is gone, or it is damaged. */
const append = async (store: Store, { id, fields }: Note): Promise<void> => {
  const loaded = loadRecord(entrySpec, { ...fields, kind: 'entry', id, seq: 1 }, 'ahead');
  if (loaded.status !== 'ok' || (await store.piece(loaded.value.pieceId)) === null) return;
  const { pieceId, at, act } = loaded.value;
  await store.append({ id, pieceId, at, act });
};

const carryOut = async (store: Store, note: Note): Promise<unknown> => {
  switch (note.kind) {
    case 'piece':
      return store.updatePiece(note.id, withNote(pieceSpec, note));
    case 'wool':
      return store.updateWool(note.id, withNote(woolSpec, note));
    case 'swatch':
      return store.updateSwatch(note.id, withNote(swatchSpec, note));
    case 'recipe':
      return store.updateRecipe(note.id, withNote(recipeSpec, note));
    case 'settings':
      return store.updateSettings(settings => withFields(settingsSpec, settings, note.fields));
    case 'entry':
      return append(store, note);
  }
};

/** Carries out what closed tabs had noted, in the order it was done. */
export const replay = async (store: Store): Promise<void> => {
  const keys = Object.keys(localStorage)
    .filter(key => key.startsWith(PREFIX))
    .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  for (const key of keys) {
    const note = parseNote(localStorage.getItem(key) ?? '');
    if (note) await carryOut(store, note);
    localStorage.removeItem(key);
  }
};
