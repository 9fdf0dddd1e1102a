import { useEffect, useState } from 'react';
import { onceDrawn } from './onceDrawn';

/**
 * A new value for a view of several parts, given to one part a frame: the first has it at once, the others keep what they had for a moment longer, and
 * between two of them the page answers whoever touches it. What is shown for the first time is whole.
 * @param parts how many there are
 * @param isAlike whether a part shows the same of both: it takes no frame
 * @returns what a part shows by now
 */
export const useGradually = <T>(
  value: T,
  parts: number,
  isAlike: (was: T, now: T, part: number) => boolean = () => false,
): ((part: number) => T) => {
  const all = (): readonly T[] => Array.from({ length: parts }, () => value);
  const [state, setState] = useState(() => ({ value, seen: all() }));
  if (state.value !== value) setState({ value, seen: [value, ...state.seen.slice(1, parts)] });
  const next = state.seen.findIndex((seen, part) => seen !== value && !isAlike(seen, value, part));
  useEffect(() => {
    if (next < 0) return undefined;
    // Each in a frame of its own, that none is laid out and painted with the next. Set as it is, in no transition: whatever is being drawn
    // meanwhile, the last value comes to every part.
    return onceDrawn(() => setState({ value, seen: state.seen.with(next, value) }));
  }, [next, value, state]);
  return part => (next >= 0 && part < state.seen.length ? (state.seen[part] ?? value) : value);
};
