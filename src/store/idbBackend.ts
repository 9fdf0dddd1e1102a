import { type IDBPDatabase, type IDBPTransaction, openDB } from 'idb';
import type { Backend, TableSpec, Tables } from './backend';
import { storeError } from './storeError';
import { versionOf } from './tables';

const BY_PIECE = 'pieceId';
const BY_PLACE = 'pieceId, seq';

interface OpenOptions {
  readonly name: string;
  readonly tables: readonly TableSpec[];
  /** Told when a newer version of the program has taken the data over in another tab. */
  readonly onOutdated?: () => void;
  /** Told while another tab with an older program keeps the data from being opened. */
  readonly onBlocked?: () => void;
}

/** Makes what is missing; never takes anything away. */
const upgrade = (
  db: IDBPDatabase,
  tx: IDBPTransaction<unknown, string[], 'versionchange'>,
  tables: readonly TableSpec[],
): void => {
  for (const { name, key, isLog } of tables) {
    const store = db.objectStoreNames.contains(name)
      ? tx.objectStore(name)
      : db.createObjectStore(name, key === null ? {} : { keyPath: key });
    if (!isLog) continue;
    if (!store.indexNames.contains(BY_PIECE)) store.createIndex(BY_PIECE, 'pieceId');
    if (!store.indexNames.contains(BY_PLACE)) store.createIndex(BY_PLACE, ['pieceId', 'seq']);
  }
};

/** Opens the database. Fails with a `StoreError`. */
const open = async (
  { name, tables, onOutdated, onBlocked }: OpenOptions,
  onEnded: (why: 'outdated' | 'terminated') => void,
): Promise<IDBPDatabase> => {
  try {
    return await openDB(name, versionOf(tables), {
      upgrade: (...[db, , , tx]) => upgrade(db, tx, tables),
      blocked: () => onBlocked?.(),
      blocking: (_current, _blocked, event) => {
        // A newer tab wants to change the shape of the data: this older one steps aside and never writes again.
        if (event.target instanceof IDBDatabase) event.target.close();
        onEnded('outdated');
        onOutdated?.();
      },
      terminated: () => onEnded('terminated'),
    });
  } catch (error) {
    throw storeError(error);
  }
};

/** A connection that is opened again where the browser ends it by itself, as it does when it runs out of room. */
const connection = (options: OpenOptions) => {
  let db: Promise<IDBPDatabase> | null = null;
  let isClosed = false;
  const ended = (why: 'outdated' | 'terminated'): void => {
    if (why === 'outdated') isClosed = true;
    else db = null;
  };
  return {
    get: async (): Promise<IDBPDatabase> => {
      db ??= open(options, ended);
      try {
        return await db;
      } catch (error) {
        db = null;
        throw error;
      }
    },
    /** The browser has ended it, and said so only to a transaction. */
    lost: (): void => {
      if (!isClosed) db = null;
    },
    close: async (): Promise<void> => {
      isClosed = true;
      (await db)?.close();
    },
  };
};

/** Greater than any key that is a number. */
const ABOVE = Number.POSITIVE_INFINITY;

const tablesOver = (
  tx: IDBPTransaction<unknown, string[], 'readonly' | 'readwrite'>,
  logTable: string,
): Tables => ({
  get: (table, key) => tx.objectStore(table).get(key),
  all: table => tx.objectStore(table).getAll(),
  keys: async table => (await tx.objectStore(table).getAllKeys()).map(String),
  put: async (table, value, key) => {
    await tx.objectStore(table).put?.(value, key);
  },
  remove: async (table, key) => {
    await tx.objectStore(table).delete?.(key);
  },
  log: pieceId => tx.objectStore(logTable).index(BY_PIECE).getAll(pieceId),
  lastSeq: async (pieceId, most) => {
    const index = tx.objectStore(logTable).index(BY_PLACE);
    const within = await index.openKeyCursor(IDBKeyRange.bound([pieceId, -ABOVE], [pieceId, most]), 'prev');
    const beyond = await index.getKey(IDBKeyRange.bound([pieceId, most], [pieceId, ABOVE], true));
    const place: unknown = Array.isArray(within?.key) ? within.key[1] : 0;
    return { last: typeof place === 'number' ? Math.max(0, place) : 0, beyond: beyond !== undefined };
  },
});

/** Tables in the browser's own database. Writes ask for strict durability: an acknowledged entry survives the tab. */
export const idbBackend = async (options: OpenOptions): Promise<Backend> => {
  const link = connection(options);
  await link.get();
  const logTable = options.tables.find(t => t.isLog)?.name ?? '';
  const channel =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`${options.name}-changes`);
  const begin = async (tables: readonly string[], mode: 'readonly' | 'readwrite') => {
    try {
      return (await link.get()).transaction([...tables], mode, { durability: 'strict' });
    } catch (error) {
      const failure = storeError(error);
      if (failure.issue.code === 'STORE_CLOSED') link.lost();
      throw failure;
    }
  };
  return {
    run: async (tables, mode, work) => {
      const tx = await begin(tables, mode);
      // Where the work fails, the transaction is given up whole; its own failure is then no news.
      const done = tx.done.catch((error: unknown) => {
        throw storeError(tx.error ?? error);
      });
      try {
        const result = await work(tablesOver(tx, logTable));
        await done;
        return result;
      } catch (error) {
        done.catch(() => undefined);
        if (mode === 'readwrite') abort(tx);
        throw storeError(tx.error ?? error);
      }
    },
    tellOthers: message => channel?.postMessage(message),
    onOthers: listener => {
      if (channel) channel.onmessage = (event: MessageEvent) => listener(event.data);
    },
    close: () => {
      channel?.close();
      void link.close().catch(() => undefined);
    },
  };
};

const abort = (tx: { readonly abort: () => void }): void => {
  try {
    tx.abort();
  } catch {
    // It was over already.
  }
};
