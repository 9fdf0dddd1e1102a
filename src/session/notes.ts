/** Small notes under names, written at once: the browser's local storage, or what stands in for it. */
export interface Notes {
  readonly keys: () => readonly string[];
  readonly get: (key: string) => string | null;
  /** False where it could not be written. */
  readonly set: (key: string, text: string) => boolean;
  readonly remove: (key: string) => void;
  /** Whether notes are kept beyond the page. */
  readonly isKept: boolean;
}

/** Notes that live as long as the page. */
export const memoryNotes = (): Notes => {
  const all = new Map<string, string>();
  return {
    keys: () => [...all.keys()],
    get: key => all.get(key) ?? null,
    set: (key, text) => {
      all.set(key, text);
      return true;
    },
    remove: key => void all.delete(key),
    isKept: false,
  };
};

const works = (storage: Storage): boolean => {
  const probe = 'jorrit.probe';
  storage.setItem(probe, '1');
  const isThere = storage.getItem(probe) === '1';
  storage.removeItem(probe);
  return isThere;
};

/** Notes in the browser's local storage; where it is denied or full, in memory. */
export const browserNotes = (): Notes => {
  try {
    const { localStorage: storage } = globalThis;
    if (!works(storage)) return memoryNotes();
    return {
      keys: () => Object.keys(storage),
      get: key => storage.getItem(key),
      set: (key, text) => {
        try {
          storage.setItem(key, text);
          return true;
        } catch {
          return false;
        }
      },
      remove: key => storage.removeItem(key),
      isKept: true,
    };
  } catch {
    return memoryNotes();
  }
};
