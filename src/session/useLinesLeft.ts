import { useMemo } from 'react';
import { orderKind } from '../records/order';
import { type LineLeft, linesLeft } from './openWork';
import { useLive } from './useRecords';
import { usePiecesNamed } from './useSomePieces';
import { useStock } from './useStock';

const NONE: readonly never[] = [];

/** What is left of each line of the open promises. */
export const useLinesLeft = (): readonly LineLeft[] => {
  const orders = useLive(orderKind) ?? NONE;
  const named = orders.flatMap(o => o.lines.flatMap(l => l.pieceId ?? []));
  const pieces = usePiecesNamed([...new Set(named)]);
  const { states: stock } = useStock();
  return useMemo(() => linesLeft({ orders, stock, pieces }), [orders, stock, pieces]);
};
