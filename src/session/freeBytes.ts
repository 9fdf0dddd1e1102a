/** What the browser says is still free, bytes; null where it does not say. Some say a figure that has nothing to do with the disk. */
export const freeBytes = async (): Promise<number | null> => {
  const { storage }: { readonly storage?: StorageManager } = navigator;
  const { quota, usage = 0 } = (await storage?.estimate?.()) ?? {};
  return quota === undefined ? null : Math.max(0, quota - usage);
};
