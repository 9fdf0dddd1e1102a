import type { ChainSolution, PinRemedy } from '../../core/chain/solveChain';
import { setLink } from '../../core/plan/setLink';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import type { PieceContext } from '../../session/pieceContext';
import { Button } from '../../ui/Button';
import { LINK_LABELS } from '../../words/links';
import { LINK_FIELDS } from './linkFields';

const show = (w: PinRemedy, units: UnitSystem, value: number): string =>
  showQuantity(value, LINK_FIELDS[w.link].dimension, units);

const difference = (w: PinRemedy, units: UnitSystem): string => {
  const more = w.needs > w.pinned;
  return `${show(w, units, Math.abs(w.needs - w.pinned))} ${more ? 'more' : 'less'}`;
};

/** An impossible set of pins: which disagree, by how much, and what each would have to be. */
export const Disagreement = ({
  solution,
  context,
}: {
  readonly solution: ChainSolution;
  readonly context: PieceContext;
}) => {
  const { units } = context.settings;
  if (solution.status === 'solved') return null;
  if (solution.status === 'free')
    return (
      <div role="alert" className="mb-3 border-l-4 border-now pl-3">
        <p className="font-semibold">There is not enough to work out the rest.</p>
        <p>
          Still open: {solution.free.map(l => LINK_LABELS[l].toLowerCase()).join(', ')}. Type one of them.
        </p>
      </div>
    );
  const { pinned } = context.piece.plan;
  const [worst, other] = solution.waysOut.toSorted(
    (a, b) =>
      Number(pinned.includes(a.link)) - Number(pinned.includes(b.link)) ||
      Math.abs(Math.log(b.needs / b.pinned)) - Math.abs(Math.log(a.needs / a.pinned)),
  );
  return (
    <div role="alert" className="mb-3 border-l-4 border-wanted pl-3">
      <p className="font-semibold">
        {worst && other
          ? `${LINK_LABELS[worst.link]} ${show(worst, units, worst.pinned)} and ${LINK_LABELS[other.link].toLowerCase()} ${show(other, units, other.pinned)} cannot both be true.`
          : 'The figures you keep cannot all be true.'}
      </p>
      <p>
        You keep: {solution.pins.map(l => LINK_LABELS[l].toLowerCase()).join(', ')}. One of them has to
        change:
      </p>
      <ul className="mt-1 flex flex-col gap-1">
        {solution.waysOut.map(w => (
          <li key={w.link}>
            <Button
              onClick={() =>
                context.changePlan(p => setLink(p, w.link, w.needs), { label: LINK_LABELS[w.link] })
              }
            >
              {LINK_LABELS[w.link]} {show(w, units, w.needs)}
            </Button>{' '}
            <span className="text-chalk">{difference(w, units)}</span>
          </li>
        ))}
        {solution.waysOut.length === 0 && <li>Stop keeping one of them, or change one of these figures.</li>}
      </ul>
    </div>
  );
};
