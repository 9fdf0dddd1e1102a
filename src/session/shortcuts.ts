import { createContext, useContext, useEffect, useRef } from 'react';

/** A key of the view one is in: what is pressed, what it does in words, and what it does. */
export interface Shortcut {
  readonly keys: readonly string[];
  readonly shown: string;
  readonly does: string;
  readonly run: () => void;
}

export interface ShortcutRegistry {
  readonly add: (list: readonly Shortcut[]) => () => void;
}

export const ShortcutContext = createContext<ShortcutRegistry>({ add: () => () => undefined });

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Elements that take these keys for themselves. */
const takesKey = (target: EventTarget | null, key: string): boolean => {
  if (!(target instanceof Element)) return false;
  const role = target.getAttribute('role');
  if (key.startsWith('Arrow')) return role === 'slider' || role === 'radio' || role === 'tab';
  return (key === ' ' || key === 'Enter') && target.matches('button, a, [role=radio]');
};

/** Name of a pressed key with its modifiers: `Ctrl+z`, `Shift+ArrowUp`, ` `. */
const pressed = (e: KeyboardEvent): string =>
  `${e.ctrlKey || e.metaKey ? 'Ctrl+' : ''}${e.shiftKey && e.key.length > 1 ? 'Shift+' : ''}${e.key.length === 1 && e.key !== ' ' ? e.key.toLowerCase() : e.key}`;

/** The views that listen, the newest last: it is asked first. */
const listening: Array<{ readonly current: readonly Shortcut[] }> = [];

const onKey = (e: KeyboardEvent): void => {
  if (e.defaultPrevented || e.altKey || (isTyping(e.target) && e.key !== 'Escape')) return;
  if (takesKey(e.target, e.key) || document.querySelector('[role=dialog]')) return;
  const name = pressed(e);
  const hit = listening
    .toReversed()
    .flatMap(view => view.current)
    .find(s => s.keys.includes(name));
  if (!hit) return;
  e.preventDefault();
  hit.run();
};

/** Listens for the keys of a view while it is shown. Plain keys are left alone while something is typed. */
export const useShortcuts = (list: readonly Shortcut[]): void => {
  const current = useRef(list);
  const registry = useContext(ShortcutContext);
  useEffect(() => {
    current.current = list;
  });
  useEffect(() => registry.add(current.current), [registry]);
  useEffect(() => {
    if (listening.length === 0) window.addEventListener('keydown', onKey);
    listening.push(current);
    return () => {
      listening.splice(listening.indexOf(current), 1);
      if (listening.length === 0) window.removeEventListener('keydown', onKey);
    };
  }, []);
};
