import type { MouseEvent } from 'react';
import type { ProposedAct } from '../../core/advice/proposedAct';
import { controlOf } from '../../core/acts/act';
import { unequalIn } from '../../core/log/pair';
import { nowShare } from '../../core/forecast/progressNow';
import type { Plan } from '../../core/plan/makePlan';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { useBench } from '../../session/useBench';
import { useWakeLock } from '../../session/useWakeLock';
import { Button } from '../../ui/Button';
import { Acts } from './Acts';
import { RollsToGo } from './RollsToGo';
import { BenchPanel } from './BenchPanel';
import { BenchWhy } from './BenchWhy';
import { BrokenOff } from './BrokenOff';
import { proposalReason, proposalWords } from '../../words/proposals';
import { WAY_WORDS } from '../../words/ways';
import { LayPanel, LayTable } from './LayPanel';
import { LogList } from './LogList';
import { Gates } from './Gates';
import { OpenFaults } from './OpenFaults';
import { OthersOnBench } from './OthersOnBench';
import { RecipeStrip } from './RecipeStrip';
import { RestLine } from './RestLine';
import { Outlines, Rose } from './Rose';
import { GaugeStatus } from './GaugeStatus';
import { type ActSelection, useActSelection, useBenchKeys } from './useActSelection';
import { type BenchStatus, useBenchStatus } from './useBenchStatus';
import { useLayKeys, useLaying } from './useLaying';
import { useSteadyTap } from './useSteadyTap';

/** What would be advised without the recipe, where that is something else. */
const aloneWords = ({ proposed, wording }: BenchStatus): string => {
  const alone = proposed.alone && proposalWords(proposed.alone, wording);
  return alone && alone !== proposalWords(proposed, wording) ? ` Without it: ${alone}.` : '';
};

const AdviceLine = ({
  standing,
  context,
}: {
  readonly standing: BenchStatus;
  readonly context: PieceContext;
}) => (
  <div className="order-1 flex flex-wrap items-center gap-x-2 border-b-2 border-ink sm:flex-nowrap">
    <section aria-label="Next" aria-live="polite" className="min-w-0 flex-1 pb-2">
      <p className="text-[15px] text-chalk">Next · {WAY_WORDS[standing.way.id].name}</p>
      <p className="text-4xl leading-tight font-semibold sm:text-5xl">
        {standing.isComputing ? 'Working it out …' : proposalWords(standing.proposed, standing.wording)}
      </p>
      <p className="min-h-12 text-lg leading-snug">
        {standing.isComputing
          ? 'Worked out from everything you measured and did.'
          : proposalReason(standing.proposed, {
              units: context.settings.units,
              way: standing.way,
              computed: id => computedMm(standing, id),
            })}
        {!standing.isComputing && aloneWords(standing)}
      </p>
    </section>
    <BenchWhy
      proposed={standing.proposed}
      forecast={standing.forecast}
      model={standing.model}
      state={standing.state}
      faces={standing.faces.length}
      way={standing.way}
      units={context.settings.units}
    />
  </div>
);

/** The forecast has failed: the advice goes by common practice meanwhile, and it is asked again at a tap. */
const NoForecast = (props: { readonly text: string; readonly again: () => void }) => (
  <div role="alert" className="order-1 flex items-center gap-3 border-l-4 border-wanted pl-3">
    <p className="flex-1">No forecast: {props.text} For now it goes by common practice.</p>
    <Button size="wet" onClick={props.again}>
      Try again
    </Button>
  </div>
);

/** What was done so far, in the unit of the way: rolls, or minutes. */
const doneWords = (state: BenchStatus['state'], { way }: BenchStatus) => {
  const minutes = way.acts.reduce(
    (sum, kind) => sum + (controlOf(kind)?.unit === 'min' ? (state.done[kind] ?? 0) : 0),
    0,
  );
  const [figure, unit] =
    way.shrink.kind === 'roll' ? [state.rolls, 'rolls'] : [Math.round(10 * minutes) / 10, 'min'];
  return (
    <>
      <span className="text-5xl font-semibold">{figure}</span> {unit}
    </>
  );
};

const nextPetal = (acting: ActSelection, proposed: ProposedAct) =>
  acting.act?.kind === 'roll' ? acting.act : proposed.act === 'roll' ? proposed : null;

/** Where the felting model has a line now, mm; before the first measuring it does not say. */
const computedMm = ({ model, forecast }: BenchStatus, gaugeId: string): number | null => {
  const at = forecast.gaugeProgress.findIndex(s => s.gauge.id === gaugeId);
  const share = model?.pieceForecast.now[at]?.median;
  return share === undefined || model?.pieceForecast.measurings === 0
    ? null
    : share * (forecast.gaugeProgress[at]?.gauge.laidMm ?? 0);
};

