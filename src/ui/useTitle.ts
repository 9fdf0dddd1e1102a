import { useEffect } from 'react';

/** What the tab, the history and a bookmark call this view. */
export const useTitle = (...parts: readonly string[]): void => {
  const title = [...parts, 'Jorrit'].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
};
