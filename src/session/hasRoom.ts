import { freeBytes } from './freeBytes';

/** What is kept beside the workshop may not take the room that the workshop needs: so much must be free, bytes. */
const ROOM = 100 * 1024 * 1024;

/**
 * Whether there is room for more than the workshop itself, as the browser says. Some say a figure that has nothing to do with the disk, so
 * that this is no proof: nothing large may be begun on its word alone.
 */
export const hasRoom = async (): Promise<boolean> => {
  const free = await freeBytes();
  return free === null || free >= ROOM;
};
