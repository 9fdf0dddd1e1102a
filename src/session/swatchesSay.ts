import { type PriorEvidence, swatchEvidence } from '../core/felting/pooledPrior';
import { swatchOutcome } from '../core/wool/swatchOutcome';
import type { Swatch } from '../records/swatch';

/** What finished swatches say of their wools, each with when it was finished. @param breedIdOf id of a wool's breed */
export const swatchesSay = (
  swatches: readonly Swatch[],
  breedIdOf: (woolId: string) => string,
): ReadonlyArray<{ readonly finishedMs: number; readonly evidence: PriorEvidence }> =>
  swatches.flatMap(s => {
    const { along, across } = swatchOutcome(s);
    const { finishedAt } = s.result;
    if (s.deletedAt !== null || finishedAt === null || along === null || across === null) return [];
    const of = { id: s.id, woolId: s.woolId, breedId: breedIdOf(s.woolId) };
    return [{ finishedMs: Date.parse(finishedAt), evidence: { ...of, says: swatchEvidence(along, across) } }];
  });
