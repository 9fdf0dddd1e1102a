type Listener<T> = (told: T) => void;

/** A set of listeners and how to tell them. */
export const listeners = <T>() => {
  const all = new Set<Listener<T>>();
  return {
    subscribe: (listener: Listener<T>) => {
      all.add(listener);
      return () => void all.delete(listener);
    },
    tell: (told: T): void => {
      for (const listener of all) listener(told);
    },
  };
};
