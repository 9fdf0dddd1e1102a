import { startTransition, useEffect, useState } from 'react';
import { onceDrawn } from './onceDrawn';

/**
 * Counts up to a number, one a frame: parts that are shown for the first time come one after the other, and between two of them the page answers.
 * @returns how many of the parts are shown by now, the first at once
 */
export const useSteps = (of: number): number => {
  const [shown, setShown] = useState(1);
  useEffect(() => {
    if (shown >= of) return undefined;
    return onceDrawn(() => startTransition(() => setShown(shown + 1)));
  }, [shown, of]);
  return shown;
};
