import { type Binned, useBin } from '../../session/useBin';
import { BIN_DAYS } from '../../store/clearing';
import { Button } from '../../ui/Button';

const DAY_MS = 24 * 3_600_000;

/** What was deleted, and may still be brought back. */
export const Bin = () => {
  const { deleted, bringBack, nowMs } = useBin();
  const left = ({ deletedAt }: Binned): number =>
    Math.max(0, Math.ceil(BIN_DAYS - (nowMs() - Date.parse(deletedAt)) / DAY_MS));
  return (
    <section aria-labelledby="bin">
      <h2 id="bin" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        Deleted
      </h2>
      {deleted.length === 0 ? (
        <p>Nothing. What you delete stays here for {BIN_DAYS} days.</p>
      ) : (
        <ul className="max-h-72 overflow-y-auto">
          {deleted.map(record => (
            <li
              key={`${record.kind}/${record.id}`}
              className="flex min-h-11 items-center gap-3 border-b border-rim"
            >
              <span className="flex-1">
                <span className="font-semibold">{record.name}</span>{' '}
                <span className="text-chalk">
                  {record.kind}, {left(record)} days left
                </span>
              </span>
              <Button aria-label={`Bring back ${record.name}`} onClick={() => bringBack(record)}>
                Bring back
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
};
