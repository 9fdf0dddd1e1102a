import {
  type Air,
  AIR_WORDS,
  AIRS,
  DRIES_ON,
  DRIES_ON_WORDS,
  FINISH,
  FINISH_STEPS,
  type FinishStep,
} from '../../core/acts/finishSteps';
import { WATERS } from '../../core/acts/vocabulary';
import { brokenBy } from '../../core/finishing/finishOrder';
import { progressOf } from '../../core/finishing/finishState';

import { showQuantity, type UnitSystem } from '../../core/units/units';
import { localMoment } from '../../session/clock';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Tick } from '../../ui/Tick';
import { Why } from '../../ui/Why';
import { finishGreat, roughHours, WAITING, waitWords } from '../../words/finishing';
import { GREAT } from './BenchFrame';
import { FinishSteps } from './FinishSteps';
import { OneNumber } from './NextLine';
import type { BenchStatus } from './useBenchStatus';
import type { FinishingProgress } from './useFinishing';

interface FinishProps {
  readonly finishing: FinishingProgress;
}

/** What stands on a key, where a sentence has no room. */
const AIR_KEYS: Readonly<Record<Air, string>> = {
  warm: 'warm air',
  sun: 'sun, wind',
  room: 'room',
  cool: 'cool, damp',
};
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

/** The number that the hand needs: what is left of a wait. */
const leftOf = ({ wait, nowMs }: FinishingProgress): { figure: string | null; unit: string } => {
  if (!wait || wait.untilMs === null) return { figure: null, unit: '' };
  const leftMs = Math.max(0, wait.untilMs - nowMs);
  return leftMs >= 2 * HOUR_MS
    ? { figure: String(Math.round(leftMs / HOUR_MS)), unit: 'h left' }
    : { figure: String(Math.round(leftMs / MINUTE_MS)), unit: 'min left' };
};

/** What its last weighing says of whether it is dry. */
const weighedWords = ({ dryness, plannedG }: FinishingProgress, units: UnitSystem): string => {
  if (dryness.is === 'unknown') return '';
  if (dryness.is === 'dry')
    return dryness.by === 'plan'
      ? 'It weighs what it must: it is dry.'
      : 'It lost nothing within an hour: it is dry.';
  return dryness.overG === null
    ? 'Weigh it again in an hour: dry, it loses nothing any more.'
    : `Still ${showQuantity(dryness.overG, 'mass', units)} of water in it: dry it weighs ${showQuantity(plannedG ?? 0, 'mass', units)}.`;
};

const underWay = (finishing: FinishingProgress, units: UnitSystem): string => {
  const { step, wait, nowMs, drying, progress } = finishing;
  if (step === null)
    return 'Every step is done or left out. Compare plan and result, and mark it as finished.';
  if (step === 'dry') {
    const said = weighedWords(finishing, units);
    if (said) return said;
    if (!wait)
      return drying
        ? `About ${roughHours(drying.likelyH)} ${AIR_WORDS[finishing.chosen.air]}.`
        : 'How thick it is says how long.';
  }
  if (wait) return `${WAITING[wait.step] ?? ''} ${waitWords(wait, nowMs)}.`.trim();
  if (step === 'rinse' && progress && progress.rounds > 0)
    return `Rinsed ${progress.rounds} ${progress.rounds === 1 ? 'time' : 'times'}, not clear yet.`;
  return FINISH[step].caution ?? '';
};

/** What to do now to finish it, as large as any advice. */
export const FinishNext = ({ finishing, units }: FinishProps & { readonly units: UnitSystem }) => {
  const { step, steps, settled, drying } = finishing;
  const done = steps.filter(s => settled.has(s)).length;
  return (
    <>
      <section aria-label="Finishing" aria-live="polite" className="min-w-0 flex-1">
        <p className="text-[15px] text-chalk">
          Finishing, {done} of {steps.length}
        </p>
        <p className="bench-headline">{step === null ? 'All is done.' : FINISH[step].doing}</p>
        <p className="text-lg leading-snug">{underWay(finishing, units)}</p>
      </section>
      <div className="flex shrink-0 flex-col items-end justify-between">
        <OneNumber {...leftOf(finishing)} />
        {step === 'dry' && drying && (
          <Why of="this long">
            24 h for a wall of 4 mm in a room, thicker more than in proportion (common practice); round pieces
            count a third of their diameter, folded edges twice. Four times in five between{' '}
            {roughHours(drying.leastH)} and {roughHours(drying.mostH)}, as your own pieces have dried.
          </Why>
        )}
      </div>
    </>
  );
};

/** The great button while finishing: one step begun, or done. */
export const FinishGreat = ({ finishing }: FinishProps) => {
  const { head, sub } = finishGreat(finishing.step, finishing.begins);
  return (
    <Button size="wet" look="main" data-steady className={GREAT} onClick={finishing.great}>
      {head}
      <span className="line-clamp-2 text-lg leading-tight font-normal">{sub}</span>
    </Button>
  );
};

