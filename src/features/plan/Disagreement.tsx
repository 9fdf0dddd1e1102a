import type { ChainSolution, PinRemedy } from '../../core/chain/solveChain';
import { setLink } from '../../core/plan/setLink';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import type { PieceContext } from '../../session/pieceContext';
import { Button } from '../../ui/Button';
import { LINK } from './chainWords';

const show = (w: PinRemedy, units: UnitSystem, value: number): string =>
  showQuantity(value, LINK[w.link].dimension, units);

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
        <p className="font-semibold">Not enough is fixed for the rest to follow.</p>
        <p>Still free: {solution.free.map(l => LINK[l].label.toLowerCase()).join(', ')}. Type one of them.</p>
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
          ? `${LINK[worst.link].label} ${show(worst, units, worst.pinned)} and ${LINK[other.link].label.toLowerCase()} ${show(other, units, other.pinned)} cannot both hold.`
          : 'These pins cannot all hold.'}
      </p>
      <p>Held: {solution.pins.map(l => LINK[l].label.toLowerCase()).join(', ')}. One of them has to give:</p>
      <ul className="mt-1 flex flex-col gap-1">
        {solution.waysOut.map(w => (
          <li key={w.link}>
            <Button
              onClick={() =>
                context.changePlan(p => setLink(p, w.link, w.needs), { label: LINK[w.link].label })
              }
            >
              {LINK[w.link].label} {show(w, units, w.needs)}
            </Button>{' '}
            <span className="text-chalk">{difference(w, units)}</span>
          </li>
        ))}
        {solution.waysOut.length === 0 && <li>Let go of a pin, or change one of these figures.</li>}
      </ul>
    </div>
  );
};
