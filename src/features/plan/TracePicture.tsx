import { useState } from 'react';
import { type Point, type Polygon, boundsOf } from '../../core/outline/polygon';
import { REFERENCE_KINDS } from '../../core/photo/references';
import { TRACED, type Traced } from '../../core/photo/tracePhoto';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { useReference } from '../../session/useReference';
import { type TraceHow, useTrace } from '../../session/useTrace';
import { Button } from '../../ui/Button';
import { JobLine } from '../../ui/JobLine';
import { PictureSource } from '../../ui/PictureSource';
import { PictureWithLines } from '../../ui/PictureWithLines';
import { Select } from '../../ui/Select';
import { issueWhole } from '../../words/issues';
import { REFERENCE_WORDS, TRACED_WORDS } from '../../words/references';

/** An outline from a picture: a resist, a jar, a hand, a foot beside a card or a sheet, or a line drawn on the sheet. */
export const TracePicture = (props: {
  readonly units: UnitSystem;
  /** The outline as it is: what a made-up picture shows. */
  readonly shown: Polygon;
  readonly onOutline: (outline: Polygon) => void;
}) => {
  const { units, shown, onOutline } = props;
  const [what, setWhat] = useState<Traced>('flat');
  const [usual, setUsual] = useReference();
  // Nobody draws on a card.
  const reference = what === 'drawn' && usual === 'card' ? 'a4' : usual;
  const { seen, job, look, again, madeUp } = useTrace(shown);
  const [points, setPoints] = useState<'piece' | 'card' | null>(null);
  const how: TraceHow = { what, reference };
  const reading = seen?.reading ?? null;
  const box = boundsOf(reading?.outline ?? []);
  const size = (mm: number): string => showQuantity(mm, 'length', units);
  const tap = (at: Point): void => {
    if (points) again({ ...how, [points]: at });
    setPoints(null);
  };
  return (
    <div className="flex flex-col gap-2">
      <Select
        label="What is traced"
        value={what}
        options={TRACED.map(value => ({ value, text: TRACED_WORDS[value].name }))}
        onPick={value => setWhat(TRACED.find(t => t === value) ?? 'flat')}
      />
      <Select
        label={what === 'drawn' ? 'Drawn on' : 'What lies beside it'}
        value={reference}
        options={REFERENCE_KINDS.filter(k => what !== 'drawn' || k !== 'card').map(value => ({
          value,
          text: REFERENCE_WORDS[value].name,
        }))}
        onPick={value => setUsual(REFERENCE_KINDS.find(k => k === value) ?? 'card')}
      />
      <p className="text-[13px] text-chalk">
        {TRACED_WORDS[what].how} {what === 'drawn' ? '' : REFERENCE_WORDS[reference].how} Take it from
        straight above. The picture stays on this device, and is not kept. Tried on made-up pictures only.
      </p>
      <PictureSource
        isAnother={seen !== null}
        onPick={file => look(file, how)}
        onMadeUp={() => madeUp(how)}
      />
      {job && <JobLine words="Tracing" job={job} />}
      {seen?.issues.map((it, i) => (
        <p key={i} role="alert" className="border-l-4 border-wanted pl-3">
          {issueWhole(it)}
        </p>
      ))}
      {seen && !reading && (
        <div className="flex flex-wrap gap-2">
          {(['piece', 'card'] as const).map(at => (
            <Button
              key={at}
              aria-pressed={points === at}
              onClick={() => setPoints(points === at ? null : at)}
            >
              {at === 'piece' ? 'Tap on what is traced' : `Tap on the ${REFERENCE_WORDS[reference].thing}`}
            </Button>
          ))}
        </div>
      )}
      {seen && (
        <PictureWithLines
          url={seen.url}
          alt="What is traced"
          lines={reading ? [{ points: reading.inPicture, closed: true, look: 'line-now' }] : []}
          onTap={points ? tap : null}
        />
      )}
      {reading && (
        <>
          <p role="status">
            {size(box.maxX - box.minX)} × {size(box.maxY - box.minY)}, {reading.outline.length} points. Ease
            is added by the plan.
          </p>
          {seen?.isMadeUp ? (
            <p>A made-up picture: its outline is not taken.</p>
          ) : (
            <Button look="main" onClick={() => onOutline(reading.outline)}>
              Take this outline
            </Button>
          )}
        </>
      )}
    </div>
  );
};
