import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { useWorkshop } from '../session/workshop';
import { LAST_LOOK, type LastLook, shownOf } from '../ui/lastLook';

/** So long nothing changed: it is seen as it is. */
const QUIET_MS = 800;
/** What is larger takes as long to show as the table itself. */
const MOST_CHARACTERS = 100_000;

/** Keeps how the table looks, for the next start; away from it, what is no longer on it is not kept either. */
export const useLastLook = (): void => {
  const { store, notes } = useWorkshop();
  const isTable = useLocation().pathname === '/';
  useEffect(() => {
    if (isTable) return undefined;
    return store.subscribe(({ table }) => {
      if (table === 'all' || table === 'pieces') notes.remove(LAST_LOOK);
    });
  }, [isTable, store, notes]);
  useEffect(() => {
    const root = document.querySelector('#root');
    if (!isTable || !root) return undefined;
    const keep = (): void => {
      // Of thousands of pieces those that are seen, and a few below them.
      const most = 1.25 * window.innerHeight;
      const isSeen = (element: Element): boolean =>
        element.localName !== 'li' || element.getBoundingClientRect().top < most;
      const look: LastLook = {
        theme: document.documentElement.dataset['theme'] ?? 'light',
        shown: [...root.children].map(e => shownOf(e, isSeen)),
      };
      const text = JSON.stringify(look);
      if (root.querySelector('h1') && text.length <= MOST_CHARACTERS) notes.set(LAST_LOOK, text);
      else notes.remove(LAST_LOOK);
    };
    let waits = setTimeout(keep, QUIET_MS);
    const observer = new MutationObserver(() => {
      clearTimeout(waits);
      waits = setTimeout(keep, QUIET_MS);
    });
    observer.observe(root, { childList: true, subtree: true, characterData: true });
    return () => {
      observer.disconnect();
      clearTimeout(waits);
    };
  }, [isTable, notes]);
};
