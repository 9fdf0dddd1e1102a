import { type MouseEvent, useCallback } from 'react';
import type { Plan } from '../../core/plan/makePlan';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { type Bench, useBench } from '../../session/useBench';
import { useLastTime } from '../../session/useLastTime';
import { useWakeLock } from '../../session/useWakeLock';
import { Button } from '../../ui/Button';
import { LastTime } from '../../ui/LastTime';
import { useSteps } from '../../ui/useSteps';
import { ActRow, Caution, GreatButton, HowItIsDone, Openers, RedoButton, UndoButton } from './Acts';
import { BenchFrame } from './BenchFrame';
import { BenchPanel } from './BenchPanel';
import { BrokenOff } from './BrokenOff';
import { LayActs, LayAfter, LayGreat, LayNext, LayTable, LayUndo } from './LayPanel';
import { LogList } from './LogList';
import { keysOf } from './Controls';
import { Gates } from './Gates';
import { NextLine, NoForecast } from './NextLine';
import { ManyStrip } from './ManyStrip';
import { OpenFaults } from './OpenFaults';
import { OthersOnBench } from './OthersOnBench';
import { PieceNow } from './PieceNow';
import { RecipeStrip } from './RecipeStrip';
import { RestLine } from './RestLine';
import { type ActSelection, useActSelection, useBenchKeys } from './useActSelection';
import { type BenchStatus, useBenchStatus } from './useBenchStatus';
import { FinishActs, FinishControls, FinishGreat, FinishNext, FinishStage } from './FinishPanel';
import { type FinishingProgress, useFinishing, useFinishKeys } from './useFinishing';
import { type LayingProgress, useLayKeys, useLaying } from './useLaying';
import { useSteadyTap } from './useSteadyTap';

/** After a tap the focus is let go of, so that the next pedal press logs a set and does not press the tapped button again. */
const letGoOfFocus = (e: MouseEvent): void => {
  const { activeElement } = document;
  if (e.detail > 0 && activeElement instanceof HTMLElement && !activeElement.matches('select'))
    activeElement.blur();
};

interface BenchParts {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly standing: BenchStatus;
  readonly acting: ActSelection;
  readonly bench: Bench;
  readonly laying: LayingProgress;
  readonly finishing: FinishingProgress;
  readonly lastTime: ReturnType<typeof useLastTime>;
  readonly onTakeBack: (entryId: string) => void;
}

/** What there is to know and to answer before the piece itself: the recipe, what was wrong, what it has reached. */
const Reminders = ({ context, plan, standing, acting, bench, laying }: BenchParts) => (
  <>
    {laying.stepBack && (
      <div className="flex items-center gap-3">
        <p className="flex-1">{laying.words}</p>
        <Button size="wet" onClick={laying.stepBack}>
          Back to laying
        </Button>
      </div>
    )}
    <BrokenOff pieceId={context.piece.id} wording={standing.wording} onLog={acting.log} />
    {standing.many && <ManyStrip many={standing.many} pieces={context.piece.plan.pieces} acting={acting} />}
    <RecipeStrip recipe={context.piece.recipe} standing={standing} bench={bench} />
    <OpenFaults state={standing.state} onLog={acting.log} />
    {standing.failure && <NoForecast {...standing.failure} />}
    <Gates standing={standing} plan={plan} onLog={acting.log} />
  </>
);

/** The bench while it is felted. Its parts come one after the other: the drawing in room that is kept for it, what stands below it last. */
const FeltingStage = (parts: BenchParts) => {
  const { context, plan, standing, acting } = parts;
  const steps = useSteps(3);
  return (
    <>
      <Reminders {...parts} />
      <PieceNow context={context} plan={plan} standing={standing} acting={acting} isDrawn={steps > 1} />
      <Caution act={acting.act} />
      {steps > 2 && (
        <>
          <OthersOnBench piece={context.piece} />
          <RestLine
            settings={context.settings}
            lastMs={standing.state.lastAt === null ? null : Date.parse(standing.state.lastAt)}
          />
        </>
      )}
    </>
  );
};

