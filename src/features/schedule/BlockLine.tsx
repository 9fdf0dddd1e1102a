import type { KeyboardEvent } from 'react';
import { localTime } from '../../session/clock';
import { lengthWords, taskWords } from '../../words/schedule';
import { type BlockOfDay, blockKey, STEP_MIN } from './dayRows';
import { useFocusFollows } from './useFocusFollows';

const DAY_MIN = 24 * 60;

const KEYS: Readonly<Record<string, number>> = {
  ArrowLeft: -STEP_MIN,
  ArrowRight: STEP_MIN,
  ArrowUp: -DAY_MIN,
  ArrowDown: DAY_MIN,
};

/** A stretch of hands in words: chosen by a tap, moved by the arrow keys. */
export const BlockLine = (props: {
  readonly block: BlockOfDay;
  readonly isSelected: boolean;
  readonly onSelect: () => void;
  readonly onMove: (minutes: number) => void;
  readonly onLetGo: () => void;
}) => {
  const { block } = props;
  const { task, startMs, endMs } = block;
  const following = useFocusFollows(blockKey(block));
  const length = lengthWords((endMs - startMs) / 60_000);
  const onKey = (e: KeyboardEvent): void => {
    const minutes = KEYS[e.key];
    if (minutes !== undefined) props.onMove(minutes);
    else if (e.key === 'Delete' || e.key === 'Backspace') props.onLetGo();
    else return;
    e.preventDefault();
  };
  const part = block.parts > 1 ? `, part ${block.part + 1} of ${block.parts}` : '';
  return (
    <button
      {...following}
      type="button"
      onClick={props.onSelect}
      onKeyDown={onKey}
      aria-label={`${taskWords(task)}${part}, ${localTime(startMs)} to ${localTime(endMs)}, ${length}${block.isMoved ? ', put there by you' : ''}${block.isBroken ? ', breaks something' : ''}`}
      aria-pressed={props.isSelected}
      className={`min-h-6 text-left tabular-nums hover:underline ${props.isSelected ? 'font-semibold underline' : ''} ${
        block.isBroken ? 'text-wanted' : ''
      }`}
    >
      {localTime(startMs)} {taskWords(task)}, {length}
      {block.isMoved && ' ·'}
    </button>
  );
};
