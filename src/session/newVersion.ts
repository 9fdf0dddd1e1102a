import type { Workbox } from 'workbox-window';
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
  let workbox: Workbox | null = null;
  const listeners = new Set<() => void>();
  const begin = async (): Promise<void> => {
    const { Workbox: Kept } = await import('workbox-window');
    const found = new Kept('/sw.js');
    workbox = found;
    found.addEventListener('waiting', () => {
      standing = { is: 'waiting' };
      for (const tell of listeners) tell();
    });
    await found.register();
    setInterval(() => void found.update().catch(() => undefined), ASKS_MS);
  };
  // The first view comes first: nobody waits for this.
  if (canKeep()) window.addEventListener('load', () => void begin().catch(() => undefined), { once: true });
  return {
    get: () => standing,
    subscribe: listener => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    take: async () => {
      if ((await browserTabs.living()).size > 1) return false;
      workbox?.addEventListener('controlling', () => window.location.reload());
      workbox?.messageSkipWaiting();
      return true;
    },
  };
};

/** Those of this page: there is one browser. */
export const browserVersions: Versions = make();
