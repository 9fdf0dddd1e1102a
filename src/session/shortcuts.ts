import { createContext, useContext, useEffect, useLayoutEffect, useRef } from 'react';

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

/** The keys of all views that are shown, the newest last: it is asked first. */
export const makeShortcuts = () => {
  let listening: readonly ShortcutList[] = [];
  const listeners = new Set<() => void>();
  const set = (next: readonly ShortcutList[]): void => {
    listening = next;
    for (const l of listeners) l();
  };
  return {
    add: (list: ShortcutList): (() => void) => {
      set([...listening, list]);
      return () => set(listening.filter(l => l !== list));
    },
    all: (): readonly ShortcutList[] => listening,
    subscribe: (l: () => void) => {
      listeners.add(l);
      return () => void listeners.delete(l);
    },
    /** Does what a pressed key stands for. Plain keys are left alone while something is typed. */
    onKey: (e: KeyboardEvent): void => {
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
    },
  };
};

export type Shortcuts = ReturnType<typeof makeShortcuts>;

export const ShortcutContext = createContext<Shortcuts | null>(null);

/** Listens for the keys of a view while it is shown. */
export const useShortcuts = (list: readonly Shortcut[]): void => {
  const current = useRef(list);
  const shortcuts = useContext(ShortcutContext);
  // With the drawing, not after it: a key does what stands on the screen.
  useLayoutEffect(() => {
    current.current = list;
  });
  useEffect(() => shortcuts?.add(current), [shortcuts]);
};
