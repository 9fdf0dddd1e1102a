import { type Air, FINISH_STEPS, type FinishStep } from '../acts/finishSteps';
import type { LogEntry } from '../log/entry';
import type { Plan } from '../plan/makePlan';
import type { Recipe } from '../recipe/recipe';
import type { Habits } from '../ways/habits';
import { dryingBody } from './dryingBody';
import { dryingHours } from './dryingHours';
import { type Dryness, dryness } from './dryness';
import { finishOrder } from './finishOrder';
import { type FinishState, finishState, type FinishWait, settledIn, waitsIn } from './finishState';
import { dryingRange, type OwnDrying } from './ownDrying';
import type { EXCLUDES } from './rules';
import { usualFinish } from './usualFinish';

/** A piece as far as its finishing is asked for. */
export interface FinishedPiece {
  readonly finishing: readonly FinishStep[] | null;
  readonly recipe: Recipe | null;
  readonly habits: Habits;
  readonly result: { readonly finishedAt: string | null; readonly thicknessMm: number | null };
}

/** All of the finishing of one piece. */
export interface Finishing {
  readonly state: FinishState;
  /** Every step that was chosen, in no order; with two that exclude each other. */
  readonly wanted: ReadonlySet<FinishStep>;
  /** The chosen steps in the proposed order. */
  readonly steps: readonly FinishStep[];
  /** Two chosen steps that cannot both be; the second is left out of the order. */
  readonly clash: (typeof EXCLUDES)[number] | null;
  readonly settled: ReadonlySet<FinishStep>;
  /** The first step that is neither done nor left out. */
  readonly next: FinishStep | null;
  readonly waits: readonly FinishWait[];
  /** Hours it is likely to dry, four times in five between the two; null while its thickness is not known. */
  readonly drying: ReturnType<typeof dryingRange> | null;
  readonly dryness: Dryness;
}

/**
 * How a piece stands in its finishing: its steps in order, what is done, what waits and how long.
 * @param of.plannedG what one weighs dry by the plan or as it was laid, g; null where that is not known
 * @param of.own what was learnt of drying in an air  @param of.msOf a stored time in ms since 1970
 */
export const finishingOf = (
  piece: FinishedPiece,
  plan: Plan,
  of: {
    readonly log: readonly LogEntry[];
    readonly plannedG: number | null;
    readonly own: (air: Air) => OwnDrying;
    readonly msOf: (at: string) => number;
  },
): Finishing => {
  const state = finishState(of.log, piece.recipe, of.msOf);
  const usual = usualFinish(plan.form, { purpose: plan.kind.group, recipe: piece.recipe });
  const chosen = new Set<FinishStep>([...(piece.finishing ?? usual), ...state.progress.keys()]);
  const wanted = new Set(chosen);
  const order = finishOrder(chosen);
  if (!order.ok) chosen.delete(order.clash.other);
  const sound = order.ok ? order : finishOrder(chosen);
  const steps = sound.ok ? sound.steps : FINISH_STEPS.filter(s => chosen.has(s));
  const settled = new Set(settledIn(state));
  if (piece.result.finishedAt !== null) settled.add('record');
  const air = state.air ?? 'room';
  const body = dryingBody(plan, piece.habits, piece.result.thicknessMm);
  const drying = body && dryingRange(dryingHours(body, air), of.own(air));
  return {
    state,
    wanted,
    steps,
    clash: order.ok ? null : order.clash,
    settled,
    next: steps.find(s => !settled.has(s)) ?? null,
    waits: waitsIn(state, { dryH: drying?.likelyH ?? null, recipe: piece.recipe, msOf: of.msOf }),
    drying,
    dryness: dryness(state.weighings, of.plannedG),
  };
};
