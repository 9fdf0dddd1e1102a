import { openDB } from 'idb';

const NAME = 'jorrit-copy';
const TABLE = 'handles';
const KEY = 'own';

const open = () =>
  openDB(NAME, 1, {
    upgrade: db => void db.createObjectStore(TABLE),
  });

/** The file that a copy is kept in, as the maker chose it; null where none is chosen. Kept apart: it means nothing in another browser. */
export const copyHandle = async (): Promise<FileSystemFileHandle | null> => {
  const db = await open();
  const found: unknown = await db.get(TABLE, KEY);
  db.close();
  return found instanceof FileSystemFileHandle ? found : null;
};

/** @param handle null to forget it */
export const setCopyHandle = async (handle: FileSystemFileHandle | null): Promise<void> => {
  const db = await open();
  if (handle) await db.put(TABLE, handle, KEY);
  else await db.delete(TABLE, KEY);
  db.close();
};
