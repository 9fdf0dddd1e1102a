import { z } from 'zod';
import { loadRecord, type RecordSpec } from '../records/migrate';
import { pieceSpec } from '../records/piece';
import { swatchSpec } from '../records/swatch';
import { woolSpec } from '../records/wool';
import type { Store } from '../store/store';

/**
 * Changes on their way to the store. A tab that closes in the middle leaves its note in the browser's local storage,
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

const NoteSchema = z.object({
  kind: z.enum(['piece', 'wool', 'swatch']),
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
const withNote =
  <T extends { readonly id: string; readonly revision: number }>(spec: RecordSpec<T>, { fields }: Note) =>
  (record: T): T => {
    const { id, revision } = record;
    const loaded = loadRecord(spec, { ...record, ...fields, id, revision }, 'ahead');
    return loaded.status === 'ok' ? loaded.value : record;
  };

/** Carries out what closed tabs had noted, in the order it was done. */
export const replay = async (store: Store): Promise<void> => {
  const keys = Object.keys(localStorage)
    .filter(key => key.startsWith(PREFIX))
    .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  for (const key of keys) {
    const note = parseNote(localStorage.getItem(key) ?? '');
    if (note?.kind === 'piece') await store.updatePiece(note.id, withNote(pieceSpec, note));
    if (note?.kind === 'wool') await store.updateWool(note.id, withNote(woolSpec, note));
    if (note?.kind === 'swatch') await store.updateSwatch(note.id, withNote(swatchSpec, note));
    localStorage.removeItem(key);
  }
};
