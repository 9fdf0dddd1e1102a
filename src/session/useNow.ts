import { useEffect, useState } from 'react';
import { nowMs } from './clock';

/** The time, ms since 1970, looked at every so often. */
export const useNow = (everyMs: number): number => {
  const [now, setNow] = useState(nowMs);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
};
