import { gramsAdded } from '../../core/log/logParts';
import { showQuantity } from '../../core/units/units';
import type { WeighPlan } from '../../core/wool/weigh';
import type { PieceContext } from '../../session/pieceContext';
import { Why } from '../../ui/Why';
import { scaleMass } from '../../core/units/scaleMass';

/** Where the three masses come from. */
const WhyTotals = ({ weigh, context }: { readonly weigh: WeighPlan; readonly context: PieceContext }) => {
  const { units } = context.settings;
  const { plan } = context.piece;
  const mass = (g: number): string => scaleMass(g, weigh.stepG, units);
  const exact = showQuantity(weigh.partGrams * weigh.parts, 'mass', units);
  const each = weigh.times > 1 ? `, for one of ${weigh.times}` : '';
  const step = scaleMass(weigh.stepG, weigh.stepG, units);
  const reads = scaleMass(plan.scaleStepG, plan.scaleStepG, units);
  const scaleWords =
    weigh.stepG < plan.scaleStepG
      ? `${step}, finer than the ${reads} your scale reads: weigh such light piles on a small scale, or weigh several together and divide them`
      : `the ${step} your scale reads`;
  return (
    <Why of="these masses">
      <p>
        <b>To lay {mass(weigh.total)}</b> — the total wool of the plan{each}, {exact}, rounded to {scaleWords}
        . Sides share it by their area, layers evenly; any odd step goes to what is laid first.
      </p>
      <p className="mt-1">
        <b>Reserve {mass(weigh.reserve)}</b> — {showQuantity(plan.reserveShare, 'share', units)} of it,
        rounded up, for patches and decoration.
      </p>
      <p className="mt-1">
        <b>Take {mass(weigh.take)}</b> — both together.
      </p>
    </Why>
  );
};

/** What to take, what of it is laid, and what is kept aside. */
export const Totals = ({ weigh, context }: { readonly weigh: WeighPlan; readonly context: PieceContext }) => {
  const { units } = context.settings;
  const added = gramsAdded(context.entries);
  return (
    <div className="mb-3 flex items-start">
      <dl className="flex flex-1 gap-6">
        {(
          [
            ['take from the shelf', weigh.take],
            [weigh.times > 1 ? 'to lay, each' : 'to lay', weigh.total],
            ['reserve', weigh.reserve],
          ] as const
        ).map(([name, g]) => (
          <div key={name}>
            <dt className="text-[13px] text-chalk">{name}</dt>
            <dd className={name === 'take from the shelf' ? 'text-3xl font-semibold' : 'text-3xl font-light'}>
              {scaleMass(g, weigh.stepG, units)}
            </dd>
          </div>
        ))}
      </dl>
      {added > 0 && (
        <p className="mr-3 self-end text-[15px]">
          and {showQuantity(added, 'mass', units)} added at the bench
        </p>
      )}
      <WhyTotals weigh={weigh} context={context} />
    </div>
  );
};
