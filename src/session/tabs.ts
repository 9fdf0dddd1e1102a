const PREFIX = 'jorrit.tab.';

/** Which tabs are at work: each holds a lock of its own name for as long as it lives. */
export interface Tabs {
  /** Holds this tab's lock. */
  readonly hold: (tab: string) => void;
  /** Names of the tabs that are at work now; empty where the browser has no locks (a plain address). */
  readonly living: () => Promise<ReadonlySet<string>>;
}

const locksOf = (): LockManager | null => {
  const { locks }: { readonly locks?: LockManager } = navigator;
  return locks ?? null;
};

export const browserTabs: Tabs = {
  hold: tab => {
    // Held until the page goes: the promise never settles.
    void locksOf()?.request(`${PREFIX}${tab}`, () => new Promise<never>(() => undefined));
  },
  living: async () => {
    const { held = [] } = (await locksOf()?.query()) ?? {};
    return new Set(held.flatMap(({ name }) => (name?.startsWith(PREFIX) ? [name.slice(PREFIX.length)] : [])));
  },
};
