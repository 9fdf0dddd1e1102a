import type { MouseEvent } from 'react';
import type { Advice } from '../../core/advice/nextAct';
import { nowShare } from '../../core/cycles/stageOf';
import type { Plan } from '../../core/plan/makePlan';
import { type PieceStage, usePieceStage } from '../../session/pieceStage';
import { useBench } from '../../session/useBench';
import { useWakeLock } from '../../session/useWakeLock';
import { Acts } from './Acts';
import { BenchWhy } from './BenchWhy';
import { adviceReason, adviceWords } from './benchWords';
import { LayStrip } from './LayStrip';
import { LogList } from './LogList';
import { MeasurePanel } from './MeasurePanel';
import { PinchPanel } from './PinchPanel';
import { Rose } from './Rose';
import { Stands } from './Stands';
import { type Acting, useActing, useBenchKeys } from './useActing';
import { type Standing, useStanding } from './useStanding';
import { useSteadyTap } from './useSteadyTap';

const AdviceLine = ({ standing, stage }: { readonly standing: Standing; readonly stage: PieceStage }) => (
  <div className="order-1 flex flex-wrap items-center gap-x-2 border-b-2 border-ink sm:flex-nowrap">
    <section aria-label="Next" aria-live="polite" className="min-w-0 flex-1 pb-2">
      <p className="text-[15px] text-chalk">Next</p>
      <p className="text-4xl leading-tight font-semibold sm:text-5xl">
        {adviceWords(standing.advice, standing.faces.length)}
      </p>
      <p className="text-lg leading-snug">{adviceReason(standing.advice, stage.settings.units)}</p>
    </section>
    <BenchWhy
      advice={standing.advice}
      forecast={standing.forecast}
      state={standing.state}
      faces={standing.faces.length}
      units={stage.settings.units}
    />
  </div>
);

const nextPetal = (acting: Acting, advice: Advice) =>
  acting.act?.kind === 'roll' ? acting.act : advice.act === 'roll' ? advice : null;

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
  useBenchKeys(acting, bench, standing.faces);
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
      entries={stage.entries}
      faces={standing.faces.length}
      units={stage.settings.units}
      onTakeBack={id => void bench.takeBack(id)}
    />
  );
  if (acting.panel)
    return (
      <div className={PANEL_FRAME} onClickCapture={onClickCapture}>
        <div className="flex min-w-0 flex-col">
          {acting.panel === 'measure' ? (
            <MeasurePanel
              form={plan.form}
              pieceId={stage.piece.id}
              stands={standing.forecast.stands}
              units={stage.settings.units}
              logged={stage.entries.length}
              onDone={readings => acting.log({ kind: 'measure', readings })}
              onCancel={() => acting.setPanel(null)}
            />
          ) : (
            <PinchPanel
              onGrade={grade => acting.log({ kind: 'pinch', grade })}
              onCancel={() => acting.setPanel(null)}
            />
          )}
        </div>
        {log}
      </div>
    );
  return (
    <div className={FRAME} onClickCapture={onClickCapture}>
      <div className="contents min-w-0 flex-col gap-3 lg:flex lg:overflow-auto">
        <LayStrip stage={stage} plan={plan} />
        <AdviceLine standing={standing} stage={stage} />
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
          <Stands forecast={standing.forecast} units={stage.settings.units} />
        </div>
      </div>
      <div className="contents flex-col gap-4 lg:flex lg:overflow-y-auto">
        <Acts acting={acting} stage={stage} plan={plan} standing={standing} bench={bench} />
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
