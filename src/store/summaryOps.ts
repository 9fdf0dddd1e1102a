import { isObject } from '../records/migrate';
import { LOG_TABLE } from '../records/entry';
import { LIMITS } from '../core/limits';
import { pieceKind } from '../records/piece';
import { isSummary, type PieceSummary, type RawPiece } from '../records/summary';
import type { Tables } from './backend';
import type { StoreParts } from './recordOps';
import type { Store } from './store';
import { SUMMARIES_TABLE } from './tables';

const PIECES = pieceKind.table;

const revisionOf = (raw: unknown): unknown => (isObject(raw) ? raw['revision'] : undefined);

/** Whether a summary is still of what stands here. */
const isOfNow = async (tables: Tables, { id, made }: PieceSummary): Promise<boolean> => {
  if (revisionOf(await tables.get(PIECES, id)) !== made.revision) return false;
  return (await tables.lastSeq(id, LIMITS.olderCount.most)).last === made.seq;
};

/** Summaries that are kept, and the ids of pieces that have none. */
export const summariesIn = async (tables: Tables): ReturnType<Store['summaries']> => {
  const [raws, ids] = await Promise.all([tables.all(SUMMARIES_TABLE), tables.keys(PIECES)]);
  const there = new Set(ids);
  const kept = raws.filter(isSummary).filter(s => there.has(s.id));
  const known = new Set(kept.map(s => s.id));
  return { kept, missing: ids.filter(id => !known.has(id)) };
};

/** Summaries of pieces: kept as long as neither the piece nor its log is changed. What they say is made elsewhere. */
export const summaryOps = ({
  backend,
}: Pick<StoreParts, 'backend'>): Pick<Store, 'summaries' | 'rawPieces' | 'keepSummaries'> => ({
  summaries: () => backend.run([SUMMARIES_TABLE, PIECES], 'readonly', summariesIn),
  rawPieces: ids =>
    backend.run([PIECES, LOG_TABLE], 'readonly', async t => {
      const raws = await Promise.all(
        ids.map(async (id): Promise<RawPiece[]> => {
          const [piece, log] = await Promise.all([t.get(PIECES, id), t.log(id)]);
          return piece === undefined ? [] : [{ piece, log }];
        }),
      );
      return raws.flat();
    }),
  keepSummaries: made =>
    backend.run([SUMMARIES_TABLE, PIECES, LOG_TABLE], 'readwrite', async t => {
      for (const summary of made) if (await isOfNow(t, summary)) await t.put(SUMMARIES_TABLE, summary);
    }),
});
