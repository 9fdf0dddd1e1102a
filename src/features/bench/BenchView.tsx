import type { MouseEvent } from 'react';
import type { Advice } from '../../core/advice/advice';
import { unequalIn } from '../../core/log/pair';
import { nowShare } from '../../core/forecast/progressNow';
import type { Plan } from '../../core/plan/makePlan';
import { type PieceStage, usePieceStage } from '../../session/pieceStage';
import { useBench } from '../../session/useBench';
import { useWakeLock } from '../../session/useWakeLock';
import { Button } from '../../ui/Button';
import { Acts } from './Acts';
import { Ahead } from './Ahead';
import { BenchPanel } from './BenchPanel';
import { BenchWhy } from './BenchWhy';
import { BrokenOff } from './BrokenOff';
import { adviceReason, adviceWords } from './benchWords';
import { LayPanel, LayTable } from './LayPanel';
import { LogList } from './LogList';
import { Gates } from './Gates';
import { OpenFaults } from './OpenFaults';
import { OthersOnBench } from './OthersOnBench';
import { RecipeStrip } from './RecipeStrip';
import { RestLine } from './RestLine';
import { Rose } from './Rose';
import { Stands } from './Stands';
import { type Acting, useActing, useBenchKeys } from './useActing';
import { type Standing, useStanding } from './useStanding';
import { useLayKeys, useLaying } from './useLaying';
import { useSteadyTap } from './useSteadyTap';

/** What would be advised without the recipe, where that is something else. */
const aloneWords = ({ advice, spoken }: Standing): string => {
  const alone = advice.alone && adviceWords(advice.alone, spoken);
  return alone && alone !== adviceWords(advice, spoken) ? ` Without it: ${alone}.` : '';
};

const AdviceLine = ({ standing, stage }: { readonly standing: Standing; readonly stage: PieceStage }) => (
  <div className="order-1 flex flex-wrap items-center gap-x-2 border-b-2 border-ink sm:flex-nowrap">
    <section aria-label="Next" aria-live="polite" className="min-w-0 flex-1 pb-2">
      <p className="text-[15px] text-chalk">Next</p>
      <p className="text-4xl leading-tight font-semibold sm:text-5xl">
        {standing.isReckoning ? 'Reckoning …' : adviceWords(standing.advice, standing.spoken)}
      </p>
      <p className="min-h-12 text-lg leading-snug">
        {standing.isReckoning
          ? 'From all that was measured and done.'
          : adviceReason(standing.advice, stage.settings.units, id => reckonedMm(standing, id))}
        {!standing.isReckoning && aloneWords(standing)}
      </p>
    </section>
    <BenchWhy
      advice={standing.advice}
      forecast={standing.forecast}
      modelled={standing.modelled}
      state={standing.state}
      faces={standing.faces.length}
      units={stage.settings.units}
    />
  </div>
);

/** The forecast has failed: the advice goes by common practice meanwhile, and it is asked again at a tap. */
const NoForecast = (props: { readonly text: string; readonly again: () => void }) => (
  <div role="alert" className="order-1 flex items-center gap-3 border-l-4 border-wanted pl-3">
    <p className="flex-1">No forecast: {props.text} The advice goes by common practice.</p>
    <Button size="wet" onClick={props.again}>
      Try again
    </Button>
  </div>
);

const nextPetal = (acting: Acting, advice: Advice) =>
  acting.act?.kind === 'roll' ? acting.act : advice.act === 'roll' ? advice : null;

/** Where the felting model has a line now, mm; before the first measuring it does not say. */
const reckonedMm = ({ modelled, forecast }: Standing, gaugeId: string): number | null => {
  const at = forecast.stands.findIndex(s => s.gauge.id === gaugeId);
  const share = modelled?.advised.now[at]?.median;
  return share === undefined || modelled?.advised.measurings === 0
    ? null
    : share * (forecast.stands[at]?.gauge.laidMm ?? 0);
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

const BenchOf = ({ stage, plan }: { readonly stage: PieceStage; readonly plan: Plan }) => {
  const standing = useStanding(stage, plan);
  const bench = useBench(stage.piece.id, stage.entries);
  const acting = useActing(stage, standing, bench);
  const laying = useLaying(stage, plan, bench);
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
    <LogList entries={stage.entries} spoken={standing.spoken} onTakeBack={id => void bench.takeBack(id)} />
  );
  if (laying.isNow)
    return (
      <div className={FRAME} onClickCapture={onClickCapture}>
        <LayPanel laying={laying} stage={stage} />
        <LayTable laying={laying} stage={stage} plan={plan} />
      </div>
    );
  if (acting.panel)
    return (
      <div key="panel" className={PANEL_FRAME} onClickCapture={onClickCapture}>
        <div className="flex min-w-0 flex-col">
          <BenchPanel acting={acting} stage={stage} plan={plan} standing={standing} />
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
        <BrokenOff pieceId={stage.piece.id} spoken={standing.spoken} onLog={acting.log} />
        <RecipeStrip recipe={stage.piece.recipe} standing={standing} bench={bench} />
        <OpenFaults state={state} onLog={acting.log} />
        <AdviceLine standing={standing} stage={stage} />
        {standing.failure && <NoForecast {...standing.failure} />}
        <Gates standing={standing} plan={plan} onLog={acting.log} />
        <div className="order-3 grid flex-1 grid-cols-1 items-center gap-4 sm:order-2 sm:grid-cols-2 lg:min-h-0">
          <figure className="flex h-80 flex-col sm:h-[26rem] lg:h-full lg:max-h-[28rem] lg:min-h-72">
            <div className="min-h-0 flex-1">
              <Rose
                form={plan.form}
                state={state}
                faces={standing.faces}
                next={nextPetal(acting, standing.advice)}
                now={nowShare(standing.forecast)}
              />
            </div>
            <figcaption className="text-center text-lg leading-none">
              <span className="text-5xl font-semibold">{state.rolls}</span> rolls{throws}
            </figcaption>
          </figure>
          <div className="flex flex-col gap-3">
            {/* Its room is kept while it is reckoned: nothing moves under a hand. */}
            <div className="min-h-28">{standing.modelled && <Ahead modelled={standing.modelled} />}</div>
            <Stands
              forecast={standing.forecast}
              units={stage.settings.units}
              modelled={standing.modelled}
              unequal={unequalIn(
                plan.form.gauges.map(g => g.id),
                state.now,
                stage.piece.plan.pieces,
              )}
            />
          </div>
        </div>
      </div>
      <div className="contents flex-col gap-4 lg:flex lg:overflow-y-auto">
        <Acts acting={acting} stage={stage} plan={plan} standing={standing} bench={bench} />
        <OthersOnBench piece={stage.piece} />
        <div className="order-3">
          <RestLine
            settings={stage.settings}
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
  const stage = usePieceStage();
  return stage.plan.ok ? (
    <BenchOf stage={stage} plan={stage.plan.value} />
  ) : (
    <p className="p-4">The plan has to be mended first.</p>
  );
};
