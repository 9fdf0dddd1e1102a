import { useDraggable } from '@dnd-kit/core';
import type { KeyboardEvent } from 'react';
import { localTime } from '../../session/clock';
import { lengthWords, taskWords } from '../../words/schedule';
import { type Axis, type BlockOfDay, percentAt, STEP_MIN } from './dayRows';

const DAY_MIN = 24 * 60;
/** The narrowest block that can be seen and taken hold of. */
const LEAST_PERCENT = 0.7;

const KEYS: Readonly<Record<string, number>> = {
  ArrowLeft: -STEP_MIN,
  ArrowRight: STEP_MIN,
  ArrowUp: -DAY_MIN,
  ArrowDown: DAY_MIN,
};

/** A stretch of hands on its day: dragged, or moved by the arrow keys. */
export const Block = (props: {
  readonly block: BlockOfDay;
  readonly day: string;
  readonly axis: Axis;
  readonly colour: string | null;
  readonly isBroken: boolean;
  readonly isSelected: boolean;
  readonly onSelect: () => void;
  readonly onMove: (minutes: number) => void;
  readonly onLetGo: () => void;
}) => {
  const { block, day, axis } = props;
  const { task, startMs, endMs } = block;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: `${task.id}#${block.part}`,
    data: { block },
  });
  const width = Math.max(LEAST_PERCENT, percentAt(endMs, day, axis) - percentAt(startMs, day, axis));
  const left = Math.min(percentAt(startMs, day, axis), 100 - width);
  const onKey = (e: KeyboardEvent): void => {
    const minutes = KEYS[e.key];
    if (minutes !== undefined) props.onMove(minutes);
    else if (e.key === 'Delete' || e.key === 'Backspace') props.onLetGo();
    else return;
    e.preventDefault();
  };
  const part = block.parts > 1 ? `, part ${block.part + 1} of ${block.parts}` : '';
  const says = `${taskWords(task)}${part}, ${localTime(startMs)} to ${localTime(endMs)}, ${lengthWords((endMs - startMs) / 60_000)}`;
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...listeners}
      onClick={props.onSelect}
      onKeyDown={onKey}
      aria-label={`${says}${block.isMoved ? ', put there by you' : ''}${props.isBroken ? ', breaks something' : ''}`}
      aria-pressed={props.isSelected}
      title={says}
      className={`absolute top-1 h-9 touch-none overflow-hidden border bg-soap px-1 text-left text-[13px] leading-tight whitespace-nowrap ${
        props.isBroken ? 'border-2 border-wanted' : 'border-ink'
      } ${props.isSelected ? 'outline-3 outline-laid' : ''} ${isDragging ? 'z-20 opacity-70' : ''} ${
        block.isMoved ? 'border-b-4' : ''
      }`}
      style={{
        left: `${left}%`,
        width: `${width}%`,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        borderLeft: props.colour ? `5px solid ${props.colour}` : undefined,
      }}
    >
      {taskWords(task)}
    </button>
  );
};
