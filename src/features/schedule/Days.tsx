import { memo, useMemo, useState } from 'react';
import { useShared } from '../../session/useShared';
import { momentOf } from '../../session/workHours';
import { Button } from '../../ui/Button';
import { useGradually } from '../../ui/useGradually';
import { timeAfter } from '../../words/schedule';
import { BlockInHand } from './Block';
import type { Carried, Dropped } from './carry';
import { Carrying } from './Carrying';
import { Day, type DayWays } from './Day';
import { type Axis, axisOf, type BlockOfDay, blockKey, type DayRow, hourOf, STEP_MIN } from './dayRows';

/** So many days are shown at first. */
const SHOWN = 14;

interface Drawn {
  readonly rows: readonly DayRow[];
  readonly axis: Axis;
}
/** Of each day first its hours and then its lines; what is in the hand is the last part, and is told of every plan. */
const isAlike = (was: Drawn, now: Drawn, part: number): boolean => {
  const day = Math.floor(part / 2);
  const isLine = part % 2 === 1;
  return was.rows[day] !== undefined && was.rows[day] === now.rows[day] && (isLine || was.axis === now.axis);
};

/** Days one under the other, each on the same axis of hours. */
export const Days = memo(
  (
    props: DayWays & {
      readonly rows: readonly DayRow[];
      /** The plan that they are of. */
      readonly laid: object;
      /** The task that is chosen. */
      readonly selected: string | null;
      readonly onPut: (block: BlockOfDay, startMs: number) => void;
    },
  ) => {
    const { rows, laid, selected, onPut, ...ways } = props;
    const [isAll, setAll] = useState(false);
    const [carried, setCarried] = useState<Carried | null>(null);
    const shown = useMemo(() => (isAll ? rows : rows.slice(0, SHOWN)), [isAll, rows]);
    const axis = useShared(useMemo(() => axisOf(shown), [shown]));
    const drawnIn = useGradually(
      useMemo(() => ({ rows, axis, laid }), [rows, axis, laid]),
      2 * shown.length + 1,
      isAlike,
    );
    const dropped = ({ block, day, across }: Dropped): void => {
      const minutes = across * (axis.to - axis.from) * 60;
      const snapped = Math.max(0, Math.round((60 * hourOf(block.startMs) + minutes) / STEP_MIN) * STEP_MIN);
      // By the clock on the wall, on days of 23 or 25 hours too.
      onPut(block, momentOf(day, timeAfter('00:00', snapped)));
    };
    const heldKey = carried && blockKey(carried.block);
    return (
      <div className="min-w-0">
        <div className="relative mb-1 h-5 text-[13px] text-chalk tabular-nums sm:ml-20" aria-hidden="true">
          {Array.from({ length: axis.to - axis.from }, (_, i) => axis.from + i)
            .filter(hour => (hour - axis.from) % 2 === 0)
            .map(hour => (
              <span
                key={hour}
                className="absolute"
                style={{ left: `${(100 * (hour - axis.from)) / (axis.to - axis.from)}%` }}
              >
                {hour}
              </span>
            ))}
        </div>
        <Carrying
          blockOf={key => shown.flatMap(r => r.blocks).find(b => blockKey(b) === key)}
          // What is in the hand stays until its day has been drawn, whichever it is.
          laid={drawnIn(2 * shown.length).laid}
          onCarry={setCarried}
          onTap={ways.onSelect}
          onDrop={dropped}
          inHand={carried && <BlockInHand block={carried.block} isSelected />}
        >
          {shown.map((now, i) => {
            const [lane, list] = [drawnIn(2 * i), drawnIn(2 * i + 1)];
            const rowOf = (of: Drawn): DayRow => of.rows.find(r => r.day === now.day) ?? now;
            const row = rowOf(lane);
            return (
              <Day
                key={row.day}
                row={row}
                axis={lane.axis}
                listed={rowOf(list)}
                selected={row.blocks.some(b => b.task.id === selected) ? selected : null}
                held={row.blocks.some(b => blockKey(b) === heldKey) ? heldKey : null}
                isOver={carried?.day === row.day}
                {...ways}
              />
            );
          })}
        </Carrying>
        {rows.length > shown.length && <Button onClick={() => setAll(true)}>All {rows.length} days</Button>}
      </div>
    );
  },
);
Days.displayName = 'Days';
