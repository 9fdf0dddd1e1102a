import { useDraggable } from '@dnd-kit/core';
import { taskWords } from '../../words/schedule';
import { type Axis, type BlockOfDay, blockKey, percentAt } from './dayRows';

/** The narrowest block that can be seen and taken hold of. */
const LEAST_PERCENT = 0.7;

/**
 * A stretch of hands as it lies on its day, to be dragged. Its line below the day is the control for keys, for readers and for
 * fingers: a short stretch is too narrow for them.
 */
export const Block = (props: {
  readonly block: BlockOfDay;
  readonly day: string;
  readonly axis: Axis;
  readonly colour: string | null;
  readonly isBroken: boolean;
  readonly isSelected: boolean;
}) => {
  const { block, day, axis } = props;
  const { task, startMs, endMs } = block;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: blockKey(block),
    data: { block },
  });
  const width = Math.max(LEAST_PERCENT, percentAt(endMs, day, axis) - percentAt(startMs, day, axis));
  const left = Math.min(percentAt(startMs, day, axis), 100 - width);
  return (
    <div
      ref={setNodeRef}
      {...listeners}
      aria-hidden="true"
      data-task={task.id}
      className={`absolute top-1 h-9 cursor-grab touch-none overflow-hidden border bg-soap px-1 text-left text-[13px] leading-tight whitespace-nowrap select-none ${
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
    </div>
  );
};
