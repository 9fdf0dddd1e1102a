import type { Act } from '../acts/act';
import type { LogEntry } from '../log/entry';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import { GENERAL_PRIOR } from './feltingModel';
import { feltingRecordOf, formForModel } from './feltingRecordOf';
import type { FeltingRecord } from './likelihood';

/**
 * A finished piece as the model reads it: its log, and its dry measures as the last of its readings. Null where its plan cannot be
 * made any more.
 */
export const finishedRecord = (
  piece: {
    readonly plan: PlanInput;
    readonly result: {
      readonly readings: Readonly<Record<string, number | null>>;
      readonly finishedAt: string | null;
    };
  },
  log: readonly LogEntry[],
): FeltingRecord | null => {
  const plan = planOf(piece.plan);
  if (!plan.ok) return null;
  const act: Act = { kind: 'measure', readings: piece.result.readings };
  const dry = { id: 'dry', seq: Number.MAX_SAFE_INTEGER, at: piece.result.finishedAt ?? '', act };
  return feltingRecordOf([...log, dry], formForModel(plan.value.form), GENERAL_PRIOR);
};
