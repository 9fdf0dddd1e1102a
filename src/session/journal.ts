import { loadRecord } from '../records/migrate';
import { type Piece, pieceSpec } from '../records/piece';
import type { Store } from '../store/store';

/**
 * Changes on their way to the store. A tab that closes in the middle leaves its note in the browser's local storage,
 * which is written at once, and the next start carries it out.
 */
const PREFIX = 'jorrit.ahead.';
let notes = 0;

/** Notes a change of a piece; returns what to call when it is durable. */
export const noteAhead = (id: string, fields: Partial<Piece>): (() => void) => {
  notes += 1;
  const key = `${PREFIX}${Date.now()}.${notes}`;
  try {
    localStorage.setItem(key, JSON.stringify({ id, fields }));
  } catch {
    return () => undefined;
  }
  return () => localStorage.removeItem(key);
};

/** The piece with noted fields, when that is still a good piece; else as it was. */
const withNote = (piece: Piece, note: string): Piece => {
  try {
    const { fields }: { fields?: object } = JSON.parse(note);
    const loaded = loadRecord(
      pieceSpec,
      { ...piece, ...fields, id: piece.id, revision: piece.revision },
      'ahead',
    );
    return loaded.status === 'ok' ? loaded.value : piece;
  } catch {
    return piece;
  }
};

const idOf = (note: string): string => {
  try {
    const { id }: { id?: unknown } = JSON.parse(note);
    return typeof id === 'string' ? id : '';
  } catch {
    return '';
  }
};

/** Carries out what closed tabs had noted, in the order it was done. */
export const replay = async (store: Store): Promise<void> => {
  const keys = Object.keys(localStorage)
    .filter(key => key.startsWith(PREFIX))
    .toSorted((a, b) => a.localeCompare(b, 'en', { numeric: true }));
  for (const key of keys) {
    const note = localStorage.getItem(key);
    if (note !== null) await store.updatePiece(idOf(note), piece => withNote(piece, note));
    localStorage.removeItem(key);
  }
};
