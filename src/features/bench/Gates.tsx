import { firmTestOf } from '../../core/advice/firmTest';
import { type Gate, gatesAt, resistComesOut } from '../../core/advice/gates';
import type { Act } from '../../core/acts/act';
import type { Plan } from '../../core/plan/makePlan';
import { Button } from '../../ui/Button';
import type { BenchStatus } from './useBenchStatus';

const WORDS: Readonly<Record<Gate, string>> = {
  'may-roll': 'The skin holds: it may be rolled.',
  'may-open':
    'It has begun to shrink and its skin holds: it may be cut open. A little at a time, not into the resist; rub the cut with soap at once. Blades away from the other hand.',
  'open-soon': 'It is still closed: cut it soon, while a cut still heals.',
  'may-take-out':
    'It has begun to shrink and its skin holds: the resist may be pulled out at the mouth. Then rub the edge of the mouth, and the inside.',
  'take-out-soon': 'The resist is still in: take it out soon, while the inside can still be worked.',
  'firm-but-large':
    'It is firm, but still too large: hot water, a bare mat, and throwing move it, if anything does.',
  'size-but-soft': 'It is at its size, but still soft: what firms it now must shrink it little.',
};

/** What the piece has reached, and the acts that belong to it: cutting it open, taking the resist out. */
export const Gates = (props: {
  readonly standing: BenchStatus;
  readonly plan: Plan;
  readonly onLog: (act: Act) => void;
}) => {
  const { standing, plan, onLog } = props;
  const { state } = standing;
  const resist = resistComesOut(plan.form);
  const gates = gatesAt(state, standing.forecast, { resist, test: firmTestOf(plan.form) });
  const mayOpen = gates.includes('may-open') || gates.includes('open-soon');
  const atMouth = gates.includes('may-take-out') || gates.includes('take-out-soon');
  const throughCut = resist === 'cut' && state.isCut && !state.isResistOut;
  if (gates.length === 0 && !throughCut) return null;
  return (
    <section
      aria-label="Reached"
      className="order-1 flex flex-wrap items-center gap-2 border-l-4 border-laid pl-3"
    >
      <div className="min-w-52 flex-1 text-lg leading-snug">
        {gates.map(gate => (
          <p key={gate}>{WORDS[gate]}</p>
        ))}
        {throughCut && <p>It is cut: the resist may come out. The inside gets its share of the work.</p>}
      </div>
      {mayOpen && (
        <Button size="wet" onClick={() => onLog({ kind: 'open', what: 'cut' })}>
          Cut open
        </Button>
      )}
      {(atMouth || throughCut) && (
        <Button size="wet" onClick={() => onLog({ kind: 'open', what: 'resist-out' })}>
          Resist out
        </Button>
      )}
    </section>
  );
};
