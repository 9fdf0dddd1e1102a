import { useMemo } from 'react';
import { controlOf } from '../../core/acts/act';
import type { ProposedAct } from '../../core/advice/proposedAct';
import { nowShare } from '../../core/forecast/progressNow';
import { unequalIn } from '../../core/log/pair';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceContext } from '../../session/pieceContext';
import { useGradually } from '../../ui/useGradually';
import { GaugeStatus } from './GaugeStatus';
import { RollsToGo } from './RollsToGo';
import { Outlines, Rose } from './Rose';
import type { ActSelection } from './useActSelection';
import type { BenchStatus } from './useBenchStatus';

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
      <span className="text-3xl font-semibold">{figure}</span> {unit}
    </>
  );
};

const nextPetal = (acting: ActSelection, proposed: ProposedAct) =>
  acting.act?.kind === 'roll' ? acting.act : proposed.act === 'roll' ? proposed : null;

/** What is drawn a frame after one another: the count first, then its rolls by direction, then its lines. */
const PARTS = ['count', 'rose', 'lines'] as const;

/** The piece as it stands: its work by direction, its lines, and how much is left. */
export const PieceNow = (props: {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly standing: BenchStatus;
  readonly acting: ActSelection;
  /** Whether more than the count is drawn yet. */
  readonly isDrawn: boolean;
}) => {
  const { context, plan, standing, acting } = props;
  const { state, forecast, model, openings } = standing;
  const { face = null, directionDeg = null } = nextPetal(acting, acting.proposed) ?? {};
  const next = useMemo(
    () => (face === null || directionDeg === null ? null : { face, directionDeg }),
    [face, directionDeg],
  );
  const now = useMemo(() => nowShare(forecast), [forecast]);
  const drawnIn = useGradually(
    useMemo(
      () => ({ state, forecast, model, openings, next, now }),
      [state, forecast, model, openings, next, now],
    ),
    PARTS.length,
  );
  const [rose, lines] = [drawnIn(PARTS.indexOf('rose')), drawnIn(PARTS.indexOf('lines'))];
  const { pieces } = context.piece.plan;
  const unequal = useMemo(
    () =>
      unequalIn(
        lines.forecast.gaugeProgress.map(s => s.gauge.id),
        lines.state.now,
        pieces,
      ),
    [lines, pieces],
  );
  const throws = state.throws > 0 ? ` · ${state.throws} throws` : '';
  const hasTarget = !plan.form.asItComes;
  return (
    <div className="grid grid-cols-1 items-center gap-4 sm:grid-cols-2">
      <figure className="order-last flex h-72 sm:order-none flex-col sm:h-[21rem] lg:h-[24rem]">
        <div className="min-h-0 flex-1">
          {!props.isDrawn ? null : standing.way.hasDirections ? (
            <Rose
              form={plan.form}
              state={rose.state}
              faces={standing.legs}
              hasBack={standing.way.hasBack ?? false}
              next={rose.next}
              now={rose.now}
            />
          ) : (
            <Outlines form={plan.form} now={rose.now} />
          )}
        </div>
        <figcaption className="text-center text-lg leading-none">
          <span>
            {doneWords(state, standing)}
            {throws}
          </span>
          {standing.way.hasBack && state.rolls > 0 && (
            <span className="block pt-1 text-sm text-chalk">Dark: front up. Pale: back up.</span>
          )}
        </figcaption>
      </figure>
      <div className="flex flex-col gap-3">
        {/* Its room is kept while it is worked out: nothing moves under a hand. */}
        <div className="min-h-24">{lines.model && hasTarget && <RollsToGo model={lines.model} />}</div>
        <GaugeStatus
          forecast={lines.forecast}
          units={context.settings.units}
          model={lines.model}
          openings={lines.openings}
          hasTarget={hasTarget}
          unequal={standing.many ? null : unequal}
        />
      </div>
    </div>
  );
};
