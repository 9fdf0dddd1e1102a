interface Waiting {
  readonly act: () => void;
  readonly timer: ReturnType<typeof setTimeout>;
}

/** What follows from keys and taps, the first first. */
const waiting: Waiting[] = [];

/**
 * Does what follows from a key or a tap in a task of its own: first the field shows it, then the record is told. It is done before the next tap
 * or key that steps, and before the page is left: see `doNow`.
 * @param waitMs how long it may wait for more of the same
 * @returns takes it back, if it has not been done
 */
export const afterwards = (act: () => void, waitMs: number = 0): (() => void) => {
  const leave = (): boolean => {
    clearTimeout(one.timer);
    const at = waiting.indexOf(one);
    if (at >= 0) waiting.splice(at, 1);
    return at >= 0;
  };
  const one: Waiting = { act, timer: setTimeout(() => leave() && act(), waitMs) };
  waiting.push(one);
  return leave;
};

/** Whether anything waits. */
export const isWaiting = (): boolean => waiting.length > 0;

/** Does all that waits, now, in its order, and what follows from that. One that throws does not keep the others from it. */
export const doNow = (): void => {
  const one = waiting.shift();
  if (!one) return;
  clearTimeout(one.timer);
  try {
    one.act();
  } finally {
    doNow();
  }
};
