import { issueText } from '../../words/issues';
import type { Unread } from '../../records/snapshot';
import { nameOfUnread, useUnread } from '../../session/useUnread';
import { Button } from '../../ui/Button';

const MOST = 20;

/** What a later version wrote is good, and only to be kept. */
const mayGo = ({ issues }: Unread): boolean => issues.every(it => it.code !== 'RECORD_NEWER');

/** Records that cannot be read: each is told with what stands against it, and can be saved as it is or taken out. */
export const Unreadable = () => {
  const { unread, save, remove } = useUnread();
  if (unread.length === 0) return null;
  return (
    <section
      role="alert"
      aria-label="Could not be read"
      className="mb-3 max-w-3xl border-l-4 border-wanted pl-3"
    >
      <p className="font-semibold">These could not be read. They are kept as they are.</p>
      <ul>
        {unread.slice(0, MOST).map((it, i) => {
          const name = nameOfUnread(it);
          return (
            <li key={i} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rim py-1">
              <span className="min-w-60 flex-1">
                <span className="font-semibold">{name}</span> {it.issues.slice(0, 2).map(issueText).join(' ')}
              </span>
              <Button aria-label={`Save ${name} as it is`} onClick={() => save(it)}>
                Save as it is
              </Button>
              {mayGo(it) && (
                <Button aria-label={`Remove ${name}`} onClick={() => remove(it)}>
                  Remove
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {unread.length > MOST && (
        <p>… and {unread.length - MOST} more. All of them go into the saved workshop.</p>
      )}
    </section>
  );
};