/** What stands in the row of acts while finishing. */
export const FinishActs = ({ finishing, onWeigh }: FinishProps & { readonly onWeigh: () => void }) => {
  const { step, tell, go } = finishing;
  return (
    <div className="flex h-full gap-2 *:flex-1 *:!text-lg *:!leading-tight">
      {step === 'rinse' ? (
        <Button size="wet" data-steady onClick={() => tell('again')}>
          Rinsed, still soapy
        </Button>
      ) : (
        <Button size="wet" data-steady disabled={step !== 'dry'} onClick={onWeigh}>
          Weigh it
        </Button>
      )}
      <Button size="wet" data-steady disabled={step === null} onClick={() => tell('skipped')}>
        Leave out
      </Button>
      <Button size="wet" data-steady onClick={() => go('felt')}>
        Back to felting
      </Button>
    </div>
  );
};

/** How the step is done: how warm the water is, or where it dries. */
export const FinishControls = ({ finishing }: FinishProps) => {
  const { step, chosen, choose, begins } = finishing;
  if (step === 'rinse' || step === 'rinseOut')
    return (
      <Choice
        label="Water"
        size="wet"
        value={chosen.water}
        options={WATERS.map(value => ({ value, text: value }))}
        onChoose={water => choose({ water })}
      />
    );
  if (step === 'dry' && begins)
    return (
      <Choice
        label="Where it dries"
        size="wet"
        value={chosen.air}
        options={AIRS.map(value => ({ value, text: AIR_KEYS[value], name: AIR_WORDS[value] }))}
        onChoose={air => choose({ air })}
      />
    );
  return null;
};

/** What the step breaks if it is done now: why, and what helps. */
const OutOfOrder = ({ finishing, step }: FinishProps & { readonly step: FinishStep }) => {
  const broken = brokenBy(step, finishing.steps, finishing.settled);
  return broken.map(rule => (
    <p key={rule.first + rule.next} role="alert" className="border-l-4 border-wanted pl-3 text-lg">
      {rule.next === step
        ? `Before this: ${FINISH[rule.first].name}.`
        : `This comes before “${FINISH[rule.next].name}”.`}{' '}
      {rule.why} If you do it now: {rule.instead}
    </p>
  ));
};

/** Where finishing stands: what speaks against the step, what it dries on, and every step in its order. */
export const FinishStage = ({ finishing, standing }: FinishProps & { readonly standing: BenchStatus }) => {
  const { step, chosen, choose, clash, waits, nowMs } = finishing;
  return (
    <>
      {standing.state.cutSinceEdges && (
        <p role="alert" className="border-l-4 border-wanted pl-3 text-lg">
          A cut edge was not rubbed yet. Rub every cut edge before you rinse, or it frays.
        </p>
      )}
      {step && <OutOfOrder finishing={finishing} step={step} />}
      {clash && (
        <p role="alert" className="border-l-4 border-wanted pl-3 text-lg">
          {clash.why}
        </p>
      )}
      {waits
        .filter(w => w.step !== step)
        .map(w => (
          <p key={w.step} className="text-lg">
            {WAITING[w.step]} {waitWords(w, nowMs)}
            {w.untilMs !== null && w.untilMs > nowMs && `, until about ${localMoment(w.untilMs)}`}.
          </p>
        ))}
      {step === 'shape' && (
        <div className="flex flex-col gap-1">
          <p className="text-[15px] text-chalk">It dries on</p>
          <div className="*:!grid *:grid-cols-2 *:gap-px sm:*:grid-cols-3">
            <Choice
              label="It dries on"
              size="wet"
              value={chosen.on}
              options={DRIES_ON.map(value => ({ value, text: DRIES_ON_WORDS[value] }))}
              onChoose={on => choose({ on })}
            />
          </div>
        </div>
      )}
      <FinishSteps finishing={finishing} />
      <details>
        <summary className="min-h-12 cursor-pointer py-2 text-lg">Change the steps</summary>
        <ul className="grid grid-cols-1 gap-x-4 sm:grid-cols-2">
          {FINISH_STEPS.map(s => (
            <li key={s}>
              <label className="flex min-h-12 items-center gap-3 text-lg">
                <Tick
                  className="size-6 accent-ink"
                  isOn={finishing.wanted.has(s)}
                  disabled={progressOf(finishing.state, s).how !== 'todo'}
                  onTick={isWanted =>
                    finishing.setSteps(
                      isWanted ? [...finishing.wanted, s] : [...finishing.wanted].filter(kept => kept !== s),
                    )
                  }
                />
                {FINISH[s].name}
              </label>
            </li>
          ))}
        </ul>
        {finishing.steps.length > 0 && (
          <Button onClick={() => finishing.setSteps(null)}>As is usual for this form</Button>
        )}
      </details>
    </>
  );
};
