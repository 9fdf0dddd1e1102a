import { FINISH, type FinishStep } from '../../core/acts/finishSteps';
import { reasonsFor } from '../../core/finishing/finishOrder';
import { progressOf } from '../../core/finishing/finishState';
import { localMoment } from '../../session/clock';
import { Button } from '../../ui/Button';
import { Why } from '../../ui/Why';
import { Sign } from '../../ui/Sign';
import { waitWords } from '../../words/finishing';
import type { FinishingProgress } from './useFinishing';

const stateWords = (finishing: FinishingProgress, step: FinishStep): string => {
  const { how, doneAt, rounds } = progressOf(finishing.state, step);
  if (how === 'done') return doneAt === null ? 'done' : `done ${localMoment(Date.parse(doneAt))}`;
  if (how === 'skipped') return 'left out';
  if (how === 'running') {
    const wait = finishing.waits.find(w => w.step === step);
    return wait ? waitWords(wait, finishing.nowMs) : 'begun';
  }
  if (finishing.settled.has(step)) return 'done';
  return rounds > 0 ? `${rounds} so far` : '';
};

/** Why a step stands where it does. */
const WhyHere = ({ step, steps }: { readonly step: FinishStep; readonly steps: readonly FinishStep[] }) => {
  const rules = reasonsFor(step, steps);
  return (
    <Why of={`${FINISH[step].name} here`}>
      {rules.length === 0
        ? 'No rule holds it here: do it when it suits you.'
        : rules.map(r => (
            <span key={r.first + r.next} className="block">
              {r.next === step ? `After “${FINISH[r.first].name}”` : `Before “${FINISH[r.next].name}”`}:{' '}
              {r.why}
            </span>
          ))}
      <span className="block text-chalk">Common practice.</span>
    </Why>
  );
};

/** Every step of finishing in its order; any of them can be taken up now. */
export const FinishSteps = ({ finishing }: { readonly finishing: FinishingProgress }) => (
  <ol aria-label="Steps of finishing">
    {finishing.steps.map(step => {
      const isSettled = finishing.settled.has(step);
      const isNow = finishing.step === step;
      return (
        <li key={step} className="flex min-h-14 items-center gap-3 border-b border-rim">
          <span aria-hidden="true" className="w-6 text-center text-xl">
            {isSettled ? <Sign of="done" /> : isNow ? <Sign of="next" /> : '·'}
          </span>
          <span
            className={`flex-1 text-lg leading-tight first-letter:uppercase ${isNow ? 'font-semibold' : ''}`}
          >
            {FINISH[step].name}
            <span className="block text-[15px] font-normal text-chalk">{stateWords(finishing, step)}</span>
          </span>
          {!isSettled && !isNow && (
            <Button size="wet" className="!text-base" onClick={() => finishing.pick(step)}>
              Do this now
            </Button>
          )}
          <WhyHere step={step} steps={finishing.steps} />
        </li>
      );
    })}
  </ol>
);
