import type { QueryClient } from '@tanstack/react-query';
import type { StoredRecord } from '../records/common';
import { type Entry, LOG_TABLE } from '../records/entry';
import type { Kind } from '../records/kind';
import type { Unread } from '../records/snapshot';
import type { Settings } from '../records/settings';
import type { Store, StoreChange } from '../store/store';

/** What is asked for stays as long as the page; it is kept in step by what the store tells. */
const forEver = {
  staleTime: Infinity,
  gcTime: Infinity,
  // What is shown is what was handed in, to the same object: a plan is then found again by its own, and nothing is compared in depth.
  structuralSharing: false,
} as const;
const SETTINGS = 'settings';
/** What cannot be read is asked for by this. */
export const UNREAD = ['unread'] as const;
const ALL_ENTRIES = 'all entries';

/** What the screen shows of a store: read once, and kept in step change by change. */
export const makeCache = (client: QueryClient, store: Store) => {
  /** Writes on their way, by record: until the last has settled, the screen is ahead of the store. */
  const pending = new Map<string, number>();
  /** What was shown or told since more than one thing changed at once: a read that began before it is older. */
  const told = new Map<string, StoredRecord>();
  const toldEntries = new Map<string, Entry>();
  /** Counts the times at which more than one thing changed: what was shown before says nothing any more. */
  let epoch = 0;
  const anew = (): void => {
    epoch += 1;
    for (const key of told.keys()) if (!pending.has(key.slice(key.indexOf('/') + 1))) told.delete(key);
    toldEntries.clear();
  };

  const oneKey = (table: string, id: string) => [table, id] as const;
  const logKey = (pieceId: string) => [LOG_TABLE, pieceId] as const;

  const toldOf = <T extends StoredRecord>(kind: Kind<T>, id: string): T | null => {
    const record = told.get(`${kind.table}/${id}`);
    return record && kind.is(record) ? record : null;
  };
  /** Of what was read and what was told, the later; what is on its way to the store stays as it is shown. */
  const later = <T extends StoredRecord>(kind: Kind<T>, read: T): T => {
    const known = toldOf(kind, read.id);
    return known && (pending.has(read.id) || known.revision > read.revision) ? known : read;
  };
  /** Reads again where more than one thing changed meanwhile: what was read is of neither before nor after. */
  const reading = async <R>(read: () => Promise<R>): Promise<R> => {
    for (;;) {
      const began = epoch;
      const got = await read();
      if (began === epoch) return got;
    }
  };

  const list = <T extends StoredRecord>(kind: Kind<T>) => ({
    queryKey: [kind.table] as const,
    queryFn: async (): Promise<readonly T[]> => {
      const got = await reading(() => store.all(kind));
      const read = new Set(got.map(r => r.id));
      const missed = [...told.values()].filter(kind.is).filter(r => !read.has(r.id));
      return [...got.map(r => later(kind, r)), ...missed];
    },
    ...forEver,
  });
  const one = <T extends StoredRecord>(kind: Kind<T>, id: string) => ({
    queryKey: oneKey(kind.table, id),
    queryFn: async (): Promise<T | null> => {
      const got = await reading(() => store.get(kind, id));
      return got ? later(kind, got) : toldOf(kind, id);
    },
    ...forEver,
  });
  const withTold = (got: readonly Entry[], isMeant: (e: Entry) => boolean): readonly Entry[] => {
    const read = new Set(got.map(e => e.id));
    const missed = [...toldEntries.values()].filter(e => isMeant(e) && !read.has(e.id));
    return missed.length === 0 ? got : [...got, ...missed];
  };
  const entriesOf = (pieceId: string) => ({
    queryKey: logKey(pieceId),
    queryFn: async (): Promise<readonly Entry[]> =>
      withTold(await reading(() => store.entries(pieceId)), e => e.pieceId === pieceId),
    ...forEver,
  });
  // The same ask is the same object: whoever draws asks at every tap, and what did not change costs little.
  const asked = new Map<string, ReturnType<typeof entriesOf>>();
  const entries = (pieceId: string): ReturnType<typeof entriesOf> => {
    const known = asked.get(pieceId) ?? entriesOf(pieceId);
    asked.set(pieceId, known);
    return known;
  };
  const ofAllEntries = {
    queryKey: [ALL_ENTRIES] as const,
    queryFn: async (): Promise<readonly Entry[]> =>
      withTold(await reading(() => store.allEntries()), () => true),
    ...forEver,
  };
  const allEntries = (): typeof ofAllEntries => ofAllEntries;
  const ofSettings = {
    queryKey: [SETTINGS] as const,
    queryFn: (): Promise<Settings> => store.settings(),
    ...forEver,
  };
  const settings = (): typeof ofSettings => ofSettings;

  const unread = (isSuspected: boolean) => ({
    queryKey: [...UNREAD, isSuspected] as const,
    // Everything is read only where something was met that cannot be.
    queryFn: async (): Promise<readonly Unread[]> =>
      isSuspected || store.problems().length > 0 ? (await store.snapshot()).unread : [],
    ...forEver,
  });

  const shown = <T extends StoredRecord>(kind: Kind<T>, id: string): T | null =>
    client.getQueryData<T | null>(oneKey(kind.table, id)) ??
    client.getQueryData<readonly T[]>([kind.table])?.find(r => r.id === id) ??
    null;

  /** Shows a record as it is now, wherever it is shown. */
  const show = (table: string, record: StoredRecord): void => {
    told.set(`${table}/${record.id}`, record);
    if (client.getQueryState(oneKey(table, record.id))) client.setQueryData(oneKey(table, record.id), record);
    client.setQueryData<readonly StoredRecord[]>([table], all => {
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
    unread,
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
      told.delete(`${table}/${id}`);
      void client.invalidateQueries({ queryKey: oneKey(table, id) });
      void client.invalidateQueries({ queryKey: [table], exact: true });
    },
    /** Takes in what the store tells, from this tab or another. */
    hear: (change: StoreChange): void => {
      if (change.table === 'all') {
        anew();
        void client.invalidateQueries();
      } else if (change.record) {
        if (!pending.has(change.record.id)) show(change.table, change.record);
      } else if (change.entry) {
        toldEntries.set(change.entry.id, change.entry);
        addEntry(logKey(change.entry.pieceId), change.entry);
        addEntry([ALL_ENTRIES], change.entry);
      } else if (change.settings && !pending.has(SETTINGS))
        client.setQueryData<Settings>([SETTINGS], change.settings);
    },
  };
};

export type Cache = ReturnType<typeof makeCache>;
