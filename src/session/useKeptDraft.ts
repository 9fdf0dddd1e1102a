import { useCallback, useState } from 'react';
import type { z } from 'zod';

/** What is kept under a name; null where nothing is, or it is damaged, or the browser keeps nothing. */
const read = <T>(key: string, schema: z.ZodType<T>): T | null => {
  try {
    return schema.safeParse(JSON.parse(localStorage.getItem(key) ?? 'null')).data ?? null;
  } catch {
    return null;
  }
};

/** Something half typed or half counted that survives the tab: kept in the browser (local storage) until it is cleared. */
export const useKeptDraft = <T>(key: string, schema: z.ZodType<T>): [T | null, (draft: T | null) => void] => {
  const [draft, setDraft] = useState<T | null>(() => read(key, schema));
  const keep = useCallback(
    (next: T | null) => {
      setDraft(next);
      try {
        if (next === null) localStorage.removeItem(key);
        else localStorage.setItem(key, JSON.stringify(next));
      } catch {
        // Private browsing may forbid it; the draft then lives as long as the tab.
      }
    },
    [key],
  );
  return [draft, keep];
};