/** After a tap the focus is let go of, so that the next pedal press logs a set and does not press the tapped button again. */
const letGoOfFocus = (e: MouseEvent): void => {
  const { activeElement } = document;
  if (e.detail > 0 && activeElement instanceof HTMLElement && !activeElement.matches('select'))
    activeElement.blur();
};

/** Upright: one column. Lying: what is known to the left, what is done to the right. */
const COLUMNS =
  'grid min-h-0 flex-1 content-start gap-x-6 gap-y-3 overflow-auto p-3 lg:grid-cols-[1fr_31rem]';
const FRAME = `${COLUMNS} lg:content-stretch lg:overflow-hidden`;
/** With a panel open the whole bench scrolls as one. */
const PANEL_FRAME = COLUMNS;

const BenchOf = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const standing = useBenchStatus(context, plan);
  const bench = useBench(context.piece.id, context.entries);
  const acting = useActSelection(context, standing, bench);
  const laying = useLaying(context, plan, bench);
  useBenchKeys(acting, { bench, faces: standing.faces, isHeld: laying.isNow });
  useLayKeys(laying);
  useWakeLock();
  const steadyTap = useSteadyTap();
  const onClickCapture = (e: MouseEvent): void => {
    letGoOfFocus(e);
    steadyTap(e);
  };
  const { state } = standing;
  const throws = state.throws > 0 ? ` · ${state.throws} throws` : '';
  const log = (
    <LogList
      entries={context.entries}
      wording={standing.wording}
      onTakeBack={id => void bench.takeBack(id)}
    />
  );
  if (laying.isNow)
    return (
      <div className={FRAME} onClickCapture={onClickCapture}>
        <LayPanel laying={laying} context={context} />
        <LayTable laying={laying} context={context} plan={plan} />
      </div>
    );
  if (acting.panel)
    return (
      <div key="panel" className={PANEL_FRAME} onClickCapture={onClickCapture}>
        <div className="flex min-w-0 flex-col">
          <BenchPanel acting={acting} context={context} plan={plan} standing={standing} />
        </div>
        {log}
      </div>
    );
  return (
    <div className={FRAME} onClickCapture={onClickCapture}>
      <div className="contents min-w-0 flex-col gap-3 lg:flex lg:overflow-auto">
        {laying.stepBack && (
          <div className="order-0 flex items-center gap-3">
            <p className="flex-1">{laying.words}</p>
            <Button size="wet" onClick={laying.stepBack}>
              Back to laying
            </Button>
          </div>
        )}
        <BrokenOff pieceId={context.piece.id} wording={standing.wording} onLog={acting.log} />
        <RecipeStrip recipe={context.piece.recipe} standing={standing} bench={bench} />
        <OpenFaults state={state} onLog={acting.log} />
        <AdviceLine standing={standing} context={context} />
        {standing.failure && <NoForecast {...standing.failure} />}
        <Gates standing={standing} plan={plan} onLog={acting.log} />
        <div className="order-3 grid flex-1 grid-cols-1 items-center gap-4 sm:order-2 sm:grid-cols-2 lg:min-h-0">
          <figure className="flex h-80 flex-col sm:h-[26rem] lg:h-full lg:max-h-[28rem] lg:min-h-72">
            <div className="min-h-0 flex-1">
              {standing.way.hasDirections ? (
                <Rose
                  form={plan.form}
                  state={state}
                  faces={standing.faces}
                  next={nextPetal(acting, standing.proposed)}
                  now={nowShare(standing.forecast)}
                />
              ) : (
                <Outlines form={plan.form} now={nowShare(standing.forecast)} />
              )}
            </div>
            <figcaption className="text-center text-lg leading-none">
              {doneWords(state, standing)}
              {throws}
            </figcaption>
          </figure>
          <div className="flex flex-col gap-3">
            {/* Its room is kept while it is reckoned: nothing moves under a hand. */}
            <div className="min-h-28">{standing.model && <RollsToGo model={standing.model} />}</div>
            <GaugeStatus
              forecast={standing.forecast}
              units={context.settings.units}
              model={standing.model}
              unequal={unequalIn(
                plan.form.gauges.map(g => g.id),
                state.now,
                context.piece.plan.pieces,
              )}
            />
          </div>
        </div>
      </div>
      <div className="contents flex-col gap-4 lg:flex lg:overflow-y-auto">
        <Acts acting={acting} context={context} plan={plan} standing={standing} bench={bench} />
        <OthersOnBench piece={context.piece} />
        <div className="order-3">
          <RestLine
            settings={context.settings}
            lastMs={state.lastAt === null ? null : Date.parse(state.lastAt)}
          />
        </div>
        {log}
      </div>
    </div>
  );
};

/** The bench: one thing at a time, for wet hands. */
export const BenchView = () => {
  const context = usePieceContext();
  return context.plan.ok ? (
    <BenchOf context={context} plan={context.plan.value} />
  ) : (
    <p className="p-4">Fix the plan first.</p>
  );
};
