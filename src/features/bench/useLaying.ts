import { type LayStep, laySteps } from '../../core/wool/layOrder';
import { pileList, pilesOfStep } from '../../core/wool/pileList';
import { pieceWools } from '../../records/piece';
import { layProgress, WHOLE_LAYING } from '../../core/wool/layProgress';
import { layMethodOf } from '../../core/plan/layMethodOf';
import { wayOf } from '../../core/ways/register';
import type { Plan } from '../../core/plan/makePlan';
import type { PieceContext } from '../../session/pieceContext';
import { type Shortcut, useShortcuts } from '../../session/shortcuts';
import type { Bench } from '../../session/useBench';
import { feltBegun } from '../../core/log/feltBegun';
import { layWords } from '../../words/laying';

const lastLaid = (steps: readonly LayStep[]): number =>
  steps.findLast(s => s.layer !== undefined)?.layer ?? 1;

/** Laying as it stands: until it is done, or the felt was worked, it is the one thing of the bench. */
export const useLaying = (context: PieceContext, plan: Plan, bench: Bench) => {
  const way = wayOf(plan.kind, plan.form, context.piece.way);
  const laid = layMethodOf(plan.form, way);
  const { habits } = context.piece;
  const layers = plan.weigh?.faces[0]?.layers.length ?? 1;
  const steps = laySteps({ ...laid, layers, ...context.piece.laying, habits });
  const { next, done, of } = layProgress(
    steps,
    context.layings.map(e => e.act.step),
  );
  const last = context.layings.at(-1);
  const isOpen = !feltBegun(context.entries);
  const tick = (how: 'done' | 'skipped'): void => {
    if (next) void bench.log({ kind: 'lay', step: next.id, how });
  };
  const words = (step: (typeof steps)[number]): string => layWords(step, { ...laid, layers, habits });
  const takes = next && plan.weigh ? pilesOfStep(next, pileList(plan.weigh, pieceWools(context.piece))) : [];
  const weighed = new Map(context.weighings.map(e => [e.act.pile, e.act.grams]));
  const at = next ? steps.indexOf(next) : steps.length;
  return {
    /** Grams in which it is told. */
    stepG: plan.weigh?.stepG ?? context.piece.plan.scaleStepG,
    /** True while laying is what is to be done. */
    isNow: isOpen && next !== null,
    words: next ? words(next) : 'All the wool is laid.',
    /** What this step takes, as it was weighed, else as it is planned. */
    takes: takes.map(p => ({ woolId: p.woolId, grams: weighed.get(p.id) ?? p.grams })),
    after: steps.slice(at + 1, at + 4).map(words),
    isLayer: next?.act === 'lay' && laid.build !== 'dabbed',
    /** How many layers there are. */
    layers,
    /** The layer and the face that are laid now, or were last; from 0. */
    layer: (next?.layer ?? lastLaid(steps.slice(0, at))) - 1,
    face: (next?.face ?? 1) - 1,
    done,
    of,
    tick,
    layWhole: () => void bench.log({ kind: 'lay', step: WHOLE_LAYING, how: 'done' }),
    stepBack: isOpen && last ? () => void bench.takeBack(last.id) : null,
  };
};

export type LayingProgress = ReturnType<typeof useLaying>;

/** Laying by keys, pedal or page-turner. */
export const useLayKeys = (laying: LayingProgress, isHeard: boolean): void => {
  const keys: Shortcut[] = [
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'this step of laying is done',
      run: () => laying.tick('done'),
    },
    {
      keys: ['PageUp', 'Backspace', 'Ctrl+z'],
      shown: 'PageUp, Backspace',
      does: 'step back',
      run: () => laying.stepBack?.(),
    },
    { keys: ['ArrowRight'], shown: '→', does: 'skip this step', run: () => laying.tick('skipped') },
  ];
  useShortcuts(isHeard ? keys : []);
};
