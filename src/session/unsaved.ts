import { z } from 'zod';
import { IsoTime } from '../records/common';
import type { Store } from '../store/store';
import type { Clock } from './clock';
import type { Notes } from './notes';

const KEY = 'jorrit.saved';
/** Changes are noted so often at most: not at every tap. */
const EVERY_MS = 2_000;

const UnsavedSchema = z.object({
  /** When the whole workshop was last saved to a file; null for never. */
  savedAt: IsoTime.nullable(),
  /** Changes since then. */
  changes: z.number().int().min(0).max(1e9),
  /** How large that file was; null where none was saved, or an earlier build did. */
  fileBytes: z.number().int().min(0).nullable().default(null),
});

/** What is in this browser only. */
export type Unsaved = z.infer<typeof UnsavedSchema>;

const NEVER: Unsaved = { savedAt: null, changes: 0, fileBytes: null };

/** Counts what was changed since the workshop was last saved to a file, in this tab and the others. */
export interface UnsavedCount {
  readonly get: () => Unsaved;
  readonly subscribe: (listener: () => void) => () => void;
  /** The whole workshop went into a file. */
  readonly saved: (at: string, fileBytes: number) => void;
}

const read = (notes: Notes): Unsaved => {
  try {
    return UnsavedSchema.safeParse(JSON.parse(notes.get(KEY) ?? 'null')).data ?? NEVER;
  } catch {
    return NEVER;
  }
};

/**
 * @param of.store whose changes count: each record and each entry that a hand changed; what was put in all at once, as a file or the sample
 * is, counts none
 */
export const makeUnsaved = (of: {
  readonly store: Pick<Store, 'subscribe'>;
  readonly notes: Notes;
  readonly clock: Clock;
}): UnsavedCount & { readonly close: () => void } => {
  const { store, notes, clock } = of;
  let shown = read(notes);
  let pending = 0;
  const listeners = new Set<() => void>();
  const write = (next: Unsaved): void => {
    shown = next;
    notes.set(KEY, JSON.stringify(next));
    for (const tell of listeners) tell();
  };
  // Every tab hears of every change, its own and those of the others: all count the same, and the one that was open longest knows most.
  const flush = (): void => {
    if (pending === 0) return;
    const noted = read(notes);
    // Where another tab saved meanwhile, what this one knew from before is in the file.
    const known = noted.savedAt === shown.savedAt ? shown.changes : 0;
    const changes = Math.max(noted.changes, known + pending);
    pending = 0;
    write({ ...noted, changes });
  };
  const ends = [
    store.subscribe(({ record, entry }) => {
      if (record ?? entry) pending += 1;
    }),
    clock.every(EVERY_MS, flush),
  ];
  return {
    get: () => shown,
    subscribe: listener => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    saved: (at, fileBytes) => {
      pending = 0;
      write({ savedAt: at, changes: 0, fileBytes });
    },
    close: () => {
      flush();
      for (const end of ends) end();
    },
  };
};
