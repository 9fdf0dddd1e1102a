import { type MouseEvent, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Advice, nextAct } from '../../core/advice/nextAct';
import { benchState } from '../../core/cycles/benchState';
import { type Act, ROLL_DIRECTIONS } from '../../core/cycles/entry';
import { nowShare } from '../../core/cycles/stageOf';
import { progressForecast } from '../../core/forecast/progressForecast';
import type { Plan } from '../../core/plan/makePlan';
import { type PieceStage, usePieceStage } from '../../session/pieceStage';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import { type Bench, useBench } from '../../session/useBench';
import { useChangeSettings } from '../../session/useChanges';
import { useWakeLock } from '../../session/useWakeLock';
import { Button } from '../../ui/Button';
import { BenchWhy } from './BenchWhy';
import { actWords, adviceReason, adviceWords, CAUTION } from './benchWords';
import { actFor, benchKind, type BenchKind, type Chosen, type TapKind } from './chosenAct';
import { CountChoice, FaceChoice, KindChoice, RollControls, WaterChoice } from './Controls';
import { LogList } from './LogList';
import { MeasurePanel } from './MeasurePanel';
import { PinchPanel } from './PinchPanel';
import { Rose } from './Rose';
import { Stands } from './Stands';
import { useSteadyTap } from './useSteadyTap';

const useStanding = (stage: PieceStage, plan: Plan) => {
  const faces = useMemo(() => plan.form.faces.map((_, i) => i + 1), [plan.form]);
  const state = useMemo(() => benchState(stage.entries), [stage.entries]);
  const forecast = useMemo(() => progressForecast(plan.form.gauges, state), [plan.form, state]);
  const { setOfRolls } = stage.settings;
  const advice = useMemo(
    () => nextAct(state, forecast, { faces, setOfRolls }),
    [state, forecast, faces, setOfRolls],
  );
  return { faces, state, forecast, advice };
};

type Standing = ReturnType<typeof useStanding>;

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

/** Undo is as large as the thing it undoes. */
const UndoButtons = ({
  bench,
  stage,
  faces,
}: {
  readonly bench: Bench;
  readonly stage: PieceStage;
  readonly faces: number;
}) => (
  <>
    <Button
      size="wet"
      className="min-h-28 flex-1 !flex-col !gap-0 !text-3xl"
      disabled={!bench.undo}
      data-steady
      onClick={() => void bench.undo?.()}
    >
      Undo
      <span className="text-base font-normal text-chalk">
        {bench.undoes
          ? actWords(bench.undoes.act, { faces, units: stage.settings.units })
          : 'nothing to undo'}
      </span>
    </Button>
    {bench.redo && (
      <Button size="wet" data-steady className="min-h-28" onClick={() => void bench.redo?.()}>
        Redo
      </Button>
    )}
  </>
);

const GREAT: Readonly<Record<'measure' | 'pinch' | 'finish', string>> = {
  measure: 'Measure',
  pinch: 'Pinch test',
  finish: 'To the finish',
};
const isTap = (kind: BenchKind): kind is TapKind => !(kind in GREAT);
const opensPanel = (kind: BenchKind): kind is 'measure' | 'pinch' => kind === 'measure' || kind === 'pinch';

const useActing = (stage: PieceStage, standing: Standing, bench: Bench) => {
  const [chosen, setChosen] = useState<Chosen>({});
  const [panel, setPanel] = useState<'measure' | 'pinch' | null>(null);
  const navigate = useNavigate();
  const kind = benchKind(standing.advice, chosen);
  const act: Act | null = isTap(kind)
    ? actFor(kind, { advice: standing.advice, chosen, settings: stage.settings })
    : null;
  const choose = (more: Chosen): void => setChosen(was => ({ ...was, ...more }));
  const log = (what: Act): void => {
    setChosen({});
    setPanel(null);
    void bench.log(what);
  };
  const go = (): void => {
    if (opensPanel(kind)) setPanel(kind);
    else if (act) log(act);
    else void navigate('../finish', { relative: 'path' });
  };
  return { chosen, choose, kind, act, log, go, panel, setPanel };
};

type Acting = ReturnType<typeof useActing>;

