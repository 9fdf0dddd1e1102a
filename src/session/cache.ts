import type { QueryClient } from '@tanstack/react-query';
import type { Kept } from '../records/common';
import { type Entry, LOG_TABLE } from '../records/entry';
import type { Kind } from '../records/kind';
import type { Settings } from '../records/settings';
import type { Store, StoreChange } from '../store/store';

/** What is asked for stays as long as the page; it is kept in step by what the store tells. */
const forEver = { staleTime: Infinity, gcTime: Infinity } as const;
const SETTINGS = 'settings';
const ALL_ENTRIES = 'all entries';

/** What the screen shows of a store: read once, and kept in step change by change. */
export const makeCache = (client: QueryClient, store: Store) => {
  /** Writes on their way, by record: until the last has settled, the screen is ahead of the store. */
  const pending = new Map<string, number>();
  /** Counts the times at which more than one thing changed: what was shown before says nothing any more. */
  let epoch = 0;
  const readIn = new Map<string, number>();

  const oneKey = (table: string, id: string) => [table, id] as const;
  const logKey = (pieceId: string) => [LOG_TABLE, pieceId] as const;

  /** Of what was read and what is shown, the later: a read may have begun before a change that is shown already. */
  const later = <T extends Kept>(read: T, shown: T | null | undefined, isSameEpoch: boolean): T =>
    shown && (pending.has(shown.id) || (isSameEpoch && shown.revision > read.revision)) ? shown : read;

  const reading = async <R>(
    key: string,
    read: () => Promise<R>,
    merge: (got: R, same: boolean) => R,
  ): Promise<R> => {
    const began = epoch;
    const got = await read();
    const merged = merge(got, readIn.get(key) === epoch && began === epoch);
    readIn.set(key, began);
    return merged;
  };

  const list = <T extends Kept>(kind: Kind<T>) => ({
    queryKey: [kind.table] as const,
    queryFn: (): Promise<readonly T[]> =>
      reading(
        kind.table,
        () => store.all(kind),
        (got, same) => {
          const shown = client.getQueryData<readonly T[]>([kind.table]);
          const known = new Map(shown?.map(r => [r.id, r]));
          const read = new Set(got.map(r => r.id));
          const missed = same ? (shown ?? []).filter(r => !read.has(r.id)) : [];
          return [...got.map(r => later(r, known.get(r.id), same)), ...missed];
        },
      ),
    ...forEver,
  });
  const one = <T extends Kept>(kind: Kind<T>, id: string) => ({
    queryKey: oneKey(kind.table, id),
    queryFn: (): Promise<T | null> =>
      reading(
        `${kind.table}/${id}`,
        () => store.get(kind, id),
        (got, same) => {
          const shown = client.getQueryData<T | null>(oneKey(kind.table, id));
          return got ? later(got, shown, same) : same ? (shown ?? null) : null;
        },
      ),
    ...forEver,
  });
  const withMissed = (got: readonly Entry[], shown: readonly Entry[] | undefined): readonly Entry[] => {
    const read = new Set(got.map(e => e.id));
    const missed = (shown ?? []).filter(e => !read.has(e.id));
    return missed.length === 0 ? got : [...got, ...missed];
  };
  const entries = (pieceId: string) => ({
    queryKey: logKey(pieceId),
    queryFn: (): Promise<readonly Entry[]> =>
      reading(
        `${LOG_TABLE}/${pieceId}`,
        () => store.entries(pieceId),
        (got, same) => (same ? withMissed(got, client.getQueryData(logKey(pieceId))) : got),
      ),
    ...forEver,
  });
  const allEntries = () => ({
    queryKey: [ALL_ENTRIES] as const,
    queryFn: (): Promise<readonly Entry[]> =>
      reading(
        ALL_ENTRIES,
        () => store.allEntries(),
        (got, same) => (same ? withMissed(got, client.getQueryData([ALL_ENTRIES])) : got),
      ),
    ...forEver,
  });
  const settings = () => ({
    queryKey: [SETTINGS] as const,
    queryFn: (): Promise<Settings> => store.settings(),
    ...forEver,
  });

  const shown = <T extends Kept>(kind: Kind<T>, id: string): T | null =>
    client.getQueryData<T | null>(oneKey(kind.table, id)) ??
    client.getQueryData<readonly T[]>([kind.table])?.find(r => r.id === id) ??
    null;

  /** Shows a record as it is now, wherever it is shown. */
  const show = (table: string, record: Kept): void => {
    if (client.getQueryState(oneKey(table, record.id))) client.setQueryData(oneKey(table, record.id), record);
    client.setQueryData<readonly Kept[]>([table], all => {
      if (!all) return undefined;
      return all.some(r => r.id === record.id)
        ? all.map(r => (r.id === record.id ? record : r))
        : [...all, record];
    });
  };
  const addEntry = (key: readonly string[], entry: Entry): void => {
    const log = client.getQueryData<readonly Entry[]>(key);
    if (!log || log.some(e => e.id === entry.id)) return;
    client.setQueryData<readonly Entry[]>(key, [...log, entry]);
  };

  return {
    list,
    one,
    entries,
    allEntries,
    settings,
    shown,
    show,
    showSettings: (next: Settings): void => void client.setQueryData<Settings>([SETTINGS], next),
    shownSettings: (): Settings | undefined => client.getQueryData<Settings>([SETTINGS]),
    isPending: (id: string): boolean => pending.has(id),
    /** Notes that a write has begun; gives what to call when it settled, which tells whether it was the last. */
    begin: (id: string): (() => boolean) => {
      pending.set(id, (pending.get(id) ?? 0) + 1);
      return () => {
        const left = (pending.get(id) ?? 1) - 1;
        if (left > 0) pending.set(id, left);
        else pending.delete(id);
        return left === 0;
      };
    },
    /** Reads a record anew, whatever is shown of it. */
    reread: (table: string, id: string): void => {
      epoch += 1;
      void client.invalidateQueries({ queryKey: oneKey(table, id) });
      void client.invalidateQueries({ queryKey: [table], exact: true });
    },
    /** Takes in what the store tells, from this tab or another. */
    hear: (change: StoreChange): void => {
      if (change.table === 'all') {
        epoch += 1;
        void client.invalidateQueries();
      } else if (change.record) {
        if (!pending.has(change.record.id)) show(change.table, change.record);
      } else if (change.entry) {
        addEntry(logKey(change.entry.pieceId), change.entry);
        addEntry([ALL_ENTRIES], change.entry);
      } else if (change.settings && !pending.has(SETTINGS))
        client.setQueryData<Settings>([SETTINGS], change.settings);
    },
  };
};

export type Cache = ReturnType<typeof makeCache>;
