import { useMemo } from 'react';
import type { Workplace } from '../../records/workplace';
import { isoTime } from '../../session/clock';
import { useChangeWorkplace } from '../../session/useWorkplace';
import { taskWords } from '../../words/schedule';
import { type BlockOfDay, movedBy } from './dayRows';

/** Puts tasks by hand, and lets them go again. */
export const usePutting = () => {
  const change = useChangeWorkplace();
  return useMemo(() => {
    const putAt = (block: BlockOfDay, startOf: (moved: Workplace['moved']) => number): void => {
      const { id } = block.task;
      change(
        w => ({
          ...w,
          moved: [...w.moved.filter(m => m.task !== id), { task: id, at: isoTime(startOf(w.moved)) }].slice(
            -2000,
          ),
        }),
        { label: `move ${taskWords(block.task)}`, key: `moved.${id}` },
      );
    };
    return {
      put: (block: BlockOfDay, startMs: number): void => putAt(block, () => startMs),
      /** From where it was put last, which the worker may not have laid in yet: a key pressed quickly counts every time. */
      step: (block: BlockOfDay, minutes: number, nowMs: number): void =>
        putAt(block, moved => movedBy(putLast(moved, block, nowMs), minutes)),
      letGo: (block: BlockOfDay): void =>
        change(w => ({ ...w, moved: w.moved.filter(m => m.task !== block.task.id) }), {
          label: `let go ${taskWords(block.task)}`,
        }),
      direct: (direction: 'early' | 'late'): void =>
        change(w => ({ ...w, direction }), { label: 'direction' }),
    };
  }, [change]);
};

/** Where a block begins for the maker, ms: where it was put last, unless that has passed; else where it was laid in. */
const putLast = (moved: Workplace['moved'], block: BlockOfDay, nowMs: number): number => {
  const at = Date.parse(moved.find(m => m.task === block.task.id)?.at ?? '');
  return at >= nowMs ? at : block.startMs;
};
