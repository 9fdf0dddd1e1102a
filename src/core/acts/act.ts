import { z } from 'zod';
import type { Amount, ActAt, StepRest, FeltWork, PieceWording, UsualWork } from './actSpec';
import type { ActChoices } from './choices';
import { type BenchFold, markWorked } from './benchFold';
import { ACTS } from './register';
import type { Water } from './vocabulary';

/** One thing done at the bench, or measured, or taken back. */
export type Act = z.infer<(typeof ACTS)[number]['schema']>;
export type ActKind = Act['kind'];
/** An act of one kind. */
export type ActOf<K extends ActKind> = Extract<Act, { kind: K }>;

type Registered = (typeof ACTS)[number];

const schemas: ReadonlyArray<Registered['schema']> = ACTS.map(a => a.schema);
const [firstSchema, ...otherSchemas] = schemas;
if (!firstSchema) throw new Error('No act is registered.');
/** What an act may be. */
export const ActSchema: z.ZodType<Act> = z.discriminatedUnion('kind', [firstSchema, ...otherSchemas]);

const byKind: ReadonlyMap<string, Registered> = new Map(ACTS.map(a => [a.kind, a]));

/** What the register has of a kind of act; null where there is no such act. */
const registered = (kind: string): Registered | null => byKind.get(kind) ?? null;

/** What an act does to the felt, in reference rolls, in water that is so warm; null where it is no work. */
export const workOfAct = (act: Act, water: Water): FeltWork | null =>
  registered(act.kind)?.work(act, water) ?? null;

/** How much was done, in the act's own unit; null where it is not counted. */
export const amountOf = (act: Act): Amount | null => registered(act.kind)?.amount(act) ?? null;

/** The water an act leaves; null where it does not change it. */
export const waterAfter = (act: Act): Water | null => registered(act.kind)?.water(act) ?? null;

/** Whether an act is done to all of many alike at once. */
export const isOfAll = (kind: string): boolean => registered(kind)?.ofAll ?? false;

/** Which of many alike is in the hands after an act; null where it stays the same one. */
export const takenUpBy = (act: Act): number | null => registered(act.kind)?.takesUp(act) ?? null;

/** Whether an act is done at the bench, beside it, or on the log itself. */
export const actPlace = (kind: string): Registered['place'] => registered(kind)?.place ?? 'bench';

/** An act in words, as it stands in the log and on Undo. */
export const actWords = (act: Act, of: PieceWording): string =>
  registered(act.kind)?.words(act, of) ?? act.kind;

/** A caution that belongs to an act; null where there is none. */
export const cautionOf = (kind: string): string | null => registered(kind)?.caution ?? null;

/** Hashes of the attachments that an act holds. */
export const attachmentsOf = (act: Act): readonly string[] => registered(act.kind)?.attachments(act) ?? [];

/** Changes where the work stands by one act. */
export const foldAct = (fold: BenchFold, act: Act, at: ActAt): void => {
  const entry = registered(act.kind);
  const amount = entry?.amount(act);
  if (amount) fold.done[act.kind] = (fold.done[act.kind] ?? 0) + amount.count;
  entry?.fold(fold, act, at);
  if (amount && entry?.work(act, 'hot')) markWorked(fold, amount.count);
};

/** What an act counts towards steps of recipes, by keys that no other act has. */
export const tallyOf = (act: Act): ReadonlyArray<readonly [key: string, amount: number]> =>
  (registered(act.kind)?.tally(act) ?? []).map(([key, amount]) => [`${act.kind}/${key}`, amount]);

/** A step of a recipe that acts can settle: the act that answers to it, and what it says. */
export interface ActStep extends StepRest {
  readonly step: string;
  readonly kind: string;
}

/** Every step that acts answer to, in the order of the register. */
export const ACT_STEPS: readonly ActStep[] = ACTS.flatMap(({ kind, asked }) =>
  Object.entries(asked).map(([step, it]): ActStep => ({ ...it, step, kind })),
);

/** How an act is chosen and logged at the bench. */
export interface BenchControl {
  readonly kind: string;
  /** What stands on its key; null where it is only done when it is advised. */
  readonly key: string | null;
  readonly takes: ReadonlyArray<'direction' | 'side' | 'water' | 'count' | 'cushion' | 'pressure'>;
  readonly unit: 'min' | null;
  /** True where it can be logged without a number. */
  readonly byFeel: boolean;
  readonly counts: { readonly usual: number; readonly choices: readonly number[] } | null;
  readonly turns: 'direction' | 'water' | 'count' | null;
  readonly make: (choices: ActChoices, usual: UsualWork) => Act | null;
  readonly choicesOf: (act: Act) => ActChoices;
  /** What a pacer counts of it; null where it cannot. */
  readonly noun: string | null;
  readonly withCount: (act: Act, count: number, give?: number) => Act | null;
}

/** Every act that a tap can log, in the order of the register. */
export const CONTROLS: readonly BenchControl[] = ACTS.flatMap(({ kind, control }) =>
  control ? [{ kind, ...control }] : [],
);

/** How a kind of act is chosen; null where no tap logs it. */
export const controlOf = (kind: string): BenchControl | null => CONTROLS.find(c => c.kind === kind) ?? null;
