import type { FeltingRecord } from '../felting/likelihood';
import { pooledPrior, type PriorEvidence, saidBy } from '../felting/pooledPrior';
import { isHeld, type Predict, predictNow, replayRecord } from './replayRecord';

/** A finished piece as it is replayed. */
export interface ReplayedPiece {
  readonly id: string;
  readonly woolId: string;
  /** Empty when the breed is not known. */
  readonly breedId: string;
  /** When it was begun, and finished, ms since 1970. */
  readonly begunMs: number;
  readonly finishedMs: number;
  /** As the model reads its log, from general practice; of many alike, one for each that was measured. */
  readonly records: readonly FeltingRecord[];
}

/** How right the predictions of one piece were. */
export interface PieceAccuracy {
  readonly id: string;
  readonly woolId: string;
  /** Predictions that a measuring tested, and how many of their four-in-five ranges held. */
  readonly tried: number;
  readonly held: number;
}

/**
 * Replays finished pieces from their logs, each from what had been learnt when it was begun and no later.
 * @param swatches what swatches said, and when they were finished
 * @param progress told after each piece
 */
export const accuracyOf = (
  pieces: readonly ReplayedPiece[],
  swatches: ReadonlyArray<{ readonly finishedMs: number; readonly evidence: PriorEvidence }>,
  of: { readonly predict?: Predict; readonly progress?: (done: number, of: number) => void } = {},
): readonly PieceAccuracy[] => {
  const { predict = predictNow, progress } = of;
  const learnt: Array<{ readonly finishedMs: number; readonly evidence: PriorEvidence }> = [];
  const isSwatch = new Set(swatches.map(s => s.evidence.id));
  const inOrder = pieces.toSorted((a, b) => a.finishedMs - b.finishedMs);
  return inOrder.map((piece, i) => {
    const { id, woolId, breedId, records } = piece;
    const known = [...learnt, ...swatches].filter(l => l.finishedMs <= piece.begunMs).map(l => l.evidence);
    const { belief } = pooledPrior(known, { woolId, breedId }, one => isSwatch.has(one));
    const predictions = records.flatMap(record => replayRecord({ ...record, belief }, predict));
    for (const record of records)
      learnt.push({
        finishedMs: piece.finishedMs,
        evidence: { id, woolId, breedId, says: saidBy(record) },
      });
    progress?.(i + 1, inOrder.length);
    return { id, woolId, tried: predictions.length, held: predictions.filter(isHeld).length };
  });
};
