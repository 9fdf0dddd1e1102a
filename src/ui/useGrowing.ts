import { startTransition, useEffect, useState } from 'react';
import { onceDrawn } from './onceDrawn';

/**
 * How many of a list are drawn by now: so many more each frame, until all are. Fewer are fewer at once.
 * @param count how many there are  @param aFrame how many more come with each frame
 */
export const useGrowing = (count: number, aFrame: number): number => {
  const [grown, setGrown] = useState(aFrame);
  // What went comes back as what is new does.
  const kept = Math.max(aFrame, Math.min(grown, count));
  if (kept !== grown) setGrown(kept);
  useEffect(() => {
    if (kept >= count) return undefined;
    return onceDrawn(() => startTransition(() => setGrown(kept + aFrame)));
  }, [kept, count, aFrame]);
  return Math.min(kept, count);
};
