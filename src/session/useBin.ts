import { useQueries } from '@tanstack/react-query';
import type { StoredRecord } from '../records/common';
import { KINDS } from '../records/kinds';
import { kindOf } from '../records/register';
import { changeRecord } from './changes';
import { useNotify } from './notices';
import { useWorkshop } from './workshop';

/** What was deleted, of every kind, the last first; and what brings it back. */
export const useBin = () => {
  const workshop = useWorkshop();
  const { failed } = useNotify();
  const lists = useQueries({ queries: KINDS.map(kind => workshop.cache.list(kind)) });
  const nameOf = (record: StoredRecord): string => kindOf(record)?.nameOf(record) ?? record.id;
  const deleted = lists
    .flatMap(({ data }) => data ?? [])
    .filter(r => r.deletedAt !== null)
    .toSorted((a, b) => ((a.deletedAt ?? '') < (b.deletedAt ?? '') ? 1 : -1));
  const bringBack = (record: StoredRecord): void => {
    const kind = kindOf(record);
    if (!kind) return;
    changeRecord(workshop, kind, {
      id: record.id,
      change: r => ({ ...r, deletedAt: null }),
      told: { label: `bring back ${nameOf(record)}` },
    }).catch(failed);
  };
  return { deleted, bringBack, nameOf, nowMs: workshop.clock.nowMs };
};
