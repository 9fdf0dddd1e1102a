import { useMemo } from 'react';
import { orderKind } from '../records/order';
import { type LineLeft, linesLeft } from './openWork';
import { useLive } from './useRecords';
import { useStock } from './useStock';

const NONE: readonly never[] = [];

/** What is left of each line of the open promises. */
export const useLinesLeft = (): readonly LineLeft[] => {
  const orders = useLive(orderKind) ?? NONE;
  const { states } = useStock();
  return useMemo(() => linesLeft(orders, states), [orders, states]);
};
