import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { isObject } from '../records/migrate';
import { KINDS } from '../records/kinds';
import type { Backend } from './backend';
import { idbBackend } from './idbBackend';
import { listeners } from './listeners';
import { logOps } from './logOps';
import { memoryBackend } from './memoryBackend';
import { makeReader } from './reader';
import { recordOps, settingsOps, type StoreParts } from './recordOps';
import type { Meta, Store, StoreChange } from './store';
import { summaryOps } from './summaryOps';
import { META_TABLE, tablesOf } from './tables';
import { attachmentOps, wholeOps } from './wholeOps';

const WORKSHOP = 'workshop';

const isChange = (message: unknown): message is StoreChange =>
  isObject(message) && typeof message['table'] === 'string';

const isMeta = (raw: unknown): raw is Meta =>
  isObject(raw) && typeof raw['id'] === 'string' && typeof raw['since'] === 'string';

/** A store over tables of any kind: all that it knows of records comes from the register. */
const storeOver = (
  backend: Backend,
  clock: () => string,
  kinds: ReadonlyArray<Kind<StoredRecord>>,
): Store => {
  const reader = makeReader(kinds);
  const { subscribe, tell: tellHere } = listeners<StoreChange>();
  backend.onOthers(message => {
    if (isChange(message)) tellHere(message);
  });
  const tell = (change: StoreChange): void => {
    tellHere(change);
    backend.tellOthers(change);
  };
  const parts: StoreParts = { backend, reader, clock, tell };
  return {
    ...recordOps(parts),
    ...logOps(parts),
    ...summaryOps(parts),
    ...settingsOps(parts),
    ...wholeOps(parts, kinds),
    ...attachmentOps(parts, kinds),
    meta: async () => {
      const raw = await backend.run([META_TABLE], 'readonly', t => t.get(META_TABLE, WORKSHOP));
      return isMeta(raw) ? raw : null;
    },
    setMeta: meta => backend.run([META_TABLE], 'readwrite', t => t.put(META_TABLE, meta, WORKSHOP)),
    subscribe,
    problems: reader.problems,
    close: backend.close,
  };
};

/** A store that lives as long as the page: for tests, for a rehearsal, and where the browser keeps nothing. */
export const memoryStore = (clock: () => string): Store =>
  storeOver(memoryBackend(tablesOf(KINDS)), clock, KINDS);

/**
 * The store in the browser's own database.
 * @param options.onOutdated told when a newer version of the program has taken the data over in another tab
 * @param options.onBlocked told while another tab keeps the data from being opened
 */
export const idbStore = async (options: {
  readonly name: string;
  readonly clock: () => string;
  readonly onOutdated?: () => void;
  readonly onBlocked?: () => void;
}): Promise<Store> => {
  const { clock, ...rest } = options;
  return storeOver(await idbBackend({ ...rest, tables: tablesOf(KINDS) }), clock, KINDS);
};
