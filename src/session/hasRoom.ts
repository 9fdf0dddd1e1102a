/** What is kept beside the workshop may not take the room that the workshop needs: so much must be free, bytes. */
const ROOM = 100 * 1024 * 1024;

/** Whether there is room for more than the workshop itself. A browser that runs full may let all of it go. */
export const hasRoom = async (): Promise<boolean> => {
  const { storage }: { readonly storage?: StorageManager } = navigator;
  const { quota, usage = 0 } = (await storage?.estimate?.()) ?? {};
  return quota === undefined || quota - usage >= ROOM;
};
