import type { StoredRecord } from '../records/common';
import { pieceKind } from '../records/piece';
import { kindOf, recordKey, withNeeds } from '../records/register';
import type { Snapshot } from '../records/snapshot';
import { type Batch, NO_BATCH, type PlannedBatch } from './batch';
import { type RecordBefore, changedBy } from './takeBack';

/** Takes records out for good, with the logs of pieces among them, but for what those that stay cannot do without. */
const planRemoval = (have: Snapshot, goes: (record: StoredRecord) => boolean): Batch => {
  const all = new Map(have.records.map(r => [recordKey(r), r]));
  const going = have.records.filter(goes);
  const needed = withNeeds(
    have.records.filter(r => !goes(r)),
    all,
  );
  // A part of something that stays, stays with it: a swatch with its wool.
  const stays = (record: StoredRecord): boolean => {
    const owner = kindOf(record)?.partOf(record) ?? null;
    return needed.has(recordKey(record)) || (owner !== null && needed.has(recordKey(owner)));
  };
  const remove = going.filter(r => !stays(r));
  const pieces = new Set(remove.filter(pieceKind.is).map(p => p.id));
  return {
    ...NO_BATCH,
    remove,
    removeEntries: have.entries.filter(e => pieces.has(e.pieceId)).map(e => e.id),
  };
};

/** Clears the sample, but for what a felter's own records need; what was cleared can be taken back. */
export const planClearing = (have: Snapshot): PlannedBatch<RecordBefore> => {
  const batch = planRemoval(have, r => r.sample);
  return { batch, result: changedBy(have, batch) };
};

/** Days that what was deleted can be brought back. */
export const BIN_DAYS = 90;
const DAY_MS = 24 * 3_600_000;

/** Whether what was deleted then has lain in the bin longer than it may. @param nowMs ms since 1970 */
export const isOverdue = (deletedAt: string, nowMs: number): boolean =>
  Date.parse(deletedAt) < nowMs - BIN_DAYS * DAY_MS;

/** Empties the bin of what has lain in it longer than it may. @param nowMs ms since 1970 @returns how many records went */
export const planPurge =
  (nowMs: number) =>
  (have: Snapshot): PlannedBatch<number> => {
    const batch = planRemoval(have, r => r.deletedAt !== null && isOverdue(r.deletedAt, nowMs));
    return { batch, result: batch.remove.length };
  };
