import { useEffect } from 'react';
import { flushSync } from 'react-dom';
import { drawNow } from '../session/useCalm';
import { doNow, isWaiting } from '../ui/afterwards';
import { takeDragEnd } from '../ui/dragEnd';

const FIELD = 'textarea, input:not([type=checkbox], [type=radio], [type=range], [type=file])';

/** Keys that do something in a field, but write. */
const DOES: ReadonlySet<string> = new Set([
  'Enter',
  'Escape',
  'Tab',
  'ArrowUp',
  'ArrowDown',
  'PageUp',
  'PageDown',
]);
const MODIFIERS: ReadonlySet<string> = new Set(['Shift', 'Control', 'Alt', 'Meta']);

/** Whether a click is the end of a drag: it was let go of with the finger; that a click comes with it means nothing. */
const endsDrag = (e: Event): boolean => {
  const isNoted = (e.type === 'click' || e.type === 'pointerdown') && takeDragEnd();
  if (e.type !== 'click') return false;
  return isNoted || (e.target instanceof Element && e.target.closest('[role=slider]') !== null);
};

/** Letters that go into a field, and a tap into one, step from nothing on the screen; nor does a modifier alone. */
const isIdle = (e: Event): boolean => {
  if (e instanceof KeyboardEvent && MODIFIERS.has(e.key)) return true;
  if (endsDrag(e)) return true;
  if (!(e.target instanceof HTMLElement && e.target.matches(FIELD))) return false;
  return e instanceof KeyboardEvent ? !e.ctrlKey && !e.metaKey && !DOES.has(e.key) : e instanceof MouseEvent;
};

/** What was done is told and drawn before the next key or tap does anything, and before the page is left. */
const inOrder = (e: Event): void => {
  if (isIdle(e)) return;
  if (isWaiting()) flushSync(doNow);
  drawNow(flushSync);
};

const BEFORE = ['keydown', 'pointerdown', 'click', 'pagehide', 'visibilitychange'] as const;

/** Keeps keys and taps in order, though what follows from each comes a little after it. */
export const useInOrder = (): void =>
  useEffect(() => {
    for (const type of BEFORE) window.addEventListener(type, inOrder, { capture: true });
    return () => {
      for (const type of BEFORE) window.removeEventListener(type, inOrder, { capture: true });
    };
  }, []);
