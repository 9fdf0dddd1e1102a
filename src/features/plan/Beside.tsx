import { memo, startTransition, useEffect, useMemo, useState } from 'react';
import type { EdgeSurplus } from '../../core/forms/formKind';
import { stageOf } from '../../core/log/stageOf';
import type { Plan } from '../../core/plan/makePlan';
import { EDGE_SURPLUS } from '../../core/tolerances';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import type { PieceContext } from '../../session/pieceContext';
import { onceDrawn } from '../../ui/onceDrawn';
import { Why } from '../../ui/Why';
import { ISSUES } from '../../words/issues';
import { ChainPanel } from './ChainPanel';
import { Disagreement } from './Disagreement';
import { FaceChoice, MakingFields } from './MakingFields';
import { LayingField, MeasureList } from './MeasureFields';
import { WoolChoice } from './WoolChoice';

/** A plan and the piece that it is of. */
export interface Shown {
  readonly context: PieceContext;
  readonly plan: Plan;
}

/** While something is dragged, and when it is let go of, the drawing comes first, and the figures beside it a frame after it. */
export const useBeside = (
  context: PieceContext,
  of: { readonly plan: Plan; readonly isDragged: boolean },
): Shown => {
  const { plan, isDragged } = of;
  const now = useMemo(() => ({ context, plan }), [context, plan]);
  const [seen, setSeen] = useState(now);
  const [isBehind, setBehind] = useState(false);
  if (isDragged && !isBehind) setBehind(true);
  useEffect(
    () =>
      onceDrawn(() =>
        startTransition(() => {
          setSeen(now);
          setBehind(isDragged);
        }),
      ),
    [now, isDragged],
  );
  return isBehind ? seen : now;
};

/** Once wool is laid, its laid size is a fact: a changed plan is not what lies on the table. */
const AlreadyLaid = ({ context }: { readonly context: PieceContext }) =>
  stageOf(context.entries, context.piece.result.finishedAt) === 'planned' ? null : (
    <p className="mb-3 border-l-4 border-now pl-3">
      This piece is laid. A change here changes what the bench measures it against. For another one, use “Make
      again”.
    </p>
  );

const Warnings = ({ plan }: { readonly plan: Plan }) =>
  plan.warnings.length === 0 ? null : (
    <ul className="mb-3 border-l-4 border-now pl-3">
      {plan.warnings.map(w => (
        <li key={`${w.code}${w.path}`}>
          {ISSUES[w.code].message} ({w.got}) <span className="text-chalk">{ISSUES[w.code].remedy}</span>
        </li>
      ))}
    </ul>
  );

/** How much longer the folded edge is than the middle it must become. */
const FoldedEdge = ({ surplus, units }: { readonly surplus: EdgeSurplus; readonly units: UnitSystem }) => {
  const { ratio, edgeMm, middleMm } = surplus;
  return (
    <div className="flex w-full items-start gap-1 text-[13px] text-chalk">
      <p className="flex-1">
        The folded edge is {ratio.toFixed(2)} times as long as the middle
        {ratio > EDGE_SURPLUS.tells ? ': rub and roll the edge most.' : '.'}
      </p>
      <Why of="the folded edge">
        <p>
          When finished, the edge is {showQuantity(edgeMm, 'length', units)} long and the middle of the side{' '}
          {showQuantity(middleMm, 'length', units)}. Both become the same wall, so the edge must shrink that
          much more.
        </p>
      </Why>
    </div>
  );
};

/** What it must measure and how it is made, beside the drawing; between its two halves stand the tools of an outline. */
export const Measures = memo(({ context, plan, hung }: Shown & { readonly hung: string }) => (
  <>
    <MeasureList context={context} plan={plan} hung={new Set(hung.split(' '))} />
    <div className="min-w-0 flex-1">
      <ChainPanel context={context} plan={plan} />
    </div>
  </>
));
Measures.displayName = 'Measures';
export const Told = memo(({ context, plan }: Shown) => (
  <div className="w-full">
    <Disagreement solution={plan.solution} context={context} />
    <AlreadyLaid context={context} />
    <Warnings plan={plan} />
  </div>
));
Told.displayName = 'Told';
export const Making = memo(
  ({
    context,
    plan,
    ...chosen
  }: Shown & { readonly face: number; readonly onFace: (face: number) => void }) => {
    const { units } = context.settings;
    const onResist = plan.form.outlineIs === 'resist';
    return (
      <section
        aria-label="Wool and laying"
        className="mt-4 flex w-full flex-wrap items-end gap-x-5 gap-y-3 border-t border-rim pt-3"
      >
        <WoolChoice context={context} />
        {onResist && <LayingField context={context} link="foldOverMm" label="Fold-over" units={units} />}
        {onResist && <LayingField context={context} link="resistMm" label="Resist thickness" units={units} />}
        <MakingFields context={context} plan={plan} />
        <FaceChoice plan={plan} {...chosen} />
        {plan.form.edgeSurplus && <FoldedEdge surplus={plan.form.edgeSurplus} units={units} />}
      </section>
    );
  },
);
Making.displayName = 'Making';
