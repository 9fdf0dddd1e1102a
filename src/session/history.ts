import { useSyncExternalStore } from 'react';

/** One thing that can be undone and done again. Each gives how much of it was overtaken by other changes, and left. */
export interface HistoryStep {
  readonly label: string;
  readonly undo: () => Promise<number>;
  readonly redo: () => Promise<number>;
  /** Steps with the same key within a moment become one, as typing in one field does. */
  readonly key?: string;
  readonly at: number;
  /** The two as one step; without it the earlier one is forgotten but for its undo. */
  readonly after?: (earlier: HistoryStep) => HistoryStep;
}

/** What was undone or done again. */
export interface Undone {
  readonly label: string;
  readonly overtaken: number;
}

const TOGETHER_MS = 1200;
const MOST = 200;

interface Past {
  readonly done: readonly HistoryStep[];
  readonly undone: readonly HistoryStep[];
}

/** What can be undone in a workshop that is open. Session state: it is gone with the tab; the log of a piece is not. */
export const makeHistory = () => {
  let past: Past = { done: [], undone: [] };
  const listeners = new Set<() => void>();
  const set = (next: Past): void => {
    past = next;
    for (const l of listeners) l();
  };
  return {
    push: (step: HistoryStep): void => {
      const last = past.done.at(-1);
      const joins =
        last !== undefined &&
        step.key !== undefined &&
        last.key === step.key &&
        step.at - last.at < TOGETHER_MS;
      const done = joins ? [...past.done.slice(0, -1), step.after?.(last) ?? step] : [...past.done, step];
      set({ done: done.slice(-MOST), undone: [] });
    },
    /** Forgets a step that turned out not to have been kept. */
    drop: (step: HistoryStep): void => set({ ...past, done: past.done.filter(s => s !== step) }),
    undo: async (): Promise<Undone | null> => {
      const step = past.done.at(-1);
      if (!step) return null;
      set({ done: past.done.slice(0, -1), undone: [...past.undone, step] });
      return { label: step.label, overtaken: await step.undo() };
    },
    redo: async (): Promise<Undone | null> => {
      const step = past.undone.at(-1);
      if (!step) return null;
      set({ done: [...past.done, { ...step, at: 0 }], undone: past.undone.slice(0, -1) });
      return { label: step.label, overtaken: await step.redo() };
    },
    subscribe: (l: () => void) => {
      listeners.add(l);
      return () => void listeners.delete(l);
    },
    get: () => past,
  };
};

export type History = ReturnType<typeof makeHistory>;

/** What undo and redo would do now, for their labels. */
export const useHistory = (
  history: History,
): { readonly undo: string | null; readonly redo: string | null } => {
  const past = useSyncExternalStore(history.subscribe, history.get);
  return { undo: past.done.at(-1)?.label ?? null, redo: past.undone.at(-1)?.label ?? null };
};
