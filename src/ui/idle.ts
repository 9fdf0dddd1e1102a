const IDLE_MS = 100;

/** Settles when nobody waits for anything; not every browser says when that is. */
export const idle = (): Promise<void> =>
  new Promise(resolve => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve());
    else setTimeout(resolve, IDLE_MS);
  });
