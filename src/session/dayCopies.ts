import { hasRoom } from './hasRoom';

/** A copy of the whole workshop as it stood on a day. */
export interface DayCopy {
  /** As 2026-11-28. */
  readonly day: string;
  readonly open: () => Promise<File>;
}

/** Where copies of days are kept, one for each day. */
export interface DayCopies {
  /** The last first. */
  readonly list: () => Promise<readonly DayCopy[]>;
  /** Whole or not at all: a crash leaves what was there. */
  readonly keep: (day: string, bytes: Uint8Array) => Promise<void>;
  readonly drop: (day: string) => Promise<void>;
}

const FOLDER = 'days';
const NAME = /^(\d{4}-\d{2}-\d{2})\.json$/;

const nameOf = (day: string): string => `${day}.json`;

/** Copies in the browser's own file system for this address; null where it has none. */
export const browserDayCopies = (): DayCopies | null => {
  const { storage }: { readonly storage?: StorageManager } = navigator;
  if (!storage?.getDirectory) return null;
  const folder = async (): Promise<FileSystemDirectoryHandle> =>
    (await storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });
  return {
    list: async () => {
      // Where room is short this file system is not even begun: it lives on what the workshop needs.
      if (!(await hasRoom())) return [];
      const found: DayCopy[] = [];
      for await (const handle of (await folder()).values()) {
        const day = NAME.exec(handle.name)?.[1];
        if (day !== undefined && handle instanceof FileSystemFileHandle)
          found.push({ day, open: () => handle.getFile() });
      }
      return found.toSorted((a, b) => (a.day < b.day ? 1 : -1));
    },
    keep: async (day, bytes) => {
      if (!(await hasRoom())) return;
      const handle = await (await folder()).getFileHandle(nameOf(day), { create: true });
      // Written beside it, and put in its place when it is whole.
      const out = await handle.createWritable();
      await out.write(new Uint8Array(bytes));
      await out.close();
    },
    drop: async day => (await folder()).removeEntry(nameOf(day)),
  };
};
