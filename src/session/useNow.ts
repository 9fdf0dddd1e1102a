import { useEffect, useState } from 'react';
import { useWorkshop } from './workshop';

/** The time, ms since 1970, looked at every so often. */
export const useNow = (everyMs: number): number => {
  const { clock } = useWorkshop();
  const [now, setNow] = useState(clock.nowMs);
  useEffect(() => clock.every(everyMs, () => setNow(clock.nowMs())), [clock, everyMs]);
  return now;
};
