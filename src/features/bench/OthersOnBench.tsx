import { Link } from 'react-router';
import { duration } from '../../core/acts/actWords';
import type { Piece } from '../../records/piece';
import { useSummaries } from '../../session/useSummaries';
import { useWorkshop } from '../../session/workshop';
import { buttonClass } from '../../ui/Button';

/** As many as stand in one row for wet fingers. */
const MOST = 4;
/** A piece that nobody touched for so long is not on the bench. */
const LONGEST_MS = 3 * 24 * 3_600_000;
const MINUTE_MS = 60_000;

/** Other pieces that are being worked: one dries while another is rolled. One tap goes over to it. */
export const OthersOnBench = ({ piece }: { readonly piece: Piece }) => {
  const summaries = useSummaries();
  const { clock } = useWorkshop();
  const now = clock.nowMs();
  const others = summaries
    .flatMap(({ id, name, stage, lastAt }) => {
      // What dries is on the rack, not on the bench.
      if (lastAt === null || stage !== 'bench' || id === piece.id) return [];
      const ago = now - Date.parse(lastAt);
      return ago > LONGEST_MS ? [] : [{ id, name, minutes: Math.max(0, Math.floor(ago / MINUTE_MS)) }];
    })
    .toSorted((a, b) => a.minutes - b.minutes)
    .slice(0, MOST);
  if (others.length === 0) return null;
  return (
    <nav aria-label="Also on the bench" className="flex flex-wrap gap-2 *:flex-1">
      {others.map(o => (
        <Link
          key={o.id}
          to={`../../${o.id}/bench`}
          relative="path"
          className={`${buttonClass('plain', 'wet')} !flex-col !gap-0 !text-lg`}
        >
          {o.name}
          <span className="text-[13px] font-normal text-chalk">lying for {duration(o.minutes)}</span>
        </Link>
      ))}
    </nav>
  );
};
