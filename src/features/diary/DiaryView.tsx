import { memo, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type ActOf } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { duration } from '../../core/acts/actWords';
import { diaryOf, type DiaryLine, type Sitting } from '../../core/diary/diaryOf';
import type { Plan } from '../../core/plan/makePlan';
import { dryShare, outcome } from '../../core/plan/outcome';
import { showQuantity, showShare } from '../../core/units/units';
import { wayOf } from '../../core/ways/register';
import { laidEach } from '../../session/laidEach';
import { localMoment } from '../../session/clock';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { type Bench, useBench } from '../../session/useBench';
import { usePictures } from '../../session/usePictures';
import { Button } from '../../ui/Button';
import { PictureInput } from '../../ui/PictureInput';
import { TextField } from '../../ui/TextField';
import { workTold } from '../../words/diary';
import { faultName } from '../../words/faults';
import { pieceWording } from '../../words/pieceWording';
import { WAY_WORDS } from '../../words/ways';
import { DiaryPicture } from './DiaryPicture';
import { SmallOutlines } from './SmallOutlines';

interface DiaryParts {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly wording: PieceWording;
  readonly bench: Bench;
}

/** What a line of the diary needs to be told. */
type LineParts = Pick<DiaryParts, 'plan' | 'wording'> & Pick<Bench, 'log' | 'takeBack'>;

const Measured = ({ act, plan, wording }: { readonly act: ActOf<'measure'> } & LineParts) => {
  const { readings } = act;
  const share = dryShare(outcome(plan.form, { readings, grams: null, thicknessMm: null }, null));
  const read = plan.form.gauges.flatMap(g => {
    const mm = readings[g.id];
    return typeof mm === 'number' ? [`${g.name} ${showQuantity(mm, 'length', wording.units)}`] : [];
  });
  return (
    <div className="flex items-center gap-4 py-1">
      {share && <SmallOutlines form={plan.form} now={share} />}
      <p>
        Measured: {read.join(', ')}.
        {share &&
          ` It had shrunk ${showShare(1 - share.along)} lengthwise and ${showShare(1 - share.across)} crosswise.`}
      </p>
    </div>
  );
};

const Line = (props: { readonly line: DiaryLine } & LineParts) => {
  const { line, wording, log, takeBack } = props;
  switch (line.is) {
    case 'work':
      return <p className="py-0.5">{workTold(line.acts, wording)}</p>;
    case 'measured':
      return <Measured {...props} act={line.act} />;
    case 'note':
      return <p className="my-1 border-l-4 border-rim pl-3 whitespace-pre-line">{line.text}</p>;
    case 'fault':
      return (
        <p className="py-0.5">
          Seen: {faultName(line.act.fault)}. {line.isMended ? 'It was mended.' : 'It is not mended yet.'}
        </p>
      );
    case 'picture':
      return (
        <DiaryPicture
          act={line.act}
          notes={line.notes}
          onNote={text => void log({ kind: 'note', text, of: line.entryId })}
          onTakeBack={() => void takeBack(line.entryId)}
        />
      );
  }
};

/** Drawn anew only where the log, the plan or the units changed: not at every letter of a note. */
const SittingOf = memo(({ sitting, ...parts }: { readonly sitting: Sitting } & LineParts) => (
  <section className="mb-5" aria-label={`Sitting of ${localMoment(sitting.fromMs)}`}>
    <h2 className="border-b border-rim text-lg font-semibold">
      {localMoment(sitting.fromMs)}
      {sitting.handsMin >= 1 && (
        <span className="ml-3 text-[15px] font-normal text-chalk">
          {duration(Math.round(sitting.handsMin))} of work
        </span>
      )}
    </h2>
    {sitting.lines.map((line, i) => (
      <Line key={i} {...parts} line={line} />
    ))}
  </section>
));
SittingOf.displayName = 'SittingOf';

