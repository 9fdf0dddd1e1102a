import { useMemo, useState } from 'react';
import { type DrawnOutline, wholeOutline } from '../../core/outline/drawn';
import {
  addPointAfter,
  outlineOf,
  removePoint,
  setMirrored,
  toggleOpen,
  toggleRound,
} from '../../core/outline/edit';
import { boundsOf } from '../../core/outline/polygon';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/Select';
import { Choice } from '../../ui/Choice';
import { FileButton } from '../../ui/FileButton';
import { TracePicture } from './TracePicture';
import { useSvgFile } from './useSvgFile';

export interface ToolsProps {
  readonly drawn: DrawnOutline;
  readonly chosen: number;
  readonly units: UnitSystem;
  readonly isHollow: boolean;
  readonly editing: boolean;
  readonly onEditing: (on: boolean) => void;
  readonly onChoose: (i: number) => void;
  readonly onChange: (drawn: DrawnOutline, label: string) => void;
}

/** What can be done to one point. */
const PointTools = (props: ToolsProps) => {
  const { drawn, chosen, onChange } = props;
  const point = drawn.points[chosen];
  if (!point) return null;
  const add = (): void => {
    onChange(addPointAfter(drawn, chosen), 'add a point');
    props.onChoose(chosen + 1);
  };
  const remove = (): void => {
    onChange(removePoint(drawn, chosen), 'remove a point');
    props.onChoose(Math.max(0, chosen - 1));
  };
  return (
    <>
      <p className="text-[13px] text-chalk">
        Point {chosen + 1} of {drawn.points.length}. Drag it, or use the arrow keys; [ and ] go to the next.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={add}>Add after</Button>
        <Button onClick={remove}>Remove</Button>
        <Button onClick={() => onChange(toggleRound(drawn, chosen), point.round ? 'a corner' : 'round')}>
          {point.round ? 'Make it a corner' : 'Make it round'}
        </Button>
        {props.isHollow && (
          <Button onClick={() => onChange(toggleOpen(drawn, chosen), 'open edge')}>
            {drawn.open.includes(chosen) ? 'Close this edge' : 'Leave this edge open'}
          </Button>
        )}
      </div>
      <Choice
        label="Symmetry"
        value={drawn.mirrored ? 'mirrored' : 'free'}
        options={[
          { value: 'free', text: 'off' },
          { value: 'mirrored', text: 'mirrored lengthwise' },
        ]}
        onChoose={v => {
          onChange(setMirrored(drawn, v === 'mirrored'), 'symmetry');
          props.onChoose(0);
        }}
      />
    </>
  );
};

/** Reads an outline from an SVG; where there are several, the felter picks. */
const FromFile = ({ units, onChange }: ToolsProps) => {
  const file = useSvgFile();
  const [picked, setPicked] = useState('0');
  return (
    <div className="flex flex-col gap-1">
      <FileButton
        accept=".svg,image/svg+xml"
        onPick={read => {
          setPicked('0');
          file.read(read, points => onChange(outlineOf(points), 'outline from a file'));
        }}
      >
        Open an outline from an SVG
      </FileButton>
      {file.problems.length > 0 && (
        <ul role="alert" className="border-l-4 border-wanted pl-3">
          {file.problems.map(p => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
      {file.found && (
        <>
          {file.found.outlines.length > 1 && (
            <Select
              hideLabel
              label="Which outline"
              value={picked}
              options={file.found.outlines.map((o, i) => {
                const b = boundsOf(o.points);
                const show = (v: number): string => showQuantity(v, 'length', units);
                return {
                  value: String(i),
                  text: `${o.name}: ${show(b.maxX - b.minX)} × ${show(b.maxY - b.minY)}`,
                };
              })}
              onPick={i => {
                const one = file.found?.outlines[Number(i)];
                setPicked(i);
                if (one) onChange(outlineOf(one.points), 'outline from a file');
              }}
            />
          )}
          <ul className="text-[13px] text-chalk">
            {file.found.notices.map(n => (
              <li key={n}>{n}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
};

/** An outline from a picture; what that asks for comes when it is wanted. */
const FromPicture = ({ drawn, units, onChange }: ToolsProps) => {
  const [isOpen, setOpen] = useState(false);
  const shown = useMemo(() => wholeOutline(drawn).points, [drawn]);
  return (
    <div className="flex flex-col items-start gap-2">
      <Button className="w-full" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        Trace it from a picture
      </Button>
      {isOpen && (
        <TracePicture
          units={units}
          shown={shown}
          onOutline={points => {
            onChange(outlineOf(points), 'outline from a picture');
            setOpen(false);
          }}
        />
      )}
    </div>
  );
};

/** Beside the drawing of a free outline: points, curves, symmetry, open edges, and a file to read. */
export const OutlineTools = (props: ToolsProps) => (
  <section aria-labelledby="outline-title" className="mb-4 flex w-full flex-col gap-2">
    <div className="flex items-center gap-3">
      <h2 id="outline-title" className="text-lg font-semibold">
        Outline
      </h2>
      <Button onClick={() => props.onEditing(!props.editing)} aria-pressed={props.editing}>
        {props.editing ? 'Done with points' : 'Edit its points'}
      </Button>
    </div>
    {props.editing && <PointTools {...props} />}
    <FromFile {...props} />
    <FromPicture {...props} />
  </section>
);
