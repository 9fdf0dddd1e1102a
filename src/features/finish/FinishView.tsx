import { cautionOf } from '../../core/acts/act';
import { type Fit, FITS } from '../../core/finishing/fit';
import { fitAdvice } from '../../words/fit';
import { entriesInForce } from '../../core/log/entriesInForce';
import { useMemo } from 'react';
import type { Plan } from '../../core/plan/makePlan';
import { dryLines, dryShare, outcome, type Outcome } from '../../core/plan/outcome';
import { type Dimension, homeUnit, showFigure, showQuantity, type UnitSystem } from '../../core/units/units';
import { pieceScene } from '../../drawing/scene';
import type { Piece } from '../../records/piece';
import { localDay } from '../../session/clock';
import { useWorkshop } from '../../session/workshop';
import { laidEach } from '../../session/laidEach';
import { useBench } from '../../session/useBench';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { HeadRow } from '../../ui/HeadRow';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { ViewLayout } from '../../ui/ViewLayout';
import { Legend } from '../../ui/table/Legend';
import { Table } from '../../ui/table/Table';
import { TextField } from '../../ui/TextField';
import { Why } from '../../ui/Why';
import { type Line, linesOf, offBy } from '../../words/resultLines';

type PieceResult = Piece['result'];

const DryField = (props: {
  readonly context: PieceContext;
  readonly label: string;
  readonly dimension: Dimension;
  readonly value: number | null;
  readonly set: (result: PieceResult, value: number | null) => PieceResult;
  readonly max: number;
}) => {
  const { context, dimension, label } = props;
  const { units } = context.settings;
  const put = (v: number | null): void =>
    context.change(p => ({ ...p, result: props.set(p.result, v) }), { label, key: `dry.${label}` });
  return (
    <NumberField
      strong
      label={label}
      shown={props.value === null ? '' : showFigure(props.value, dimension, { units: units })}
      unit={homeUnit(dimension, units)}
      read={reader(dimension, units, { min: 0.1, max: props.max })}
      onValue={put}
      onEmpty={() => put(null)}
    />
  );
};

const DryFields = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const { result } = context.piece;
  return (
    <div className="grid grid-cols-2 items-end gap-x-6 gap-y-3">
      {dryLines(plan.form, result.readings).map(g => (
        <DryField
          key={g.id}
          context={context}
          label={`${g.id}, ${g.name}`}
          dimension="length"
          value={result.readings[g.id] ?? null}
          max={20_000}
          set={(r, v) => ({ ...r, readings: { ...r.readings, [g.id]: v } })}
        />
      ))}
      <DryField
        context={context}
        label={context.piece.plan.pieces > 1 ? 'Dry weight of one' : 'Dry weight'}
        dimension="mass"
        value={result.grams}
        max={50_000}
        set={(r, v) => ({ ...r, grams: v })}
      />
      {!plan.form.solid && (
        <DryField
          context={context}
          label="Thickness"
          dimension="thickness"
          value={result.thicknessMm}
          max={200}
          set={(r, v) => ({ ...r, thicknessMm: v })}
        />
      )}
    </div>
  );
};

/** What is cut of a solid when it is dry, if anything is: one tap, and it stands in the log. */
const DryCut = ({ context }: { readonly context: PieceContext }) => {
  const bench = useBench(context.piece.id, context.entries);
  const isCut = entriesInForce(context.entries).some(e => e.act.kind === 'cutDry');
  return (
    <div className="mt-3">
      <Button onClick={() => void bench.log({ kind: 'cutDry' })} disabled={isCut}>
        {isCut ? 'Ears, mouths or slits are cut' : 'Ears, mouths or slits cut'}
      </Button>
      <p className="text-[13px] text-chalk">{cautionOf('cutDry')}</p>
    </div>
  );
};

const FIT_WORDS: ReadonlyArray<{ readonly value: Fit; readonly text: string }> = FITS.map(value => ({
  value,
  text: value,
}));

/** How it fits, in one word, and what that asks of the next one. */
const FitChoice = ({ context }: { readonly context: PieceContext }) => {
  const { fit } = context.piece.result;
  const put = (next: Fit | null): void =>
    context.change(p => ({ ...p, result: { ...p.result, fit: next } }), { label: 'how it fits' });
  return (
    <div className="mt-3">
      <p className="text-[13px] text-chalk">How does it fit?</p>
      <div className="flex items-center gap-3">
        <Choice<Fit | ''>
          label="How does it fit?"
          value={fit ?? ''}
          options={FIT_WORDS}
          onChoose={v => put(v || null)}
        />
        {fit && (
          <Button look="bare" onClick={() => put(null)}>
            Not said
          </Button>
        )}
      </div>
      {fit && <p className="mt-1">{fitAdvice(fit) ?? 'Make the next one like it.'}</p>}
    </div>
  );
};

