import { useDeferredValue, useMemo } from 'react';
import { Link } from 'react-router';
import { duration } from '../../core/acts/actWords';
import { benchLog } from '../../core/log/logParts';
import { stageOf } from '../../core/log/stageOf';
import { entriesInForce } from '../../core/log/entriesInForce';
import type { Entry } from '../../records/entry';
import type { Piece } from '../../records/piece';
import { logsSince } from '../../session/logsSince';
import { useAllEntries, usePieces } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { buttonClass } from '../../ui/Button';

/** As many as stand in one row for wet fingers. */
const MOST = 4;
/** A piece that nobody touched for so long is not on the bench. */
const LONGEST_MS = 3 * 24 * 3_600_000;
const MINUTE_MS = 60_000;

/** When each piece was last worked, ms, of those that were within the last days. */
const lastWorked = (entries: readonly Entry[], since: number): ReadonlyMap<string, number> =>
  new Map(
    [...logsSince(entries, since)].flatMap(([id, log]) => {
      const last = entriesInForce(benchLog(log)).at(-1);
      // What dries is on the rack, not on the bench.
      return last && stageOf(log, null) === 'bench' ? [[id, Date.parse(last.at)] as const] : [];
    }),
  );

/** Other pieces that are being worked: one dries while another is rolled. One tap goes over to it. */
export const OthersOnBench = ({ piece }: { readonly piece: Piece }) => {
  const pieces = usePieces();
  const entries = useDeferredValue(useAllEntries());
  const { clock } = useWorkshop();
  const now = clock.nowMs();
  const worked = useMemo(() => lastWorked(entries, clock.nowMs() - LONGEST_MS), [entries, clock]);
  const others = (pieces ?? [])
    .flatMap(p => {
      const last = worked.get(p.id);
      return last === undefined || p.id === piece.id || p.result.finishedAt !== null
        ? []
        : [{ piece: p, minutes: Math.max(0, Math.floor((now - last) / MINUTE_MS)) }];
    })
    .toSorted((a, b) => a.minutes - b.minutes)
    .slice(0, MOST);
  if (others.length === 0) return null;
  return (
    <nav aria-label="Also on the bench" className="flex flex-wrap gap-2 *:flex-1">
      {others.map(o => (
        <Link
          key={o.piece.id}
          to={`/pieces/${o.piece.id}/bench`}
          className={`${buttonClass('plain', 'wet')} !flex-col !gap-0 !text-lg`}
        >
          {o.piece.name}
          <span className="text-[13px] font-normal text-chalk">lying for {duration(o.minutes)}</span>
        </Link>
      ))}
    </nav>
  );
};
