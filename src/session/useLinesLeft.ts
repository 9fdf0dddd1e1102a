import { useMemo } from 'react';
import { orderKind } from '../records/order';
import { type LineLeft, linesLeft } from './openWork';
import { useAllPieces, useLive } from './useRecords';
import { useStock } from './useStock';

const NONE: readonly never[] = [];

/** What is left of each line of the open promises. */
export const useLinesLeft = (): readonly LineLeft[] => {
  const orders = useLive(orderKind) ?? NONE;
  const pieces = useAllPieces();
  const { states: stock } = useStock();
  return useMemo(() => linesLeft({ orders, stock, pieces }), [orders, stock, pieces]);
};
