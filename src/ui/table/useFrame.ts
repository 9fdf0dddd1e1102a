import { useEffect, useRef } from 'react';

/**
 * Does work once in the next frame, however often it is asked for before: a mouse that reports more often than the
 * screen is drawn costs no more. The last one asked for is the one that is done.
 */
export const useFrame = (): ((work: () => unknown) => void) => {
  const asked = useRef<{ id: number; work: () => unknown } | null>(null);
  useEffect(
    () => () => {
      if (asked.current) cancelAnimationFrame(asked.current.id);
    },
    [],
  );
  return work => {
    if (asked.current) {
      asked.current.work = work;
      return;
    }
    const id = requestAnimationFrame(() => {
      const now = asked.current;
      asked.current = null;
      now?.work();
    });
    asked.current = { id, work };
  };
};
