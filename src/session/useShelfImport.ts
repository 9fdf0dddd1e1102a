import { useCallback } from 'react';
import type { WoolRow } from '../records/wool';
import { takeBackStep } from './takeBackStep';
import { planShelfImport, type ShelfReport } from './shelfImport';
import { useGramsLeft } from './useShelf';
import { useWorkshop } from './workshop';

/** Puts rows on the shelf. One undo takes all back. */
export const useShelfImport = (): ((rows: readonly WoolRow[]) => Promise<ShelfReport>) => {
  const workshop = useWorkshop();
  const left = useGramsLeft();
  return useCallback(
    async rows => {
      const { store, history, chance, nowIso } = workshop;
      const plan = planShelfImport(rows, { now: nowIso(), newId: chance.newId, left });
      const report = await store.transact(plan);
      history.push(takeBackStep(workshop, 'import the shelf', report.back));
      return report;
    },
    [workshop, left],
  );
};
