import { useQueries } from '@tanstack/react-query';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { KINDS } from '../records/kinds';
import { pieceKind } from '../records/piece';
import { kindOf } from '../records/register';
import { changeRecord } from './changes';
import { useNotify } from './notices';
import { useAllSummaries } from './useSummaries';
import { useWorkshop } from './workshop';

/** One thing that was deleted. */
export interface Binned {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly deletedAt: string;
}

const isPiece = (kind: Kind<StoredRecord>): boolean => kind.table === pieceKind.table;
const OTHERS = KINDS.filter(kind => !isPiece(kind));

/** What was deleted, of every kind, the last first; and what brings it back. Of pieces only their summaries are read. */
export const useBin = () => {
  const workshop = useWorkshop();
  const { failed } = useNotify();
  const lists = useQueries({ queries: OTHERS.map(kind => workshop.cache.list(kind)) });
  const pieces = useAllSummaries() ?? [];
  const others = lists.flatMap(({ data }) => data ?? []);
  const deleted = [
    ...others.map(r => ({ ...r, name: kindOf(r)?.nameOf(r) ?? r.id })),
    ...pieces.map(({ id, name, deletedAt }) => ({ id, name, deletedAt, kind: 'piece' })),
  ]
    .flatMap(({ id, kind, name, deletedAt }): Binned[] =>
      deletedAt === null ? [] : [{ id, kind, name, deletedAt }],
    )
    .toSorted((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1));
  const bringBack = ({ id, kind, name }: Binned): void => {
    const of = KINDS.find(k => k.kind === kind);
    if (!of) return;
    changeRecord(workshop, of, {
      id,
      change: r => ({ ...r, deletedAt: null }),
      told: { label: `bring back ${name}` },
    }).catch(failed);
  };
  return { deleted, bringBack, nowMs: workshop.clock.nowMs };
};