const useBenchKeys = (acting: Acting, bench: Bench, faces: readonly number[]): void => {
  const turn = (by: number): void => {
    const now = acting.act?.kind === 'roll' ? acting.act.directionDeg : 0;
    const i = ROLL_DIRECTIONS.indexOf(now);
    const next = ROLL_DIRECTIONS[(i + by + ROLL_DIRECTIONS.length) % ROLL_DIRECTIONS.length];
    acting.choose({ kind: 'roll', ...(next === undefined ? {} : { directionDeg: next }) });
  };
  const otherFace = (): void => {
    const now = acting.act && 'face' in acting.act ? acting.act.face : 1;
    acting.choose({ face: faces[(faces.indexOf(now) + 1) % faces.length] ?? 1 });
  };
  const keys: Shortcut[] = [
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'do and log what the great button says',
      run: acting.go,
    },
    {
      keys: ['PageUp', 'Backspace', 'Ctrl+z'],
      shown: 'PageUp, Backspace',
      does: 'undo',
      run: () => void bench.undo?.(),
    },
    { keys: ['Ctrl+y', 'Ctrl+Shift+z'], shown: 'Ctrl+Y', does: 'redo', run: () => void bench.redo?.() },
    { keys: ['ArrowRight'], shown: '→', does: 'next rolling direction', run: () => turn(1) },
    { keys: ['ArrowLeft'], shown: '←', does: 'previous rolling direction', run: () => turn(-1) },
    { keys: ['ArrowUp', 'ArrowDown', 'f'], shown: '↑ ↓', does: 'other face', run: otherFace },
    { keys: ['m'], shown: 'M', does: 'measure', run: () => acting.setPanel('measure') },
    { keys: ['p'], shown: 'P', does: 'pinch test', run: () => acting.setPanel('pinch') },
  ];
  useShortcuts(acting.panel ? [] : keys);
};

const GreatButton = ({
  acting,
  faces,
  stage,
}: {
  readonly acting: Acting;
  readonly faces: number;
  readonly stage: PieceStage;
}) => (
  <Button
    size="wet"
    look="main"
    data-steady
    className="min-h-28 flex-[2] !flex-col !gap-0 !text-4xl !font-semibold"
    onClick={acting.go}
  >
    {acting.act ? (
      <>
        Done
        <span className="text-xl leading-tight font-normal">
          {actWords(acting.act, { faces, units: stage.settings.units })}
        </span>
      </>
    ) : (
      !isTap(acting.kind) && GREAT[acting.kind]
    )}
  </Button>
);

/** Face, water and count of the acts other than rolling. */
const OtherControls = ({
  act,
  faces,
  onChoose,
}: {
  readonly act: Act;
  readonly faces: readonly number[];
  readonly onChoose: (chosen: Chosen) => void;
}) => (
  <div className="flex flex-wrap gap-2 *:flex-1">
    {(act.kind === 'wet' || act.kind === 'rub') && faces.length > 1 && (
      <FaceChoice face={act.face} faces={faces} onChoose={onChoose} />
    )}
    {act.kind === 'wet' && <WaterChoice water={act.water} onChoose={onChoose} />}
    {(act.kind === 'rub' || act.kind === 'throw') && (
      <CountChoice kind={act.kind} count={act.count} onChoose={onChoose} />
    )}
    {act.kind === 'shock' && <CountChoice kind="shock" count={act.rounds} onChoose={onChoose} />}
  </div>
);

const Acts = ({
  acting,
  stage,
  plan,
  standing,
  bench,
}: {
  readonly acting: Acting;
  readonly stage: PieceStage;
  readonly plan: Plan;
  readonly standing: Standing;
  readonly bench: Bench;
}) => {
  const changeSettings = useChangeSettings();
  const { act } = acting;
  const caution = act ? CAUTION[act.kind] : undefined;
  return (
    <div className="order-2 flex flex-col gap-2 sm:order-3">
      {act?.kind === 'roll' && (
        <RollControls
          act={act}
          faces={standing.faces}
          alongOnTable={plan.form.alongOnTable}
          settings={stage.settings}
          onChoose={acting.choose}
          onSettings={changeSettings}
        />
      )}
      {act && act.kind !== 'roll' && (
        <OtherControls act={act} faces={standing.faces} onChoose={acting.choose} />
      )}
      <div className="order-first flex gap-2 sm:order-none">
        <GreatButton acting={acting} faces={standing.faces.length} stage={stage} />
        <UndoButtons bench={bench} stage={stage} faces={standing.faces.length} />
      </div>
      <KindChoice
        kind={acting.kind}
        onKind={kind => (opensPanel(kind) ? acting.setPanel(kind) : acting.choose({ kind }))}
      />
      {caution && <p className="text-sm text-chalk">{caution}</p>}
    </div>
  );
};

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
