import { useMemo, useState } from 'react';
import type { ActOf } from '../../core/acts/act';
import type { FormPlan, Gauge } from '../../core/forms/formKind';
import { measuredPieces, readingId } from '../../core/log/pair';
import { type Point, scalePoints } from '../../core/outline/polygon';
import { askedOf } from '../../core/photo/askedOf';
import { moved } from '../../core/photo/linesRead';
import type { LineRead } from '../../core/photo/photoAsked';
import { REFERENCE_KINDS } from '../../core/photo/references';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { type PhotoHow, usePhotoMeasure } from '../../session/usePhotoMeasure';
import { useReference } from '../../session/useReference';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { JobLine } from '../../ui/JobLine';
import { PictureSource } from '../../ui/PictureSource';
import { issueWhole } from '../../words/issues';
import { REFERENCE_WORDS } from '../../words/references';
import { KeepPicture } from './KeepPicture';
import { PanelFrame } from './PanelFrame';
import { PhotoPicture } from './PhotoPicture';
import { PhotoResult } from './PhotoResult';

/** What is kept of a line: tenths of a millimetre. */
const tenths = (mm: number): number => Math.round(10 * mm) / 10;
const asAct = (lines: readonly LineRead[], piece: number): ActOf<'measure'> => ({
  kind: 'measure',
  readings: Object.fromEntries(lines.map(l => [readingId(l.id, piece), tenths(l.mm)])),
  within: Object.fromEntries(lines.map(l => [readingId(l.id, piece), tenths(l.within)])),
});

/** One picture with a card or a sheet beside the piece: its edge, and every line with its length and its range; one tap takes them as a measuring. */
export const PhotoPanel = (props: {
  readonly form: FormPlan;
  readonly pieceId: string;
  /** Lines that can be measured now. */
  readonly gauges: readonly Gauge[];
  readonly wallMm: number | null;
  /** Its length now as a share of the laid one, as it is believed to be; null before it was measured. */
  readonly now: { readonly along: number; readonly across: number } | null;
  readonly pieces: number;
  readonly units: UnitSystem;
  readonly onLog: (act: ActOf<'measure'>) => void;
  readonly onCancel: () => void;
}) => {
  const { form, pieceId, gauges, wallMm, units } = props;
  const asked = useMemo(() => askedOf(form, gauges, wallMm), [form, gauges, wallMm]);
  const along = props.now?.along ?? 1;
  const across = props.now?.across ?? 1;
  const now = useMemo(() => scalePoints(form.laid.points, { x: along, y: across }), [form, along, across]);
  const [reference, setReference] = useReference();
  const { seen, job, look, again, madeUp } = usePhotoMeasure(asked, now);
  const [pointed, setPointed] = useState<Omit<PhotoHow, 'reference'>>({});
  const [points, setPoints] = useState<'piece' | 'card' | null>(null);
  const [turned, setTurned] = useState(0);
  const [byHand, setByHand] = useState<ReadonlyMap<string, LineRead>>(new Map());
  const [piece, setPiece] = useState(1);
  const reading = seen?.reading ?? null;
  const turns = reading ? [reading.lines, ...reading.turned] : [];
  const lines = (turns[turned % Math.max(1, turns.length)] ?? []).map(l => byHand.get(l.id) ?? l);
  const fresh = (): void => {
    setByHand(new Map());
    setTurned(0);
    setPoints(null);
  };
  const pick = (file: Blob): void => {
    fresh();
    setPointed({});
    look(file, { reference });
  };
  const tap = (at: Point): void => {
    if (!points) return;
    const next = { ...pointed, [points]: at };
    fresh();
    setPointed(next);
    again({ reference, ...next });
  };
  const many = measuredPieces(props.pieces);
  if (asked.lines.length === 0)
    return (
      <PanelFrame
        title="A picture says nothing of its lines."
        label="By a picture"
        back="Back"
        onCancel={props.onCancel}
      >
        <p className="text-lg">They go round it or through it, not from edge to edge. Use a tape.</p>
      </PanelFrame>
    );
  return (
    <PanelFrame
      title={
        seen
          ? 'What the picture says'
          : 'Lay it flat, a card or a sheet beside it, and take a picture from straight above.'
      }
      label="By a picture"
      back="Back"
      {...(reading && !seen?.isMadeUp
        ? {
            great: {
              words: `Save ${lines.map(l => `${l.id} ${showQuantity(l.mm, 'length', units)}`).join(', ')}`,
              run: () => props.onLog(asAct(lines, piece)),
            },
          }
        : {})}
      onCancel={props.onCancel}
    >
      {job && <JobLine words="Measuring" job={job} />}
      {seen && (
        <div className="flex flex-wrap gap-4">
          <div className="min-w-64 flex-1">
            {seen.issues.map((it, i) => (
              <p key={i} role="alert" className="text-xl">
                {issueWhole(it)}
              </p>
            ))}
            {reading ? (
              <PhotoResult
                form={form}
                units={units}
                reading={reading}
                lines={lines}
                byHand={new Set(byHand.keys())}
                onTurn={
                  turns.length > 1
                    ? () => {
                        setByHand(new Map());
                        setTurned(turned + 1);
                      }
                    : null
                }
              />
            ) : (
              <div className="my-2 flex flex-wrap gap-2">
                {(['piece', 'card'] as const).map(what => (
                  <Button
                    key={what}
                    size="wet"
                    aria-pressed={points === what}
                    look={points === what ? 'main' : 'plain'}
                    onClick={() => setPoints(points === what ? null : what)}
                  >
                    {what === 'piece' ? 'Tap on the piece' : `Tap on the ${REFERENCE_WORDS[reference].thing}`}
                  </Button>
                ))}
              </div>
            )}
            {seen.isMadeUp ? (
              <p className="text-lg">A made-up picture: nothing of it is saved.</p>
            ) : (
              <KeepPicture pieceId={pieceId} file={seen.file} />
            )}
          </div>
          <PhotoPicture
            url={seen.url}
            reading={reading}
            lines={lines}
            onMove={(line, ends) =>
              reading && setByHand(was => new Map(was).set(line.id, moved(line, ends, reading)))
            }
            onTap={points ? tap : null}
          />
        </div>
      )}
      <PictureSource
        size="wet"
        isAnother={seen !== null}
        onPick={pick}
        onMadeUp={() => {
          fresh();
          setPointed({});
          madeUp({ reference });
        }}
      />
      <Choice
        label="What lies beside it"
        size="wet"
        value={reference}
        options={REFERENCE_KINDS.map(value => ({ value, text: REFERENCE_WORDS[value].name }))}
        onChoose={value => {
          setReference(value);
          fresh();
          again({ reference: value, ...pointed });
        }}
      />
      {many > 1 && (
        <Choice
          label="Which piece"
          size="wet"
          value={String(piece)}
          options={Array.from({ length: many }, (_, i) => ({ value: String(i + 1), text: `Piece ${i + 1}` }))}
          onChoose={value => setPiece(Number(value))}
        />
      )}
      <p className="text-base text-chalk">
        {REFERENCE_WORDS[reference].how} The picture stays on this device, and is not kept unless you say so.
        ± says where a length lies 95 times in 100, as far as made-up pictures tell; it was tried on nothing
        else. A picture of a screen or in a mirror cannot be told from a real one.
      </p>
    </PanelFrame>
  );
};
