import { lookFor } from '../../core/advice/lookFor';
import { meanProgress, nowShare } from '../../core/forecast/progressNow';
import { standsOfAll } from '../../core/forecast/standsOfAll';
import { arealNow } from '../../core/wool/firmnessNow';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceStage } from '../../session/pieceStage';
import { useChangeSettings } from '../../session/useChanges';
import { CountPanel } from './CountPanel';
import { Curve } from './Curve';
import { LookPanel } from './LookPanel';
import { MeasurePanel } from './MeasurePanel';
import { PanelFrame } from './PanelFrame';
import { PinchPanel } from './PinchPanel';
import { RecipePanel } from './RecipePanel';
import { TestsPanel } from './TestsPanel';
import type { Acting } from './useActing';
import type { Standing } from './useStanding';
import { useOwnFirmness } from './useOwnFirmness';
import { WrongPanel } from './WrongPanel';

/** g/m² of the felt as it measures now; null before both ways were measured. */
const arealNowOf = (plan: Plan, standing: Standing, keptShare: number): number | null => {
  const now = nowShare(standing.forecast);
  const laid = plan.values.arealLaid;
  return now && laid ? arealNow(laid, keptShare, now) : null;
};

/** The panel that lies over the bench, if one does. */
export const BenchPanel = (props: {
  readonly acting: Acting;
  readonly stage: PieceStage;
  readonly plan: Plan;
  readonly standing: Standing;
}) => {
  const { acting, stage, plan, standing } = props;
  const changeSettings = useChangeSettings();
  const ownFirmness = useOwnFirmness(stage.piece);
  const { units } = stage.settings;
  const counted = [acting.act, acting.rollAct].find(act => act?.kind === 'roll' || act?.kind === 'rub');
  const close = (): void => acting.setPanel(null);
  switch (acting.panel) {
    case 'measure':
      return (
        <MeasurePanel
          form={plan.form}
          pieceId={stage.piece.id}
          stands={standsOfAll(standing.forecast.stands, standing.state.now, stage.piece.plan.pieces)}
          units={units}
          logged={stage.entries.length}
          onDone={readings => acting.log({ kind: 'measure', readings })}
          onCancel={close}
        />
      );
    case 'pinch':
      return <PinchPanel onGrade={grade => acting.log({ kind: 'pinch', grade })} onCancel={close} />;
    case 'look':
      return (
        <LookPanel
          looks={lookFor(standing.state, plan.form, meanProgress(standing.forecast))}
          onLog={acting.log}
          onWrong={acting.lookUp}
          onCancel={close}
        />
      );
    case 'tests':
      return (
        <TestsPanel
          form={plan.form}
          units={units}
          arealNow={arealNowOf(plan, standing, stage.piece.plan.keptShare)}
          ownFirmness={ownFirmness}
          grades={standing.state.tests}
          onLog={acting.log}
          onPinch={() => acting.setPanel('pinch')}
          onCancel={close}
        />
      );
    case 'wrong':
      return (
        <WrongPanel
          form={plan.form}
          pieces={stage.piece.plan.pieces}
          seen={acting.seen}
          state={standing.state}
          faces={standing.faces}
          onLog={acting.log}
          onCancel={close}
        />
      );
    case 'count':
      return counted ? (
        <CountPanel
          act={counted}
          pieceId={stage.piece.id}
          settings={stage.settings}
          onSettings={changeSettings}
          onLog={acting.log}
          onCancel={close}
        />
      ) : null;
    case 'curve':
      return (
        <PanelFrame title="How it shrinks under work" label="Curve" onCancel={close}>
          <Curve stage={stage} plan={plan} />
        </PanelFrame>
      );
    case 'recipe':
      return <RecipePanel stage={stage} faces={standing.faces.length} onCancel={close} />;
    case null:
      return null;
  }
};
