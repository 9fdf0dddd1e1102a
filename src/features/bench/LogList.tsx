import { memo, useMemo, useState } from 'react';
import { actWords } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { entriesInForce } from '../../core/log/entriesInForce';
import type { LogEntry } from '../../core/log/entry';
import { Button } from '../../ui/Button';
import { useGradually } from '../../ui/useGradually';
import { LongList } from '../../ui/LongList';

/** Longer logs scroll in a window of their own, and only what is in sight of them is drawn. */
const MOST_DRAWN = 40;
const ROW_PX = 64;

const clock = new Intl.DateTimeFormat(undefined, {
  month: 'short',
  day: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  hourCycle: 'h23',
});

interface RowProps {
  readonly entry: LogEntry;
  readonly wording: PieceWording;
  readonly onTakeBack: (entryId: string) => void;
}

const Row = memo(function Row({ entry, wording, onTakeBack }: RowProps) {
  const words = actWords(entry.act, wording);
  return (
    <>
      <span className="w-28 shrink-0 text-chalk whitespace-nowrap">{clock.format(new Date(entry.at))}</span>
      <span className="flex-1">{words}</span>
      <Button
        look="bare"
        size="wet"
        className="!text-base !font-normal text-chalk"
        aria-label={`Take back: ${words}`}
        onClick={() => onTakeBack(entry.id)}
      >
        Take back
      </Button>
    </>
  );
});

/** So many rows may be in sight below the bench when it opens. */
const MOST_SEEN = 8;
const ROW = 'flex min-h-16 items-center gap-3 border-b border-rim';

/** A row of a short log. One that stood far down when the bench was opened is painted only when it is scrolled to. */
const Line = ({ place, ...row }: RowProps & { readonly place: number }) => {
  const [isFar] = useState(place > MOST_SEEN);
  return (
    <li className={isFar ? `when-seen [--place:4rem] ${ROW}` : ROW}>
      <Row {...row} />
    </li>
  );
};

/** The log, newest first. Any entry can be taken back, not only the last. */
export const LogList = memo(function LogList({
  entries,
  ...row
}: Omit<RowProps, 'entry'> & { readonly entries: readonly LogEntry[] }) {
  // A frame after the bench itself: what was tapped for stands above it.
  const seen = useGradually(entries, 2)(1);
  const log = useMemo(() => entriesInForce(seen).toReversed(), [seen]);
  return (
    <section aria-labelledby="log-title" className="min-h-0">
      <h2 id="log-title" className="text-lg font-semibold">
        Log{log.length > MOST_DRAWN && <span className="font-normal text-chalk">, {log.length} entries</span>}
      </h2>
      {log.length > MOST_DRAWN ? (
        <LongList
          className="max-h-[32rem] text-base"
          testId="long-log"
          items={log}
          rowPx={ROW_PX}
          row={entry => (
            <div key={entry.id} className={ROW}>
              <Row entry={entry} {...row} />
            </div>
          )}
        />
      ) : (
        <ol className="text-base">
          {log.map((entry, place) => (
            <Line key={entry.id} entry={entry} place={place} {...row} />
          ))}
          {log.length === 0 && <li className="text-chalk">Nothing yet. Lay the wool out, then wet it.</li>}
        </ol>
      )}
    </section>
  );
});
