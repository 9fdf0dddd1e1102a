import { useEffect, useState } from 'react';

/** What waits for its turn, the first first. */
const waiting: Array<() => void> = [];
let isGoing = false;

/** One piece of work at a time; between two of them the page answers whoever touches it. */
const next = (): void => {
  const work = waiting.shift();
  isGoing = work !== undefined;
  if (!work) return;
  setTimeout(() => {
    work();
    next();
  });
};

const inTurn = (work: () => void): (() => void) => {
  waiting.push(work);
  if (!isGoing) next();
  return () => {
    const at = waiting.indexOf(work);
    if (at >= 0) waiting.splice(at, 1);
  };
};

/**
 * Something that takes a moment to make, where many such are shown at once: each is made in its turn, and null before that. What was made of
 * one thing is not made again for it.
 */
export const useInTurn = <K, T>(of: K, make: (of: K) => T): T | null => {
  const [made, setMade] = useState<{ readonly of: K; readonly value: T } | null>(null);
  const isMade = made?.of === of;
  useEffect(() => (isMade ? undefined : inTurn(() => setMade({ of, value: make(of) }))), [isMade, of, make]);
  return isMade ? made.value : null;
};
