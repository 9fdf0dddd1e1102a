import { useCallback, useMemo } from 'react';
import { stockByProduct, type StockState } from '../core/stock/ledger';
import { newStockEntry, type StockEntry, stockEntryKind } from '../records/stockEntry';
import { useNotify } from './notices';
import { useLive } from './useRecords';
import { useWorkshop } from './workshop';

const NONE: readonly StockEntry[] = [];

/** The ledger's lines, and where each product stands by them. */
export const useStock = (): {
  readonly entries: readonly StockEntry[];
  readonly states: ReadonlyMap<string, StockState>;
} => {
  const entries = useLive(stockEntryKind) ?? NONE;
  const states = useMemo(() => stockByProduct(entries), [entries]);
  return { entries, states };
};

/** What a new line says; its name and time are made here. */
export type NewStockLine = Omit<Parameters<typeof newStockEntry>[0], 'id' | 'at'>;

/** Writes in the ledger. Nothing in it is changed: taking a line back writes another. */
export const useLedger = () => {
  const { store, history, clock, chance, nowIso } = useWorkshop();
  const { failed } = useNotify();
  const write = useCallback(
    async (line: NewStockLine): Promise<StockEntry> => {
      const entry = newStockEntry({ ...line, id: chance.newId(), at: nowIso() });
      await store.add(stockEntryKind, entry);
      return entry;
    },
    [store, chance, nowIso],
  );
  const takeBackAll = useCallback(
    (entries: readonly StockEntry[]): Promise<readonly StockEntry[]> =>
      Promise.all(entries.map(e => write({ productId: e.productId, move: 'undo', count: 0, of: e.id }))),
    [write],
  );
  /** One step of the history: each turn takes back the lines that were written last. */
  const push = useCallback(
    (first: readonly StockEntry[], label: string): void => {
      let last = first;
      const turn = async (): Promise<number> => {
        last = await takeBackAll(last);
        return 0;
      };
      history.push({ label, at: clock.nowMs(), undo: turn, redo: turn });
    },
    [history, clock, takeBackAll],
  );
  return {
    /** Adds lines as one step; undo takes them back by others. Settles when they are durable: whether they are; a failure is told. */
    append: useCallback(
      (lines: readonly NewStockLine[], label: string): Promise<boolean> =>
        Promise.all(lines.map(write)).then(
          entries => {
            push(entries, label);
            return true;
          },
          (error: unknown) => {
            failed(error);
            return false;
          },
        ),
      [write, push, failed],
    ),
    /** Takes a line back; undo lets it stand again. */
    takeBack: useCallback(
      (entry: StockEntry, label: string): void => {
        takeBackAll([entry]).then(undos => push(undos, label), failed);
      },
      [takeBackAll, push, failed],
    ),
  };
};
