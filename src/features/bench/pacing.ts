import { z } from 'zod';
import type { Act } from '../../core/log/entry';
import { ActSchema } from '../../records/entry';
import { useKeptDraft } from '../../session/useKeptDraft';

/** What the pacer counts. */
export type Paced = Extract<Act, { kind: 'roll' | 'rub' }>;

const PacingSchema = z.object({
  act: ActSchema.transform((act, context): Paced => {
    if (act.kind === 'roll' || act.kind === 'rub') return act;
    context.addIssue('Only rolls and rubs are paced.');
    return z.NEVER;
  }),
  count: z.number().int().min(1).max(1_000_000),
});

/** A count that the pacer had come to: the act as it would have been in full, and how far it came. */
export type Pacing = z.infer<typeof PacingSchema>;

/** How many the act is in full. */
export const countOf = (act: Paced): number => (act.kind === 'roll' ? act.rolls : act.count);

/** The act as far as it was counted. */
export const actSoFar = ({ act, count }: Pacing): Paced =>
  act.kind === 'roll' ? { ...act, rolls: count } : { ...act, count };

/** What the pacer counts on a piece, kept while it counts: where it is broken off, it is there when the bench is opened again. */
export const usePacing = (pieceId: string) => useKeptDraft<Pacing>(`jorrit.pacing.${pieceId}`, PacingSchema);
