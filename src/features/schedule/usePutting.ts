import { useMemo } from 'react';
import type { Workplace } from '../../records/workplace';
import { isoTime } from '../../session/clock';
import { useChangeWorkplace } from '../../session/useWorkplace';
import { taskWords } from '../../words/schedule';
import { type BlockOfDay, movedBy } from './dayRows';

/** Where tasks are laid in by now, which may be drawn a moment later. */
export interface LaidNow {
  /** From when its minutes count, ms since 1970. */
  readonly nowMs: number;
  readonly beginsMs: (task: string) => number | null;
}

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
      step: (block: BlockOfDay, minutes: number, laid: LaidNow): void =>
        putAt(block, moved => movedBy(putLast(moved, block, laid), minutes)),
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
const putLast = (
  moved: Workplace['moved'],
  { task, startMs }: BlockOfDay,
  { nowMs, beginsMs }: LaidNow,
): number => {
  const at = Date.parse(moved.find(m => m.task === task.id)?.at ?? '');
  return at >= nowMs ? at : (beginsMs(task.id) ?? startMs);
};