const Stage = (parts: BenchParts) => {
  const { context, plan, standing, acting, laying, finishing } = parts;
  // By its name it is the same list over a panel and without one, and is not drawn again.
  const log = (
    <LogList key="log" entries={context.entries} wording={standing.wording} onTakeBack={parts.onTakeBack} />
  );
  if (acting.panel)
    return (
      <>
        <BenchPanel acting={acting} context={context} plan={plan} standing={standing} laying={laying} />
        {log}
      </>
    );
  if (finishing.isNow)
    return (
      <>
        <FinishStage finishing={finishing} standing={standing} />
        <OthersOnBench piece={context.piece} />
        {log}
      </>
    );
  if (laying.isNow)
    return (
      <>
        <OpenFaults state={standing.state} onLog={acting.log} />
        <LastTime last={parts.lastTime} />
        <LayTable laying={laying} context={context} plan={plan} />
        <LayAfter laying={laying} />
      </>
    );
  return (
    <>
      <FeltingStage {...parts} />
      {log}
    </>
  );
};

/** What stands in the fixed places, by what the bench is for now. */
const placesOf = (mode: 'panel' | 'finishing' | 'laying' | 'felting', parts: BenchParts) => {
  const { context, plan, standing, acting, bench, laying, finishing } = parts;
  const undo = <UndoButton bench={bench} wording={standing.wording} />;
  if (mode === 'finishing' || (mode === 'panel' && finishing.isNow))
    return {
      next: <FinishNext finishing={finishing} units={context.settings.units} />,
      controls: <FinishControls finishing={finishing} />,
      great: <FinishGreat finishing={finishing} />,
      undo,
      acts: <FinishActs finishing={finishing} onWeigh={() => acting.setPanel('dryWeight')} />,
    };
  if (mode === 'laying')
    return {
      next: <LayNext laying={laying} context={context} />,
      controls: null,
      great: <LayGreat laying={laying} />,
      undo: <LayUndo laying={laying} />,
      acts: <LayActs laying={laying} />,
    };
  return {
    next: laying.isNow ? (
      <LayNext laying={laying} context={context} />
    ) : (
      <NextLine
        standing={standing}
        proposed={acting.proposed}
        act={mode === 'panel' ? null : acting.act}
        context={context}
      />
    ),
    controls: !laying.isNow && (
      <HowItIsDone acting={acting} context={context} plan={plan} standing={standing} />
    ),
    great: <GreatButton acting={acting} standing={standing} />,
    undo,
    acts: <ActRow acting={acting} standing={standing} />,
  };
};

const BenchOf = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const standing = useBenchStatus(context, plan);
  const bench = useBench(context.piece.id, context.entries);
  const acting = useActSelection(context, standing, bench);
  const laying = useLaying(context, plan, bench);
  const finishing = useFinishing(context, plan, bench);
  const isPanel = acting.panel !== null;
  const mode = isPanel ? 'panel' : finishing.isNow ? 'finishing' : laying.isNow ? 'laying' : 'felting';
  useBenchKeys(acting, { bench, faces: standing.legs, isHeld: mode !== 'felting' });
  useLayKeys(laying, mode === 'laying');
  useFinishKeys(finishing, bench, mode === 'finishing');
  useWakeLock();
  const steadyTap = useSteadyTap();
  const onClickCapture = (e: MouseEvent): void => {
    letGoOfFocus(e);
    steadyTap(e);
  };
  const lastTime = useLastTime(context.piece);
  const { takeBack } = bench;
  const onTakeBack = useCallback((id: string) => void takeBack(id), [takeBack]);
  const parts = { onTakeBack, lastTime, context, plan, standing, acting, bench, laying, finishing };
  return (
    <div className="flex min-h-0 flex-1 flex-col" onClickCapture={onClickCapture}>
      <BenchFrame
        isPanel={isPanel}
        {...placesOf(mode, parts)}
        stage={<Stage {...parts} />}
        redo={<RedoButton bench={bench} />}
        actCount={keysOf(standing.acts, standing.judge).length}
        openers={<Openers acting={acting} pieceId={context.piece.id} />}
      />
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
