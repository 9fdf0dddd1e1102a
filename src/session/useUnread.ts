import { download, fileName } from '../files/download';
import { isObject } from '../records/migrate';
import type { Unread } from '../records/snapshot';
import { NO_BATCH } from '../store/batch';
import { useNotify } from './notices';
import { useUnreadList } from './useUnreadList';
import { useWorkshop } from './workshop';

/** What a record that cannot be read calls itself, as far as that can be made out. */
export const nameOfUnread = ({ raw, table }: Unread): string => {
  const said = isObject(raw) ? (raw['name'] ?? raw['id']) : null;
  return typeof said === 'string' && said !== '' ? said : `a record of ${table}`;
};

/** Records that cannot be read, and what may be done with them: saved as they are, or taken out, which can be undone. */
export const useUnread = () => {
  const { store, history, clock } = useWorkshop();
  const { failed } = useNotify();
  const unread = useUnreadList();
  const write = (change: {
    readonly unread?: readonly Unread[];
    readonly removeUnread?: readonly Unread[];
  }) => store.transact(() => ({ batch: { ...NO_BATCH, ...change }, result: 0 }));
  return {
    unread,
    save: (it: Unread): void =>
      download(fileName(nameOfUnread(it), 'json'), 'application/json', JSON.stringify(it.raw, null, 2)),
    remove: (it: Unread): void => {
      const redo = (): Promise<number> => write({ removeUnread: [it] });
      redo().then(
        () =>
          history.push({
            label: `remove ${nameOfUnread(it)}`,
            at: clock.nowMs(),
            undo: () => write({ unread: [it] }),
            redo,
          }),
        failed,
      );
    },
  };
};
