import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { memo, useRef, useState } from 'react';
import { localTime, sayDay } from '../../session/clock';
import { momentOf } from '../../session/workHours';
import { Button } from '../../ui/Button';
import { useGradually } from '../../ui/useGradually';
import { timeAfter } from '../../words/schedule';
import { Block } from './Block';
import { BlockLine } from './BlockLine';
import { DayLane } from './DayLane';
import { axisOf, type BlockOfDay, blockKey, type DayRow, hourOf, STEP_MIN } from './dayRows';

/** So many days are shown at first. */
const SHOWN = 14;
/** Days that are drawn in one go where the work is laid anew. */
const DAYS_A_TASK = 3;

/** Days one under the other, each on the same axis of hours. */
export const Days = memo(
  (props: {
    readonly rows: readonly DayRow[];
    readonly broken: ReadonlySet<string>;
    readonly selected: string | null;
    readonly colourOf: (of: string) => string | null;
    readonly onSelect: (block: BlockOfDay) => void;
    readonly onPut: (block: BlockOfDay, startMs: number) => void;
    /** Minutes on or back from where it was put last. */
    readonly onStep: (block: BlockOfDay, minutes: number) => void;
    readonly onLetGo: (block: BlockOfDay) => void;
  }) => {
    const { rows } = props;
    const [isAll, setAll] = useState(false);
    // What is dragged from one day to the next must be seen between them.
    const [isHeld, setHeld] = useState(false);
    const lane = useRef<HTMLDivElement>(null);
    // A tap is no drag: it chooses.
    const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
    const shown = isAll ? rows : rows.slice(0, SHOWN);
    const rowsIn = useGradually(rows, Math.ceil(shown.length / DAYS_A_TASK));
    const axis = axisOf(shown);
    const dropped = ({ active, over, delta }: DragEndEvent): void => {
      setHeld(false);
      const data: unknown = active.data.current?.['block'];
      const block = rows.flatMap(r => r.blocks).find(b => b === data);
      const width = lane.current?.clientWidth ?? 0;
      if (!block || !over || width === 0) return;
      const minutes = (delta.x / width) * (axis.to - axis.from) * 60;
      const snapped = Math.max(0, Math.round((60 * hourOf(block.startMs) + minutes) / STEP_MIN) * STEP_MIN);
      props.onSelect(block);
      // By the clock on the wall, on days of 23 or 25 hours too.
      props.onPut(block, momentOf(String(over.id), timeAfter('00:00', snapped)));
    };
    return (
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragStart={() => setHeld(true)}
        onDragCancel={() => setHeld(false)}
        onDragEnd={dropped}
      >
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
          <ol aria-label="Days">
            {shown.map((now, i) => {
              const row = rowsIn(Math.floor(i / DAYS_A_TASK)).find(r => r.day === now.day) ?? now;
              return (
                <li key={row.day} className={`mb-2 sm:flex sm:gap-3 ${isHeld ? '' : 'when-seen'}`}>
                  <h3 className="w-17 shrink-0 pt-1 font-semibold">{sayDay(momentOf(row.day, '12:00'))}</h3>
                  <div className="min-w-0 flex-1">
                    <div ref={i === 0 ? lane : undefined}>
                      <DayLane row={row} axis={axis}>
                        {row.blocks.map(block => (
                          <Block
                            key={blockKey(block)}
                            block={block}
                            day={row.day}
                            axis={axis}
                            colour={props.colourOf(block.task.of)}
                            isBroken={props.broken.has(block.task.id)}
                            isSelected={props.selected === block.task.id}
                          />
                        ))}
                      </DayLane>
                    </div>
                    <ul className="flex flex-wrap gap-x-4 text-[13px]">
                      {row.blocks.map(block => (
                        <li key={blockKey(block)}>
                          <BlockLine
                            block={block}
                            isBroken={props.broken.has(block.task.id)}
                            isSelected={props.selected === block.task.id}
                            onSelect={() => props.onSelect(block)}
                            onMove={minutes => props.onStep(block, minutes)}
                            onLetGo={() => props.onLetGo(block)}
                          />
                        </li>
                      ))}
                      {row.classes.map(held => (
                        <li key={held.id} className="min-h-6 tabular-nums">
                          {localTime(held.startMs)} {held.name}, until about {localTime(held.endMs)}
                        </li>
                      ))}
                      {row.blocks.length + row.classes.length === 0 && (
                        <li className="text-chalk">nothing to do</li>
                      )}
                    </ul>
                  </div>
                </li>
              );
            })}
          </ol>
          {rows.length > shown.length && <Button onClick={() => setAll(true)}>All {rows.length} days</Button>}
        </div>
      </DndContext>
    );
  },
);
Days.displayName = 'Days';
