import type { Act } from '../acts/act';
import type { LogEntry } from '../log/entry';
import { manyAlike } from '../log/manyAlike';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import { GENERAL_PRIOR } from './feltingModel';
import { feltingRecordOfOne, formForModel } from './feltingRecordOf';
import type { FeltingRecord } from './likelihood';

/** A piece as far as its finished record is asked for. */
interface FinishedPiece {
  readonly plan: PlanInput;
  readonly result: {
    readonly readings: Readonly<Record<string, number | null>>;
    readonly finishedAt: string | null;
  };
}

/**
 * A finished piece as the model reads it: its log, and its dry measures as the last of its readings. Of many alike there is one
 * for each that was measured, and the dry measures stand with the one in the hands last. Empty where its plan cannot be made any
 * more, or where nothing was measured.
 */
export const finishedRecords = (piece: FinishedPiece, log: readonly LogEntry[]): readonly FeltingRecord[] => {
  const plan = planOf(piece.plan);
  if (!plan.ok) return [];
  const formed = formForModel(plan.value.form);
  const act: Act = { kind: 'measure', readings: piece.result.readings };
  const dry = { id: 'dry', seq: Number.MAX_SAFE_INTEGER, at: piece.result.finishedAt ?? '', act };
  const { inHand, logs } = manyAlike(log);
  return [...logs]
    .map(([n, own]) => feltingRecordOfOne(n === inHand ? [...own, dry] : own, formed, GENERAL_PRIOR))
    .filter(record => record.intervals.length > 0);
};
