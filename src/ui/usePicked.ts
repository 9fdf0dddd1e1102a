import { startTransition, useState } from 'react';
import { afterwards } from './afterwards';

/**
 * What is picked of a few, or ticked: it is seen at once and told after that. Where it was not taken, what stands comes back.
 * @returns what is shown, and what to call with what was picked
 */
export const usePicked = <T>(value: T, onPick: (value: T) => void): readonly [T, (value: T) => void] => {
  const [picked, setPicked] = useState<{ readonly value: T } | null>(null);
  const pick = (next: T): void => {
    setPicked({ value: next });
    afterwards(() => {
      onPick(next);
      // Together with what was changed by it.
      startTransition(() => setPicked(null));
    });
  };
  return [picked ? picked.value : value, pick];
};
