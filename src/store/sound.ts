import { issueText } from '../core/issues';
import { loadRecord, type RecordSpec } from '../records/migrate';

/** The record itself, or an error: nothing is written that could not be read again. */
export const sound = <T>(spec: RecordSpec<T>, record: T): T => {
  const loaded = loadRecord(spec, record, spec.kind);
  if (loaded.status !== 'ok') throw new Error(loaded.issues.map(issueText).join(' '));
  return record;
};
