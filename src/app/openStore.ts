import type { Chance } from '../session/chance';
import { isoTime, systemClock } from '../session/clock';
import { foundBy, type Marker, readMarker, writeMarker } from '../session/marker';
import type { Notes } from '../session/notes';
import { storeIssue } from '../session/notices';
import type { Issue } from '../core/issues';
import { idbStore, memoryStore } from '../store/makeStore';
import { NO_BATCH } from '../store/batch';
import type { Store } from '../store/store';

export const DATABASE = 'jorrit';
const TRIES = 8;
const PAUSE_MS = 500;
/** After so long it is said that the workshop is not open yet, and what may help. */
const SLOW_MS = 2000;

const nowIso = (): string => isoTime(systemClock.nowMs());

/** Puts the sample workshop in, once, where nothing has been made yet. */
export const offerSample = async (store: Store): Promise<void> => {
  const { sampleOffered } = await store.settings();
  if (sampleOffered) return;
  const [{ sampleWorkshop }, { summaryOf }] = await Promise.all([
    import('../sample/sampleWorkshop'),
    import('../workers/summaryOf'),
  ]);
  const sample = sampleWorkshop(nowIso());
  await store.transact(have => ({
    batch: have.records.length > 0 ? NO_BATCH : { ...NO_BATCH, put: sample.records, entries: sample.entries },
    result: null,
  }));
  await store.updateSettings(s => ({ ...s, sampleOffered: true }));
  // So few are made here sooner than a worker starts.
  const { missing } = await store.summaries();
  await store.keepSummaries((await store.rawPieces(missing)).map(summaryOf)).catch(() => undefined);
};

/** Opens the browser's database. After a crash the browser may need a moment to let go of its own files. */
const openPatiently = async (onSlow: () => void): Promise<Store> => {
  const slow = setTimeout(onSlow, SLOW_MS);
  try {
    for (let left = TRIES; ; left -= 1) {
      try {
        return await idbStore({
          name: DATABASE,
          clock: nowIso,
          onOutdated: () => window.location.reload(),
          onBlocked: onSlow,
        });
      } catch (error) {
        if (left <= 1 || storeIssue(error).code === 'RECORD_NEWER') throw error;
        await new Promise(resolve => setTimeout(resolve, PAUSE_MS));
      }
    }
  } finally {
    clearTimeout(slow);
  }
};

/** Marks the store as this browser's own, and finds out whether one that was here before is gone. */
const mark = async (store: Store, notes: Notes, chance: Chance): Promise<Marker> => {
  const remembered = readMarker(notes);
  const [known, isEmpty] = await Promise.all([store.meta(), store.isEmpty()]);
  const found = foundBy(remembered, { isEmpty, hasMeta: known !== null });
  const meta = known ?? { id: chance.newId(), since: nowIso() };
  if (!known) await store.setMeta(meta);
  const lostAt = found === 'lost' ? nowIso() : (remembered?.lostAt ?? null);
  const lastOwnAt = remembered?.ownAt ?? null;
  // What was once the felter’s own is; only where nothing is remembered of it has it to be looked for.
  const own = !isEmpty && (lastOwnAt !== null || (await store.look()).hasOwn);
  const marker: Marker = {
    id: meta.id,
    // What was lost goes on being told of, until something is done about it.
    ownAt: own ? (lastOwnAt ?? nowIso()) : lostAt === null ? null : lastOwnAt,
    lostAt,
  };
  writeMarker(notes, marker);
  return marker;
};

/** A store that was opened, and what has to be said of it. */
export interface Opened {
  readonly store: Store;
  /** Whether what is typed lives beyond the page. */
  readonly isKept: boolean;
  readonly marker: Marker | null;
  /** Why the browser's database could not be opened; null where it was. */
  readonly failure: Issue | null;
}

/**
 * Opens the browser's store. Where the browser keeps nothing, the workshop lives as long as the tab, and says so; the sample is put
 * only where nothing of the felter's own has ever been.
 */
export const openStore = async (of: {
  readonly notes: Notes;
  readonly chance: Chance;
  readonly onSlow: () => void;
}): Promise<Opened> => {
  const { notes, chance } = of;
  try {
    const store = await openPatiently(of.onSlow);
    const marker = await mark(store, notes, chance);
    return { store, isKept: true, marker, failure: null };
  } catch (error) {
    return {
      store: memoryStore(nowIso),
      isKept: false,
      marker: readMarker(notes),
      failure: storeIssue(error),
    };
  }
};
