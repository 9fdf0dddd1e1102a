import { firmTestOf } from '../../core/advice/firmTest';
import { gatesAt, resistComesOut } from '../../core/advice/gates';
import type { Act } from '../../core/acts/act';
import type { Plan } from '../../core/plan/makePlan';
import { Button } from '../../ui/Button';
import { GATE_WORDS } from '../../words/bench';
import type { BenchStatus } from './useBenchStatus';

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
    <section aria-label="Reached" className="flex flex-wrap items-center gap-2 border-l-4 border-laid pl-3">
      <div className="min-w-52 flex-1 text-lg leading-snug">
        {gates.map(gate => (
          <p key={gate}>{GATE_WORDS[gate]}</p>
        ))}
        {throughCut && <p>It is cut: you can take the resist out now. Work the inside too.</p>}
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
