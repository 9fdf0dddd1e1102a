import { taskWords } from '../../words/schedule';
import { type Axis, type BlockOfDay, blockKey, percentAt } from './dayRows';

/** The narrowest block that can be seen and taken hold of. */
const LEAST_PERCENT = 0.7;

/** How a stretch of hands looks: on its day, and in the hand. */
export interface BlockLook {
  readonly block: BlockOfDay;
  readonly isSelected: boolean;
}

const blockClass = ({ block, isSelected }: BlockLook): string =>
  `overflow-hidden border bg-soap px-1 text-left text-[13px] leading-tight whitespace-nowrap select-none ${
    block.isBroken ? 'border-2 border-wanted' : 'border-ink'
  } ${isSelected ? 'outline-3 outline-laid' : ''} ${block.isMoved ? 'border-b-4' : ''}`;

const edge = (colour: string | null): string | undefined => (colour ? `5px solid ${colour}` : undefined);

/** A stretch of hands as it is carried from day to day. */
export const BlockInHand = (props: BlockLook) => (
  <div
    className={`h-full w-full cursor-grabbing ${blockClass(props)}`}
    style={{ borderLeft: edge(props.block.colour) }}
  >
    {taskWords(props.block.task)}
  </div>
);

/**
 * A stretch of hands as it lies on its day, to be dragged. Its line below the day is the control for keys, for readers and for
 * fingers: a short stretch is too narrow for them.
 */
export const Block = (
  props: BlockLook & { readonly day: string; readonly axis: Axis; readonly isHeld: boolean },
) => {
  const { block, day, axis } = props;
  const { task, startMs, endMs } = block;
  const width = Math.max(LEAST_PERCENT, percentAt(endMs, day, axis) - percentAt(startMs, day, axis));
  const left = Math.min(percentAt(startMs, day, axis), 100 - width);
  return (
    <div
      aria-hidden="true"
      data-task={task.id}
      data-block={blockKey(block)}
      className={`absolute top-1 h-9 cursor-grab touch-none ${blockClass(props)} ${props.isHeld ? 'opacity-40' : ''}`}
      style={{ left: `${left}%`, width: `${width}%`, borderLeft: edge(block.colour) }}
    >
      {taskWords(task)}
    </div>
  );
};
