import type { Plan } from '../../core/plan/makePlan';
import { showQuantity, showShare } from '../../core/units/units';
import {
  enoughFor,
  spareOf,
  woolCost,
  type WoolSupply,
  woolSupply,
  type Substitute,
  substituteFor,
} from '../../core/wool/woolSupply';
import { type ScalePile, woolNeeds } from '../../core/wool/pileList';
import type { WeighPlan } from '../../core/wool/weigh';
import { pieceWools, withSubstitute } from '../../records/piece';
import type { Wool } from '../../records/wool';
import type { PieceContext } from '../../session/pieceContext';
import { useGramsLeft } from '../../session/useShelf';
import { useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { Why } from '../../ui/Why';
import { UNDYED } from '../../core/wool/undyed';

/** What would make too little enough: a smaller piece, a thinner one, or another wool where it is not seen. */
const WaysOut = (props: {
  readonly row: WoolSupply;
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly substitute: (Substitute & { readonly name: string }) | null;
}) => {
  const { row, context, plan, substitute } = props;
  const { units } = context.settings;
  const enough = enoughFor(row, plan.form.solid !== null);
  const { thickness, size } = plan.values;
  const layerWords = substitute?.layers.map(l => l + 1).join(' and ');
  return (
    <div className="text-[13px]">
      {enough && (
        <p>
          It would be enough for a piece {showShare(enough.smaller)} smaller
          {size === undefined ? '' : ` (${showQuantity(size * (1 - enough.smaller), 'length', units)})`}
          {thickness === undefined || plan.form.solid
            ? ''
            : `; or felt ${showQuantity(thickness * enough.thicknessShare, 'thickness', units)} thick`}
          ; or use less of it in its layers.
        </p>
      )}
      {substitute ? (
        <p className="flex flex-wrap items-center gap-2">
          <span>
            Or {substitute.name} in layer {layerWords}, which does not show:{' '}
            {showQuantity(substitute.grams, 'mass', units)}.
          </span>
          <Button
            onClick={() =>
              context.change(
                p => withSubstitute(p, substitute.layers, { from: row.woolId, to: substitute.woolId }),
                { label: `${substitute.name} in layer ${layerWords}` },
              )
            }
          >
            Do that
          </Button>
        </p>
      ) : (
        !plan.form.solid && <p>No hidden layer and no other wool on the shelf would make up for it.</p>
      )}
    </div>
  );
};

/** What each wool must give, and what the shelf has of it: known before the first wisp is laid. */
export const Needs = (props: {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly weigh: WeighPlan;
  readonly piles: readonly ScalePile[];
}) => {
  const { context, plan, weigh, piles } = props;
  const wools = useWools();
  const left = useGramsLeft();
  const { units } = context.settings;
  const wool = (id: string | null): Wool | null => wools.find(w => w.id === id) ?? null;
  const leftOf = (id: string | null): number | null => {
    const of = wool(id);
    return of && left(of);
  };
  const rows = woolSupply(
    woolNeeds(weigh, pieceWools(context.piece)),
    context.weighings.map(e => e.act),
    leftOf,
  ).map(row => ({ ...row, wool: wool(row.woolId) }));
  const short = rows.filter(r => r.short > 0);
  const cost = woolCost(rows.map(r => ({ grams: r.grams, per100g: r.wool?.per100g })));
  if (rows.length < 2 && short.length === 0 && cost.sum === 0) return null;
  const spare = spareOf(
    wools.filter(w => w.deletedAt === null && w.sort === 'wool').map(w => ({ woolId: w.id, left: left(w) })),
    rows,
  );
  const substituteOf = (row: WoolSupply) => {
    const open = piles.filter(p => !context.weighings.some(e => e.act.pile === p.id));
    const found = substituteFor(row, open, spare);
    return found && { ...found, name: wool(found.woolId)?.name ?? '' };
  };
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
      {cost.sum > 0 && (
        <p className="pt-1 text-right text-[13px] text-chalk">
          costs {cost.sum.toFixed(2)}
          {!cost.isWhole && ', not counting what has no price'}
        </p>
      )}
      {short.map(row => (
        <div key={row.woolId ?? ''} role="alert" className="mt-2 border-l-4 border-wanted pl-3">
          <div className="flex items-start gap-1">
            <span className="flex-1">
              The shelf holds {showQuantity(row.left ?? 0, 'mass', units)} of {row.wool?.name}:{' '}
              {showQuantity(row.short, 'mass', units)} short.
            </span>
            <Why of="short by">
              <p>
                What you still have to weigh of it, {showQuantity(row.open, 'mass', units)} with its part of
                the reserve, compared with what was counted on the shelf minus what was weighed since.
              </p>
            </Why>
          </div>
          <WaysOut row={row} context={context} plan={plan} substitute={substituteOf(row)} />
        </div>
      ))}
    </section>
  );
};
