import { hasRoom } from './hasRoom';
import { followNewer } from './newerVersion';
import { browserTabs } from './tabs';

/** What stands in the way of a new version. */
export type Standing =
  /** Nothing newer is known. */
  | { readonly is: 'current' }
  /** A newer one is here and waits to be taken. */
  | { readonly is: 'waiting' };

/** Keeps this browser able to open the application without a server, and knows of newer versions. */
export interface Versions {
  readonly get: () => Standing;
  readonly subscribe: (listener: () => void) => () => void;
  /** Whether it is kept for when there is no server or network. */
  readonly isKept: () => Promise<boolean>;
  /**
   * Keeps it: some ten megabytes. Asked for by the maker and never begun by itself: on a disk that is full, a browser that is ended while
   * it keeps them was seen to let the whole workshop go. False where the browser says that room is short.
   */
  readonly keep: () => Promise<boolean>;
  /** Takes the newer version: false where other tabs still work with this one. */
  readonly take: () => Promise<boolean>;
}

const CURRENT: Standing = { is: 'current' };
/** An hour: a tab that stays open for days asks now and then. */
const ASKS_MS = 3_600_000;

/** Where the browser keeps nothing for offline (a plain address, a private window), there is nothing to know. */
const canKeep = (): boolean => import.meta.env.PROD && 'serviceWorker' in navigator;

const make = (): Versions => {
  let standing: Standing = CURRENT;
  let registration: ServiceWorkerRegistration | null = null;
  const listeners = new Set<() => void>();
  const waits = (): void => {
    standing = { is: 'waiting' };
    for (const tell of listeners) tell();
  };
  const begin = async (): Promise<void> => {
    if (registration) return;
    const found = await navigator.serviceWorker.register('/sw.js');
    registration = found;
    followNewer(found, waits);
    setInterval(() => void found.update().catch(() => undefined), ASKS_MS);
  };
  const isKept = async (): Promise<boolean> =>
    canKeep() && (await navigator.serviceWorker.getRegistration()) !== undefined;
  // The first view comes first: nobody waits for this.
  const onLoad = (): void =>
    void isKept().then(
      kept => (kept ? begin() : undefined),
      () => undefined,
    );
  if (canKeep()) window.addEventListener('load', onLoad, { once: true });
  return {
    get: () => standing,
    subscribe: listener => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    isKept,
    keep: async () => {
      if (!(await hasRoom())) return false;
      await begin();
      return true;
    },
    take: async () => {
      if ((await browserTabs.living()).size > 1) return false;
      navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), {
        once: true,
      });
      registration?.waiting?.postMessage({ type: 'SKIP_WAITING' });
      return true;
    },
  };
};

/** Those of this page: there is one browser. */
export const browserVersions: Versions = make();
