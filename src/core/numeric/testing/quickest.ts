/** How long some work takes at its quickest, ms: the best of a few goes, for a machine that others share stands still at times. */
export const quickest = (work: () => unknown, goes = 5): number => {
  let best = Number.POSITIVE_INFINITY;
  for (let i = 0; i < goes; i += 1) {
    const began = performance.now();
    work();
    best = Math.min(best, performance.now() - began);
  }
  return best;
};
