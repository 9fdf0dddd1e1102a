import { actWords } from '../../core/acts/act';
import type { Spoken } from '../../core/acts/actSpec';
import { standing } from '../../core/log/standing';
import type { Entry } from '../../records/entry';
import { Button } from '../../ui/Button';

const time = (at: string): string => {
  const d = new Date(at);
  return d.toLocaleString(undefined, {
    month: 'short',
    day: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  });
};

/** The log, newest first. Any entry can be taken back, not only the last. */
export const LogList = ({
  entries,
  spoken,
  onTakeBack,
}: {
  readonly entries: readonly Entry[];
  readonly spoken: Spoken;
  readonly onTakeBack: (entryId: string) => void;
}) => {
  const log = standing(entries).toReversed();
  return (
    <section aria-labelledby="log-title" className="order-4 min-h-0">
      <h2 id="log-title" className="text-lg font-semibold">
        Log
      </h2>
      <ol className="text-base">
        {log.map(e => {
          const words = actWords(e.act, spoken);
          return (
            <li key={e.id} className="flex min-h-16 items-center gap-3 border-b border-rim">
              <span className="w-28 shrink-0 text-chalk whitespace-nowrap">{time(e.at)}</span>
              <span className="flex-1">{words}</span>
              <Button
                look="bare"
                size="wet"
                className="!text-base !font-normal text-chalk"
                aria-label={`Take back: ${words}`}
                onClick={() => onTakeBack(e.id)}
              >
                Take back
              </Button>
            </li>
          );
        })}
        {log.length === 0 && <li className="text-chalk">Nothing yet. Lay it out, then wet it.</li>}
      </ol>
    </section>
  );
};
