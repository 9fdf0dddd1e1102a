import { useQuery } from '@tanstack/react-query';
import { sayDay } from '../../session/clock';
import { browserDayCopies, type DayCopy } from '../../session/dayCopies';
import { useNotify } from '../../session/notices';
import { momentOf } from '../../session/workHours';
import { Button } from '../../ui/Button';

/** The last days as they stood: gone back to as a file is opened, with a choice of what is taken, and an undo. */
export const DaysBack = ({ onFile }: { readonly onFile: (file: File) => void }) => {
  const { failed } = useNotify();
  const { data: days = [] } = useQuery({
    queryKey: ['days'],
    queryFn: async (): Promise<readonly DayCopy[]> => (await browserDayCopies()?.list()) ?? [],
    staleTime: 0,
  });
  return (
    <section aria-labelledby="days">
      <h2 id="days" className="border-t-2 border-ink pt-1 text-lg font-semibold">
        Days to go back to
      </h2>
      {days.length === 0 ? (
        <p>From the first change of each day on, the workshop is kept here as it stood; seven days of it.</p>
      ) : (
        <>
          <p className="mb-2">
            As the workshop stood at the first change of each day. You choose what is taken; pictures stay as
            they are.
          </p>
          <ul className="flex flex-wrap gap-2">
            {days.map(copy => (
              <li key={copy.day}>
                <Button onClick={() => void copy.open().then(onFile, failed)}>
                  {sayDay(momentOf(copy.day, '12:00'))}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
};
