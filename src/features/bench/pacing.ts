import { z } from 'zod';
import { type Act, ActSchema, amountOf, controlOf } from '../../core/acts/act';
import { useKeptDraft } from '../../session/useKeptDraft';

/** What a pacer counts of an act: rolls, rubs; null where it counts nothing. */
export const countedNoun = (act: Act): string | null => controlOf(act.kind)?.noun ?? null;

/** Whether an act takes minutes: then the clock counts it. */
export const isTimed = (act: Act): boolean => controlOf(act.kind)?.unit === 'min';

const PacingSchema = z.object({
  act: ActSchema.refine(act => countedNoun(act) !== null, 'Only what is counted is paced.'),
  count: z.number().int().min(1).max(1_000_000),
});

/** A count that the pacer had come to: the act as it would have been in full, and how far it came. */
export type Pacing = z.infer<typeof PacingSchema>;

const ClockSchema = z.object({
  act: ActSchema.refine(isTimed, 'Only what takes minutes is clocked.'),
  /** When it began, ms. */
  beganMs: z.number().min(0),
});

/** How many the act is in full, or how many minutes. */
export const countOf = (act: Act): number => amountOf(act)?.count ?? 0;

/** An act with another count, and how far that may be off. */
export const withCount = (act: Act, count: number, spread?: number): Act =>
  controlOf(act.kind)?.withCount(act, count, spread) ?? act;

/** The act as far as it was counted. */
export const actSoFar = ({ act, count }: Pacing): Act => withCount(act, count);

/** What the pacer counts on a piece, kept while it counts: where it is broken off, it is there when the bench is opened again. */
export const usePacing = (pieceId: string) => useKeptDraft<Pacing>(`jorrit.pacing.${pieceId}`, PacingSchema);

/** The clock that runs on a piece, kept while it runs: a page that was left does not stop it. */
export const useClock = (pieceId: string) =>
  useKeptDraft<z.infer<typeof ClockSchema>>(`jorrit.clock.${pieceId}`, ClockSchema);
