import { useCallback, useState } from 'react';

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};

/** A half-typed thing that survives the tab: kept in the browser (local storage) until it is cleared. */
export const useKeptDraft = <T>(
  key: string,
  parse: (text: string) => T | null,
): [T | null, (draft: T | null) => void] => {
  const [draft, setDraft] = useState<T | null>(() => {
    const text = read(key);
    return text === null ? null : parse(text);
  });
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