/** What it was begun with: form, size, wool and way. */
const Beginning = ({ context, plan }: DiaryParts) => {
  const { piece, wool, settings } = context;
  const laidG = laidEach(context, plan);
  const way = wayOf(plan.kind, plan.form, piece.way);
  const sizes = plan.form.gauges
    .slice(0, 2)
    .map(g => `${g.name} ${showQuantity(g.wantedMm, 'length', settings.units)}`);
  const layers = plan.weigh?.faces[0]?.layers.length;
  return (
    <p className="mb-4 text-lg">
      {plan.kind.title}
      {piece.plan.pieces > 1 && `, ${piece.plan.pieces} alike`}; wanted {sizes.join(', ')}.{' '}
      {laidG !== null && `${showQuantity(laidG, 'mass', settings.units)} of ${wool?.name ?? 'wool'}`}
      {layers !== undefined && layers > 1 && ` in ${layers} layers`}, {WAY_WORDS[way.id].name.toLowerCase()}.
    </p>
  );
};

/** How it came out, what was learned, and what to do otherwise. */
const End = ({ context, plan, handsMin }: DiaryParts & { readonly handsMin: number }) => {
  const { piece, settings } = context;
  const came = outcome(plan.form, piece.result, laidEach(context, plan));
  const { finishedAt } = piece.result;
  return (
    <section aria-label="How it came out" className="break-inside-avoid">
      <h2 className="border-b border-rim text-lg font-semibold">
        {finishedAt === null ? 'So far' : `Finished ${localMoment(Date.parse(finishedAt))}`}
      </h2>
      <p>
        {handsMin >= 1 && `It took ${duration(Math.round(handsMin))} of hands. `}
        {came.along !== null &&
          came.across !== null &&
          `It shrank ${showShare(came.along)} lengthwise and ${showShare(came.across)} crosswise. `}
        {piece.result.grams !== null &&
          `Dry it weighs ${showQuantity(piece.result.grams, 'mass', settings.units)}. `}
        {came.density !== null && `Its firmness is ${showQuantity(came.density, 'density', settings.units)}.`}
      </p>
      <TextField
        label="What to change next time"
        lines={3}
        className="mt-2 max-w-xl"
        value={piece.notes}
        onText={notes => context.change(p => ({ ...p, notes }), { label: 'notes', key: 'notes' })}
      />
    </section>
  );
};

/** A note or a picture, put in with dry hands. */
const Add = ({ context, bench }: DiaryParts) => {
  const [text, setText] = useState('');
  const { take, progress } = usePictures(context.piece.id);
  const add = (): void => {
    void bench.log({ kind: 'note', text: text.trim().slice(0, 2000) });
    setText('');
  };
  return (
    <div className="no-print mb-4 flex flex-wrap items-end gap-2">
      <TextField label="A note" value={text} onText={setText} className="min-w-60 flex-1" lines={1} />
      <Button disabled={text.trim() === ''} onClick={add}>
        Add the note
      </Button>
      <PictureInput progress={progress} onFile={take}>
        Add a picture
      </PictureInput>
      <Button onClick={() => window.print()}>Print</Button>
    </div>
  );
};

/** The diary of a piece: its log as a person would tell it. */
export const DiaryView = () => {
  const context = usePieceContext();
  const { plan, entries, piece, settings } = context;
  const bench = useBench(piece.id, entries);
  const sittings = useMemo(() => diaryOf(entries, Date.parse), [entries]);
  const wording = useMemo(() => {
    if (!plan.ok) return null;
    const way = wayOf(plan.value.kind, plan.value.form, piece.way);
    return pieceWording(way, plan.value.form.faces.length, settings.units);
  }, [plan, piece.way, settings.units]);
  if (!plan.ok || !wording) return <p className="p-4">Fix the plan first.</p>;
  const { log, takeBack } = bench;
  const parts = { context, plan: plan.value, wording, bench };
  const handsMin = sittings.reduce((sum, s) => sum + s.handsMin, 0);
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4 print:overflow-visible">
      <div className="mx-auto max-w-3xl">
        <p className="hidden text-2xl font-semibold print:block">{piece.name}</p>
        <Beginning {...parts} />
        <Add {...parts} />
        {sittings.length === 0 && (
          <p className="text-lg">
            Nothing was done yet. What you do{' '}
            <Link to="../bench" relative="path" className="underline">
              at the bench
            </Link>{' '}
            is told here, with your notes and pictures.
          </p>
        )}
        {sittings.map(sitting => (
          <SittingOf key={sitting.fromMs} {...{ sitting, wording, log, takeBack }} plan={plan.value} />
        ))}
        <End {...parts} handsMin={handsMin} />
      </div>
    </div>
  );
};
