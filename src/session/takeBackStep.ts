import { type RecordBefore, planTakeBack } from '../store/takeBack';
import type { HistoryStep } from './history';
import type { Workshop } from './workshop';

/** A step of the history that changed many things at once: undo takes all of it back, redo brings all of it again. */
export const takeBackStep = (
  { store, clock, nowIso }: Workshop,
  label: string,
  changed: RecordBefore,
): HistoryStep => {
  let now = changed;
  const turn = async (): Promise<number> => {
    const { overtaken, changed: next } = await store.transact(planTakeBack(now, nowIso()));
    now = next;
    return overtaken;
  };
  return { label, at: clock.nowMs(), undo: turn, redo: turn };
};
