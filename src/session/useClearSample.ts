import { useCallback } from 'react';
import { planClearing } from '../store/clearing';
import { planTakeBack } from '../store/takeBack';
import { useWorkshop } from './workshop';

/** Clears the sample workshop, but for what a felter's own records need. It can be undone. */
export const useClearSample = (): (() => Promise<void>) => {
  const { store, history, clock, nowIso } = useWorkshop();
  return useCallback(async () => {
    let cleared = await store.transact(planClearing);
    history.push({
      label: 'clear the sample',
      at: clock.nowMs(),
      undo: async () => (await store.transact(planTakeBack(cleared, nowIso()))).overtaken,
      redo: async () => {
        cleared = await store.transact(planClearing);
        return 0;
      },
    });
  }, [store, history, clock, nowIso]);
};
