import { useCallback, useLayoutEffect, useRef } from 'react';

/** A function that stays the same and always does what it would do now: a part that is handed it is not drawn again for it. Not to be called while drawing. */
export const useSteady = <A extends readonly unknown[], R>(act: (...of: A) => R): ((...of: A) => R) => {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...of: A) => latest.current(...of), []);
};
