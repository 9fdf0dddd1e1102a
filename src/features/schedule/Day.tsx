import { memo } from 'react';
import { localTime, sayDay } from '../../session/clock';
import { momentOf } from '../../session/workHours';
import { BlockLine } from './BlockLine';
import { DayLane } from './DayLane';
import { type Axis, type BlockOfDay, blockKey, type DayRow } from './dayRows';

/** What is done with a block of a day, and how all of them look. */
export interface DayWays {
  readonly onSelect: (block: BlockOfDay) => void;
  /** Minutes on or back from where it was put last. */
  readonly onStep: (block: BlockOfDay, minutes: number) => void;
  readonly onLetGo: (block: BlockOfDay) => void;
}

/** A day's blocks in words, one after the other. */
const Lines = memo(
  ({
    row,
    selected,
    onSelect,
    onStep,
    onLetGo,
  }: DayWays & { readonly row: DayRow; readonly selected: string | null }) => (
    <ul className="flex flex-wrap gap-x-4 text-[13px]">
      {row.blocks.map(block => (
        <li key={blockKey(block)}>
          <BlockLine
            block={block}
            isSelected={selected === block.task.id}
            onSelect={() => onSelect(block)}
            onMove={minutes => onStep(block, minutes)}
            onLetGo={() => onLetGo(block)}
          />
        </li>
      ))}
      {row.classes.map(of => (
        <li key={of.id} className="min-h-6 tabular-nums">
          {localTime(of.startMs)} {of.name}, until about {localTime(of.endMs)}
        </li>
      ))}
      {row.blocks.length + row.classes.length === 0 && <li className="text-chalk">nothing to do</li>}
    </ul>
  ),
);
Lines.displayName = 'Lines';

/** One day of the schedule: its blocks along the hours, and a line for each below. */
export const Day = memo(
  (
    props: DayWays & {
      readonly row: DayRow;
      readonly axis: Axis;
      /** What its lines say: the same day, drawn a moment later. */
      readonly listed: DayRow;
      /** The task that is chosen, if it is of this day. */
      readonly selected: string | null;
      /** The block that is in the hand, if it is of this day. */
      readonly held: string | null;
      readonly isOver: boolean;
    },
  ) => {
    const { row, axis, listed, held, selected, isOver, ...ways } = props;
    return (
      <li className="when-seen mb-2 sm:flex sm:gap-3">
        <h3 className="w-17 shrink-0 pt-1 font-semibold">{sayDay(momentOf(row.day, '12:00'))}</h3>
        <div className="min-w-0 flex-1">
          <DayLane row={row} axis={axis} isOver={isOver} selected={selected} held={held} />
          <Lines row={listed} selected={selected} {...ways} />
        </div>
      </li>
    );
  },
);
Day.displayName = 'Day';
