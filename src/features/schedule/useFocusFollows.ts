import { type RefObject, useLayoutEffect, useRef } from 'react';

/** So long a line that went may take to be drawn on another day, ms. */
const SOON_MS = 2000;

/** The line that went while it had the focus, and when. */
let left: { readonly key: string; readonly atMs: number } | null = null;

/**
 * Keeps the focus with a line that moves from one list to another, whichever of the two is drawn first: whoever moves it by keys goes on with them.
 * @param key the same for the line in either list
 * @returns what goes on its button
 */
export const useFocusFollows = (
  key: string,
): { readonly ref: RefObject<HTMLButtonElement | null>; readonly 'data-line': string } => {
  const ref = useRef<HTMLButtonElement>(null);
  useLayoutEffect(() => {
    const here = ref.current;
    const { activeElement, body } = document;
    const isStillThere = activeElement instanceof HTMLElement && activeElement.dataset['line'] === key;
    const isLost = activeElement === body && left?.key === key && performance.now() - left.atMs < SOON_MS;
    if (isStillThere || isLost) here?.focus();
    return () => {
      if (here && document.activeElement === here) left = { key, atMs: performance.now() };
    };
  }, [key]);
  return { ref, 'data-line': key };
};