const Comparison = ({ lines, units }: { readonly lines: readonly Line[]; readonly units: UnitSystem }) => {
  const show = (v: number | null, d: Dimension): string => (v === null ? '—' : showQuantity(v, d, units));
  return (
    <table className="w-full text-right">
      <caption className="text-left text-lg font-semibold">Plan against result</caption>
      <HeadRow rows="measure" columns={['planned', 'came out', 'off by']}>
        <th scope="col">
          <span className="sr-only">why</span>
        </th>
      </HeadRow>
      <tbody>
        {lines.map(l => (
          <tr key={l.name} className="border-b border-rim">
            <th scope="row" className="py-1 text-left font-normal">
              {l.name}
            </th>
            <td className="text-wanted">{show(l.planned, l.dimension)}</td>
            <td className="font-semibold">{show(l.came, l.dimension)}</td>
            <td className="text-chalk">{offBy(l)}</td>
            <td className="w-8">
              {l.why !== undefined && l.came !== null && <Why of={l.name}>{l.why}</Why>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
};

const Closing = ({ context, came }: { readonly context: PieceContext; readonly came: Outcome }) => {
  const { nowIso } = useWorkshop();
  const { finishedAt } = context.piece.result;
  const close = (at: string | null): void =>
    context.change(p => ({ ...p, result: { ...p.result, finishedAt: at } }), {
      label: at ? 'finish' : 'reopen',
    });
  // Whoever works by feel needs no tape to be done; then its wool learns nothing of it.
  const byFeel = context.piece.judge !== 'tape' || context.piece.plan.asItComes === true;
  const measured = came.along !== null && came.across !== null;
  return finishedAt === null ? (
    <div>
      <Button look="main" disabled={!measured && !byFeel} onClick={() => close(nowIso())}>
        Mark as finished
      </Button>
      {!measured && (
        <p className="mt-1 text-[13px] text-chalk">
          {byFeel
            ? 'You work without a tape, so you need not measure it. If you do, its wool learns from it.'
            : 'Measure at least one line lengthwise and one crosswise, dry.'}
        </p>
      )}
    </div>
  ) : (
    <div>
      <p className="font-semibold">Finished on {localDay(finishedAt)}.</p>
      <p>
        {context.wool
          ? `Its shrinkage is now suggested for your next piece in ${context.wool.name}.`
          : 'Choose its wool in the plan, and its shrinkage is suggested for the next piece in that wool.'}
      </p>
      <Button className="mt-2" onClick={() => close(null)}>
        Not finished after all
      </Button>
    </div>
  );
};

/** Finish: the dry measures, and plan against result. */
export const FinishView = () => {
  const context = usePieceContext();
  const { plan, piece, weighings, entries } = context;
  const laidG = useMemo(
    () => (plan.ok ? laidEach({ piece, weighings, entries }, plan.value) : null),
    [plan, piece, weighings, entries],
  );
  const came = useMemo(
    () => (plan.ok ? outcome(plan.value.form, piece.result, laidG) : null),
    [plan, piece.result, laidG],
  );
  const scene = useMemo(() => {
    if (!plan.ok || !came) return null;
    const now = dryShare(came);
    return pieceScene(plan.value.form, { foldOverMm: 0, ...(now ? { now } : {}) });
  }, [plan, came]);
  if (!plan.ok || !came || !scene) return <p className="p-4">Fix the plan first.</p>;
  return (
    <ViewLayout
      label="Finish"
      table={
        <>
          <Table scene={scene} units={context.settings.units} label="Laid, dry and target" />
          <Legend scene={scene} />
        </>
      }
      instruments={
        <div className="flex flex-col gap-5">
          <div>
            <h2 className="mb-1 text-lg font-semibold">When it is dry</h2>
            <p className="mb-2 text-[13px] text-chalk">
              Rinse until the water is clear; squeeze, never wring. It dries the way you leave it, 24 h or
              more depending on thickness (common practice). Use irons and steam with dry hands, away from the
              wet bench.
            </p>
            <DryFields context={context} plan={plan.value} />
            {plan.value.form.solid && <DryCut context={context} />}
            {(plan.value.form.fits.length > 0 || plan.value.kind.group === 'wear') && (
              <FitChoice context={context} />
            )}
          </div>
          <Comparison
            lines={linesOf(plan.value, came, { result: piece.result, units: context.settings.units, laidG })}
            units={context.settings.units}
          />
          <Closing context={context} came={came} />
          <TextField
            label="What to change next time"
            lines={3}
            value={piece.notes}
            onText={notes => context.change(p => ({ ...p, notes }), { label: 'notes', key: 'notes' })}
          />
        </div>
      }
    />
  );
};
