import { issue } from '../core/issues';
import { LIMITS } from '../core/limits';
import { type Entry, ENTRY_VERSION, entrySpec, LOG_TABLE } from '../records/entry';
import { pieceKind } from '../records/piece';
import type { Tables } from './backend';
import { inLogOrder, type Reader, storable } from './reader';
import type { StoreParts } from './recordOps';
import type { NewEntry, Store } from './store';
import { StoreError } from './storeError';
import { dropSummary } from './dropSummary';
import { SUMMARIES_TABLE } from './tables';

const LOG_AND_PIECES = [LOG_TABLE, pieceKind.table, SUMMARIES_TABLE];

/** The place behind the last of a log. Places from before there were limits count as the highest they may have had. */
const nextSeq = async (tables: Tables, pieceId: string): Promise<number> => {
  const { last, beyond } = await tables.lastSeq(pieceId, LIMITS.seq.most);
  const seq = Math.max(last, beyond ? LIMITS.olderCount.most : 0) + 1;
  if (seq > LIMITS.seq.most) throw new StoreError(issue('LOG_FULL', LOG_TABLE, { got: pieceId }));
  return seq;
};

const put = async (tables: Tables, reader: Reader, fresh: NewEntry): Promise<Entry> => {
  const known = reader.one(entrySpec, LOG_TABLE, await tables.get(LOG_TABLE, fresh.id));
  if (known) return known;
  if ((await tables.get(pieceKind.table, fresh.pieceId)) === undefined)
    throw new StoreError(issue('PIECE_GONE', pieceKind.table, { got: fresh.pieceId }));
  const seq = await nextSeq(tables, fresh.pieceId);
  const entry: Entry = { kind: 'entry', version: ENTRY_VERSION, seq, ...fresh };
  await tables.put(LOG_TABLE, storable(entrySpec, entry));
  await dropSummary(tables, entry.pieceId);
  return entry;
};

/** Logs of pieces: appended to, never changed. */
export const logOps = ({
  backend,
  reader,
  tell,
}: StoreParts): Pick<Store, 'entries' | 'allEntries' | 'append' | 'appendBy'> => {
  const good = (raws: readonly unknown[]): readonly Entry[] =>
    inLogOrder(reader.read(entrySpec, LOG_TABLE, raws).good);
  return {
    entries: async pieceId => good(await backend.run([LOG_TABLE], 'readonly', t => t.log(pieceId))),
    allEntries: async () => good(await backend.run([LOG_TABLE], 'readonly', t => t.all(LOG_TABLE))),
    append: async fresh => {
      const entry = await backend.run(LOG_AND_PIECES, 'readwrite', t => put(t, reader, fresh));
      tell({ table: LOG_TABLE, entry });
      return entry;
    },
    appendBy: async (pieceId, decide) => {
      const entry = await backend.run(LOG_AND_PIECES, 'readwrite', async t => {
        const fresh = decide(good(await t.log(pieceId)));
        return fresh && put(t, reader, { ...fresh, pieceId });
      });
      if (entry) tell({ table: LOG_TABLE, entry });
      return entry;
    },
  };
};
