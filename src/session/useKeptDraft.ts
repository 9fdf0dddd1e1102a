import { useCallback, useState } from 'react';
import type { z } from 'zod';
import type { Notes } from './notes';
import { useWorkshop } from './workshop';

/** What is kept under a name; null where nothing is, or it is damaged. */
const read = <T>(notes: Notes, key: string, schema: z.ZodType<T>): T | null => {
  try {
    return schema.safeParse(JSON.parse(notes.get(key) ?? 'null')).data ?? null;
  } catch {
    return null;
  }
};

/** Something half typed or half counted that survives the tab where the browser keeps notes, until it is cleared. */
export const useKeptDraft = <T>(key: string, schema: z.ZodType<T>): [T | null, (draft: T | null) => void] => {
  const { notes } = useWorkshop();
  const [draft, setDraft] = useState<T | null>(() => read(notes, key, schema));
  const keep = useCallback(
    (next: T | null) => {
      setDraft(next);
      if (next === null) notes.remove(key);
      else notes.set(key, JSON.stringify(next));
    },
    [notes, key],
  );
  return [draft, keep];
};
