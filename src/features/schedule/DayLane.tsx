import { memo } from 'react';
import { Link } from 'react-router';
import { localTime } from '../../session/clock';
import { taskWords } from '../../words/schedule';
import { Block } from './Block';
import { type Axis, blockKey, type DayRow, percentAt } from './dayRows';

/** So many waits are drawn one under the other; the rest are told. */
const MOST_WAITS = 4;

/** One day: its hours light, blocks of hands over them, waits as lines below, a tick for each hour. */
export const DayLane = memo(
  (props: {
    readonly row: DayRow;
    readonly axis: Axis;
    /** Whether a block would be put on it if it were let go of now. */
    readonly isOver: boolean;
    /** The task that is chosen, and the block that is in the hand, if they are of this day. */
    readonly selected: string | null;
    readonly held: string | null;
  }) => {
    const { row, axis, isOver } = props;
    const { day, waits } = row;
    const at = (ms: number): number => percentAt(ms, day, axis);
    const shown = waits.slice(0, MOST_WAITS);
    return (
      <div
        data-day={day}
        className={`relative h-16 border border-rim bg-table ${isOver ? 'outline-2 outline-laid' : ''}`}
      >
        {row.hours.map(h => (
          <div
            key={h.startMs}
            className="absolute inset-y-0 bg-steam"
            style={{ left: `${at(h.startMs)}%`, width: `${at(h.endMs) - at(h.startMs)}%` }}
          />
        ))}
        <div
          className="hour-ticks absolute inset-x-0 top-0 h-2"
          style={{ backgroundSize: `${100 / (axis.to - axis.from)}% 100%` }}
        />
        {shown.map((wait, i) => (
          <div
            key={wait.task.id}
            role="img"
            aria-label={`${taskWords(wait.task)}: waits until ${localTime(wait.overMs)}`}
            title={`${taskWords(wait.task)}: waits until ${localTime(wait.overMs)}`}
            className="absolute border-t-2 border-dashed border-now"
            style={{
              left: `${at(wait.startMs)}%`,
              width: `${Math.max(0.5, at(wait.endMs) - at(wait.startMs))}%`,
              bottom: `${2 + 5 * (MOST_WAITS - 1 - i)}px`,
            }}
          />
        ))}
        {row.classes.map(held => (
          <Link
            key={held.id}
            to={`/classes/${held.id}`}
            className="absolute top-1 h-9 overflow-hidden border border-ink bg-ink px-1 text-[13px] leading-tight whitespace-nowrap text-soap"
            style={{
              left: `${at(held.startMs)}%`,
              width: `${Math.max(1, at(held.endMs) - at(held.startMs))}%`,
            }}
          >
            {held.name}
          </Link>
        ))}
        {row.blocks.map(block => (
          <Block
            key={blockKey(block)}
            block={block}
            day={day}
            axis={axis}
            isSelected={props.selected === block.task.id}
            isHeld={props.held === blockKey(block)}
          />
        ))}
      </div>
    );
  },
);
DayLane.displayName = 'DayLane';
