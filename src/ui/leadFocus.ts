import type { KeyboardEvent } from 'react';

/** From which of so many an arrow key leads to which, round and round; null for another key. */
const ledTo = (key: string, at: number, count: number): number | null => {
  if (key === 'ArrowRight' || key === 'ArrowDown') return (at + 1) % count;
  if (key === 'ArrowLeft' || key === 'ArrowUp') return (at + count - 1) % count;
  if (key === 'Home') return 0;
  return key === 'End' ? count - 1 : null;
};

/**
 * Moves the focus by arrow keys among elements of a role. A library keeps in its state where that is, and draws all of them anew for a touch of
 * the mouse.
 */
export const leadFocus =
  (role: 'radio' | 'menuitem') =>
  (e: KeyboardEvent<HTMLElement>): void => {
    const all = [...e.currentTarget.querySelectorAll<HTMLElement>(`[role=${role}]`)];
    const at = all.findIndex(one => one === e.target);
    const to = at < 0 || e.ctrlKey || e.metaKey || e.altKey ? null : ledTo(e.key, at, all.length);
    if (to === null) return;
    e.preventDefault();
    all[to]?.focus();
  };
