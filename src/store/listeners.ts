import type { StoreChange } from './store';

type Listener = (change: StoreChange) => void;

/** A set of listeners and how to tell them. */
export const listeners = () => {
  const all = new Set<Listener>();
  return {
    subscribe: (listener: Listener) => {
      all.add(listener);
      return () => void all.delete(listener);
    },
    tell: (change: StoreChange): void => {
      for (const listener of all) listener(change);
    },
  };
};
