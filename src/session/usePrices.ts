import { useMemo } from 'react';
import type { Prices } from './makings';
import { useParts, useWools } from './useRecords';

/** What wools and parts of this workshop cost. */
export const usePrices = (): Prices => {
  const wools = useWools();
  const parts = useParts();
  return useMemo(() => ({ wools, parts }), [wools, parts]);
};
