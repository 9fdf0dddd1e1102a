import { useMemo, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { type Act, type ActOf } from '../../core/acts/act';
import { type Air, type DriesOn, FINISH, type FinishStep } from '../../core/acts/finishSteps';
import type { Water } from '../../core/acts/vocabulary';
import { finishingOf } from '../../core/finishing/finishingOf';
import { progressOf } from '../../core/finishing/finishState';
import type { Plan } from '../../core/plan/makePlan';
import { dryEach, laidAtFirst } from '../../session/laidEach';
import type { PieceContext } from '../../session/pieceContext';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import type { Bench } from '../../session/useBench';
import { useNow } from '../../session/useNow';
import { useOwnDrying } from '../../session/useOwnDrying';
import { undoKeys } from './undoKeys';

const LOOKS_MS = 5000;
/** While nothing waits the time is of no interest. */
const IDLE_MS = 600_000;
/** In the address: whether it is finished or felted, where the log would have it otherwise. */
const DO = 'do';

/** How the next step is done; what is not chosen is as it was last, or as is usual. */
interface HowFinished {
  readonly water?: Water;
  readonly on?: DriesOn;
  readonly air?: Air;
}

/** Rinses go warm and cold in turn. Common practice. */
const nextWater = (rounds: number): Water => (rounds % 2 === 0 ? 'warm' : 'cold');

/** Finishing as it stands: once it is begun, until the felt is worked again, it is the one thing of the bench. */
export const useFinishing = (context: PieceContext, plan: Plan, bench: Bench) => {
  const { piece, weighings, entries } = context;
  const own = useOwnDrying();
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const [picked, setPicked] = useState<FinishStep | null>(null);
  const [how, setHow] = useState<HowFinished>({});
  // A tap at the bench does not change what was laid before it.
  const atFirstG = useMemo(() => laidAtFirst({ piece, weighings }, plan), [piece, weighings, plan]);
  const plannedG = dryEach(context, plan, atFirstG);
  const finishing = useMemo(
    () => finishingOf(piece, plan, { log: entries, plannedG, own, msOf: Date.parse }),
    [piece, plan, entries, plannedG, own],
  );
  const { state, settled, next } = finishing;
  const now = useNow(finishing.waits.length > 0 ? LOOKS_MS : IDLE_MS);
  const step = picked !== null && !settled.has(picked) ? picked : next;
  const progress = step === null ? null : progressOf(state, step);
  const chosen: Required<HowFinished> = {
    water: how.water ?? (step === 'rinse' ? nextWater(progress?.rounds ?? 0) : 'cold'),
    on: how.on ?? state.on ?? (step === 'flat' ? 'flat' : 'itself'),
    air: how.air ?? state.air ?? 'room',
  };
  const log = (act: Act): void => {
    setPicked(null);
    setHow({});
    void bench.log(act);
  };
  const act = (done: ActOf<'finish'>['how']): ActOf<'finish'> | null =>
    step && {
      kind: 'finish',
      step,
      how: done,
      ...(step === 'rinse' || step === 'rinseOut' ? { water: chosen.water } : {}),
      ...(step === 'shape' ? { on: chosen.on } : {}),
      ...(step === 'dry' && done === 'begun' ? { air: chosen.air } : {}),
    };
  const tell = (done: ActOf<'finish'>['how']): void => {
    const it = act(done);
    if (it) log(it);
  };
  const wait = finishing.waits.find(w => w.step === step) ?? null;
  const go = (goes: 'finish' | 'felt'): void => setParams({ [DO]: goes }, { replace: true });
  /** What is left to itself is begun first, and ended later. */
  const begins = step !== null && FINISH[step].wait !== null && progress?.how !== 'running';
  /** What it weighed when it was dry is its dry weight, unless another was put in. */
  const keepDryWeight = (): void => {
    const last = state.weighings.at(-1);
    if (step !== 'dry' || finishing.dryness.is !== 'dry' || !last || piece.result.grams !== null) return;
    context.change(p => ({ ...p, result: { ...p.result, grams: last.grams } }), { label: 'dry weight' });
  };
  const great = (): void => {
    if (step === null || step === 'record') void navigate('../finish', { relative: 'path' });
    else if (step === 'cutDry') log({ kind: 'cutDry' });
    else {
      keepDryWeight();
      tell(begins ? 'begun' : 'done');
    }
  };
  return {
    ...finishing,
    plannedG,
    /** True while finishing is what the bench is for. */
    isNow: params.get(DO) === 'finish' || (params.get(DO) !== 'felt' && state.isBegun),
    step,
    progress,
    chosen,
    choose: (more: HowFinished): void => setHow(was => ({ ...was, ...more })),
    pick: setPicked,
    wait,
    // The clock was looked at before a wait began that was begun just now.
    nowMs: Math.max(now, ...finishing.waits.map(w => w.sinceMs)),
    /** What the great button would log of it begins a wait. */
    begins,
    great,
    tell,
    go,
    setSteps: (steps: readonly FinishStep[] | null): void =>
      context.change(p => ({ ...p, finishing: steps && [...steps] }), { label: 'steps of finishing' }),
  };
};

export type FinishingProgress = ReturnType<typeof useFinishing>;

/** Finishing by keys, pedal or page-turner. */
export const useFinishKeys = (finishing: FinishingProgress, bench: Bench, isHeard: boolean): void => {
  const keys: Shortcut[] = [
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'this step of finishing',
      run: finishing.great,
    },
    ...undoKeys(bench),
    { keys: ['ArrowRight'], shown: '→', does: 'leave this step out', run: () => finishing.tell('skipped') },
  ];
  useShortcuts(isHeard ? keys : []);
};
