import { createContext, useContext, useEffect, useRef } from 'react';

/** A key of the view one is in: what is pressed, what it does in words, and what it does. */
export interface Shortcut {
  readonly keys: readonly string[];
  readonly shown: string;
  readonly does: string;
  readonly run: () => void;
  /** Goes on while the key is held. Others act once for each press, so that a held pedal counts one set. */
  readonly repeats?: boolean;
}

/** The keys a view has at the moment it is asked. */
export interface ShortcutList {
  readonly current: readonly Shortcut[];
}

export interface ShortcutRegistry {
  readonly add: (list: ShortcutList) => () => void;
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
const pressed = (e: KeyboardEvent): string => {
  const control = e.ctrlKey || e.metaKey;
  // Shift alone with a letter or sign is already in the key: `?`.
  const shift = e.shiftKey && (control || e.key.length > 1);
  const key = e.key.length === 1 ? e.key.toLowerCase() : e.key;
  return `${control ? 'Ctrl+' : ''}${shift ? 'Shift+' : ''}${key}`;
};

/** The views that listen, the newest last: it is asked first. */
const listening: ShortcutList[] = [];

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
  if (!e.repeat || hit.repeats) hit.run();
};

/** Listens for the keys of a view while it is shown. Plain keys are left alone while something is typed. */
export const useShortcuts = (list: readonly Shortcut[]): void => {
  const current = useRef(list);
  const registry = useContext(ShortcutContext);
  useEffect(() => {
    current.current = list;
  });
  useEffect(() => registry.add(current), [registry]);
  useEffect(() => {
    if (listening.length === 0) window.addEventListener('keydown', onKey);
    listening.push(current);
    return () => {
      listening.splice(listening.indexOf(current), 1);
      if (listening.length === 0) window.removeEventListener('keydown', onKey);
    };
  }, []);
};
