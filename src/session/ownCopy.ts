import { copyHandle, setCopyHandle } from '../store/copyHandle';
import type { Workshop } from './workshop';

/** How a copy that keeps itself stands. */
export type CopyStanding =
  /** This browser has no files that a page may write by itself. */
  | { readonly is: 'none' }
  /** No file was chosen. */
  | { readonly is: 'off' }
  | { readonly is: 'on'; readonly name: string; readonly writtenAt: string | null }
  /** The browser wants to be asked again before it writes there. */
  | { readonly is: 'ask'; readonly name: string }
  /** It could not be written: the file is gone, or the disk is full. */
  | { readonly is: 'failed'; readonly name: string; readonly why: string };

/** A file of the maker's own in which the workshop is kept by itself. */
export interface OwnCopy {
  readonly get: () => CopyStanding;
  readonly subscribe: (listener: () => void) => () => void;
  /** Lets the maker choose a file, and writes it. */
  readonly choose: () => Promise<void>;
  /** Asks the browser again whether it may be written. */
  readonly allow: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** A sitting is over when nothing was changed for so long. */
const SITTING_MS = 15 * 60_000;
const LOOKS_MS = 30_000;
/** Noted while a file is chosen. */
const CHOSEN = 'jorrit.copy';

interface Picker {
  readonly showSaveFilePicker?: (of: object) => Promise<FileSystemFileHandle>;
}
interface Permitted {
  readonly queryPermission?: (of: object) => Promise<PermissionState>;
  readonly requestPermission?: (of: object) => Promise<PermissionState>;
}
const WRITE = { mode: 'readwrite' };

const mayWrite = async (handle: FileSystemFileHandle & Permitted): Promise<boolean> =>
  ((await handle.queryPermission?.(WRITE)) ?? 'granted') === 'granted';

/** Writes the whole workshop into it: beside what is there, and put in its place when it is whole. */
const writeInto = async ({ whole, nowIso }: Workshop, handle: FileSystemFileHandle): Promise<number> => {
  const { file } = await whole.save({ pieceId: null, pictures: true, exportedAt: nowIso() });
  const out = await handle.createWritable();
  await out.write(new Uint8Array(file.bytes));
  await out.close();
  return file.bytes.length;
};

/** Keeps a copy by itself: at the end of each sitting, and when the page is put aside. */
export const makeOwnCopy = (workshop: Workshop, page: Window & Picker): OwnCopy => {
  const { unsaved, clock, nowIso, notes } = workshop;
  let standing: CopyStanding = page.showSaveFilePicker ? { is: 'off' } : { is: 'none' };
  let handle: FileSystemFileHandle | null = null;
  let changedMs = clock.nowMs();
  let isBusy = false;
  const listeners = new Set<() => void>();
  const set = (next: CopyStanding): void => {
    standing = next;
    for (const tell of listeners) tell();
  };
  const write = async (): Promise<void> => {
    const into = handle;
    if (!into || isBusy) return;
    isBusy = true;
    try {
      if (!(await mayWrite(into))) return set({ is: 'ask', name: into.name });
      const bytes = await writeInto(workshop, into);
      const at = nowIso();
      unsaved.saved(at, bytes);
      set({ is: 'on', name: into.name, writtenAt: at });
    } catch (error) {
      set({ is: 'failed', name: into.name, why: error instanceof Error ? error.message : String(error) });
    } finally {
      isBusy = false;
    }
  };
  const begin = async (): Promise<void> => {
    // No second database is opened where none is needed.
    if (notes.get(CHOSEN) === null) return;
    handle = await copyHandle();
    if (!handle) return;
    const isAllowed = await mayWrite(handle);
    set(
      isAllowed
        ? { is: 'on', name: handle.name, writtenAt: unsaved.get().savedAt }
        : { is: 'ask', name: handle.name },
    );
  };
  if (standing.is === 'off') {
    void begin().catch(() => undefined);
    unsaved.subscribe(() => {
      changedMs = clock.nowMs();
    });
    clock.every(LOOKS_MS, () => {
      if (unsaved.get().changes > 0 && clock.nowMs() - changedMs >= SITTING_MS) void write();
    });
    page.document.addEventListener('visibilitychange', () => {
      if (page.document.visibilityState === 'hidden' && unsaved.get().changes > 0) void write();
    });
  }
  return {
    get: () => standing,
    subscribe: listener => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    choose: async () => {
      const chosen = await page.showSaveFilePicker?.({ suggestedName: 'jorrit-workshop.json' });
      if (!chosen) return;
      handle = chosen;
      await setCopyHandle(chosen);
      notes.set(CHOSEN, '1');
      await write();
    },
    allow: async () => {
      const asked: (FileSystemFileHandle & Permitted) | null = handle;
      if ((await asked?.requestPermission?.(WRITE)) === 'granted') await write();
    },
    stop: async () => {
      handle = null;
      await setCopyHandle(null);
      notes.remove(CHOSEN);
      set({ is: 'off' });
    },
  };
};
