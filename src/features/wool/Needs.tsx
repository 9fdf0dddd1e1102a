import type { Plan } from '../../core/plan/makePlan';
import { linearFromKept } from '../../core/shrinkage/linearFromKept';
import { showQuantity, showShare, type UnitSystem } from '../../core/units/units';
import { enough } from '../../core/wool/enough';
import { woolNeeds } from '../../core/wool/pileList';
import type { WeighPlan } from '../../core/wool/weigh';
import type { Wool } from '../../records/wool';
import type { PieceStage } from '../../session/pieceStage';
import { useGramsLeft } from '../../session/useShelf';
import { useWools } from '../../session/useRecords';
import { Why } from '../../ui/Why';
import { UNDYED } from '../../ui/undyed';

/** What would make too little enough, where one wool makes the whole piece. */
const WaysOut = (props: { readonly share: number; readonly plan: Plan; readonly units: UnitSystem }) => {
  const { share, plan, units } = props;
  const smaller = linearFromKept(share, plan.form.solid ? 3 : 2);
  const { thickness, size } = plan.values;
  return (
    <p className="text-[13px]">
      Enough would be: a piece {showShare(smaller)} smaller
      {size === undefined ? '' : ` (${showQuantity(size * (1 - smaller), 'length', units)})`}
      {thickness === undefined || plan.form.solid
        ? ''
        : `; or felt ${showQuantity(thickness * share, 'thickness', units)} thick`}
      ; or another wool for an inside layer.
    </p>
  );
};

/** What each wool must give, and what the shelf has of it: known before the first wisp is laid. */
export const Needs = (props: {
  readonly stage: PieceStage;
  readonly plan: Plan;
  readonly weigh: WeighPlan;
}) => {
  const { stage, plan, weigh } = props;
  const wools = useWools();
  const left = useGramsLeft();
  const { units } = stage.settings;
  const { colours, woolId } = stage.piece;
  const needs = woolNeeds(weigh, { colours, woolId, stepG: stage.piece.plan.scaleStepG });
  const wool = (id: string | null): Wool | null => wools.find(w => w.id === id) ?? null;
  const leftOf = (id: string | null): number | null => {
    const of = wool(id);
    return of && left(of);
  };
  const rows = enough(
    needs,
    stage.weighings.map(e => e.act),
    leftOf,
  ).map(row => ({ ...row, wool: wool(row.woolId) }));
  const short = rows.filter(r => r.short > 0);
  const cost = rows.reduce((sum, r) => sum + ((r.wool?.per100g ?? 0) * r.grams) / 100, 0);
  if (rows.length < 2 && short.length === 0 && cost === 0) return null;
  return (
    <section aria-label="Enough?" className="mb-3">
      <ul>
        {rows.map(row => (
          <li key={row.woolId ?? ''} className="flex items-center gap-2 border-b border-rim py-0.5">
            <span
              className="size-5 shrink-0 rounded-full border border-rim"
              style={{ background: row.wool?.colour ?? UNDYED }}
            />
            <span className="min-w-0 flex-1 truncate">{row.wool?.name ?? 'wool not chosen yet'}</span>
            <span className="font-semibold">{showQuantity(row.grams, 'mass', units)}</span>
          </li>
        ))}
      </ul>
      {cost > 0 && (
        <p className="pt-1 text-right text-[13px] text-chalk">
          costs {cost.toFixed(2)}
          {rows.some(r => r.wool && r.wool.per100g === null) && ', without what has no price'}
        </p>
      )}
      {short.map(row => (
        <div key={row.woolId ?? ''} role="alert" className="mt-2 border-l-4 border-wanted pl-3">
          <p className="flex items-start gap-1">
            <span className="flex-1">
              The shelf holds {showQuantity(row.left ?? 0, 'mass', units)} of {row.wool?.name}:{' '}
              {showQuantity(row.short, 'mass', units)} short.
            </span>
            <Why of="it is short">
              <p>
                What is still to be weighed of it, {showQuantity(row.open, 'mass', units)} with its part of
                the reserve, against what was counted on the shelf less what was weighed since.
              </p>
            </Why>
          </p>
          {rows.length === 1 && (row.left ?? 0) > 0.1 * row.open && (
            <WaysOut share={(row.left ?? 0) / row.open} plan={plan} units={units} />
          )}
          {rows.length > 1 && (
            <p className="text-[13px]">
              Enough would be: a smaller share of it in its layers, or another wool for an inside layer.
            </p>
          )}
        </div>
      ))}
    </section>
  );
};
