import { useSyncExternalStore } from 'react';

/** One thing that can be undone and done again. */
export interface Step {
  readonly label: string;
  readonly undo: () => Promise<unknown>;
  readonly redo: () => Promise<unknown>;
  /** Steps with the same key within a moment become one, as typing in one field does. */
  readonly key?: string;
  readonly at: number;
}

const TOGETHER_MS = 1200;
const MOST = 200;

interface Past {
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}

/** What can be undone in this tab. Session state: it is gone with the tab; the log of a piece is not. */
export const makeHistory = () => {
  let past: Past = { done: [], undone: [] };
  const listeners = new Set<() => void>();
  const set = (next: Past): void => {
    past = next;
    for (const l of listeners) l();
  };
  return {
    push: (step: Step): void => {
      const last = past.done.at(-1);
      const joins =
        last !== undefined &&
        step.key !== undefined &&
        last.key === step.key &&
        step.at - last.at < TOGETHER_MS;
      const done = joins ? [...past.done.slice(0, -1), { ...step, undo: last.undo }] : [...past.done, step];
      set({ done: done.slice(-MOST), undone: [] });
    },
    undo: async (): Promise<string | null> => {
      const step = past.done.at(-1);
      if (!step) return null;
      set({ done: past.done.slice(0, -1), undone: [...past.undone, step] });
      await step.undo();
      return step.label;
    },
    redo: async (): Promise<string | null> => {
      const step = past.undone.at(-1);
      if (!step) return null;
      set({ done: [...past.done, { ...step, at: 0 }], undone: past.undone.slice(0, -1) });
      await step.redo();
      return step.label;
    },
    subscribe: (l: () => void) => {
      listeners.add(l);
      return () => void listeners.delete(l);
    },
    get: () => past,
  };
};

export const history = makeHistory();

/** What undo and redo would do now, for their labels. */
export const useHistory = (): { readonly undo: string | null; readonly redo: string | null } => {
  const past = useSyncExternalStore(history.subscribe, history.get);
  return { undo: past.done.at(-1)?.label ?? null, redo: past.undone.at(-1)?.label ?? null };
};
