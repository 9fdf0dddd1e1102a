import { lookFor } from '../../core/advice/lookFor';
import { meanProgress, nowShare } from '../../core/forecast/progressNow';
import { gaugeProgressOfAll } from '../../core/forecast/gaugeProgressOfAll';
import { arealNow } from '../../core/wool/feltNow';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceContext } from '../../session/pieceContext';
import { useChangeSettings } from '../../session/useChanges';
import { CountPanel } from './CountPanel';
import { ComparePanel } from './ComparePanel';
import { Curve } from './Curve';
import { DryWeightPanel } from './DryWeightPanel';
import { LightPanel } from './LightPanel';
import { LookPanel } from './LookPanel';
import { ManyPanel } from './ManyPanel';
import { MeasurePanel } from './MeasurePanel';
import { MorePanel } from './MorePanel';
import { countedNoun, isTimed } from './pacing';
import { AddWool } from './AddWool';
import { NotePanel } from './NotePanel';
import { PanelFrame } from './PanelFrame';
import { PhotoPanel } from './PhotoPanel';
import { PinchPanel } from './PinchPanel';
import { RecipePanel } from './RecipePanel';
import { TestsPanel } from './TestsPanel';
import type { ActSelection } from './useActSelection';
import type { BenchStatus } from './useBenchStatus';
import type { LayingProgress } from './useLaying';
import { useOwnFirmness } from './useOwnFirmness';
import { WrongPanel } from './WrongPanel';

/** g/m² of the felt as it measures now; null before both ways were measured. */
const arealNowOf = (plan: Plan, standing: BenchStatus, keptShare: number): number | null => {
  const now = nowShare(standing.forecast);
  const laid = plan.values.arealLaid;
  return now && laid ? arealNow(laid, keptShare, now) : null;
};

/** The panel that lies over the bench, if one does. */
export const BenchPanel = (props: {
  readonly acting: ActSelection;
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly standing: BenchStatus;
  readonly laying: LayingProgress;
}) => {
  const { acting, context, plan, standing } = props;
  const changeSettings = useChangeSettings();
  const ownFirmness = useOwnFirmness(context.piece);
  const { units } = context.settings;
  const counted = [acting.act, acting.rollAct].find(
    act => act && (countedNoun(act) !== null || isTimed(act)),
  );
  const close = (): void => acting.setPanel(null);
  switch (acting.panel) {
    case 'measure':
      return (
        <MeasurePanel
          form={plan.form}
          pieceId={context.piece.id}
          gaugeProgress={gaugeProgressOfAll(
            [...standing.forecast.gaugeProgress, ...standing.openings],
            standing.state.now,
            standing.many ? 1 : context.piece.plan.pieces,
          )}
          units={units}
          logged={context.entries.length}
          onDone={readings => acting.log({ kind: 'measure', readings })}
          onPicture={() => acting.setPanel('photo')}
          onCancel={close}
        />
      );
    case 'photo':
      return (
        <PhotoPanel
          form={plan.form}
          pieceId={context.piece.id}
          gauges={standing.forecast.gaugeProgress.map(g => g.gauge)}
          wallMm={plan.values.thickness ?? null}
          now={nowShare(standing.forecast)}
          pieces={standing.many ? 1 : context.piece.plan.pieces}
          units={units}
          onLog={acting.log}
          onCancel={close}
        />
      );
    case 'pinch':
      return <PinchPanel onGrade={grade => acting.log({ kind: 'pinch', grade })} onCancel={close} />;
    case 'look':
      return (
        <LookPanel
          looks={lookFor(standing.state, plan.form, {
            progress: meanProgress(standing.forecast),
            way: standing.way,
          })}
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
          arealNow={arealNowOf(plan, standing, context.piece.plan.keptShare)}
          ownFirmness={ownFirmness}
          grades={standing.state.tests}
          onLog={acting.log}
          onPinch={() => acting.setPanel('pinch')}
          onLight={() => acting.setPanel('light')}
          onCancel={close}
        />
      );
    case 'light':
      return (
        <LightPanel
          form={plan.form}
          pieceId={context.piece.id}
          units={units}
          onLog={acting.logAll}
          onCancel={close}
        />
      );
    case 'wrong':
      return (
        <WrongPanel
          way={standing.way}
          form={plan.form}
          pieces={context.piece.plan.pieces}
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
          usual={standing.usual}
          pieceId={context.piece.id}
          settings={context.settings}
          onSettings={changeSettings}
          onLog={acting.log}
          onCancel={close}
        />
      ) : null;
    case 'compare':
      return (
        <ComparePanel
          alongOnTable={standing.way.hasDirections ? plan.form.alongOnTable : null}
          onLog={acting.log}
          onCancel={close}
        />
      );
    case 'curve':
      return (
        <PanelFrame title="How it shrinks under work" label="Curve" onCancel={close} back="Back">
          <Curve
            context={context}
            plan={plan}
            gauges={standing.gauges}
            ahead={standing.model?.pieceForecast.ahead ?? []}
          />
        </PanelFrame>
      );
    case 'note':
      return (
        <NotePanel
          pieceId={context.piece.id}
          onNote={text => acting.log({ kind: 'note', text })}
          onCancel={close}
        />
      );
    case 'wool':
      return <AddWool acting={acting} context={context} laying={props.laying} />;
    case 'dryWeight':
      return (
        <DryWeightPanel
          units={units}
          isMany={context.piece.plan.pieces > 1}
          onWeighed={grams => acting.log({ kind: 'finish', step: 'dry', how: 'weighed', grams })}
          onCancel={close}
        />
      );
    case 'more':
      return <MorePanel onOpen={acting.setPanel} onCancel={close} />;
    case 'many':
      return standing.many ? (
        <ManyPanel
          many={standing.many}
          pieces={context.piece.plan.pieces}
          gauges={plan.form.gauges}
          units={units}
          onLog={acting.log}
          onCancel={close}
        />
      ) : null;
    case 'recipe':
      return <RecipePanel context={context} plan={plan} standing={standing} onCancel={close} />;
    case null:
      return null;
  }
};
