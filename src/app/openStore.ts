import { issue, ISSUES, issueText } from '../core/issues';
import { nowIso } from '../session/clock';
import { replay } from '../session/journal';
import { type Notice, storeFailure, storeIssue } from '../session/notices';
import { idbStore } from '../store/idbStore';
import { memoryStore } from '../store/memoryStore';
import type { Store } from '../store/store';

const DATABASE = 'jorrit';

/** Puts the sample workshop in, once, where nothing has been made yet. */
const offerSample = async (store: Store): Promise<void> => {
  const { sampleOffered } = await store.settings();
  if (sampleOffered) return;
  const { pieces, wools } = await store.snapshot();
  if (pieces.length === 0 && wools.length === 0) {
    const { sampleWorkshop } = await import('../sample/sampleWorkshop');
    await store.merge(sampleWorkshop(nowIso()));
  }
  await store.updateSettings(s => ({ ...s, sampleOffered: true }));
};

const reload = (): void => window.location.reload();

const TRIES = 8;
const PAUSE_MS = 500;

/** The data was written by a later version of the program. */
const isNewer = (error: unknown): boolean => error instanceof DOMException && error.name === 'VersionError';

/** After a crash the browser may need a moment to let go of its own files. */
const openPatiently = async (): Promise<Store> => {
  for (let left = TRIES; ; left -= 1) {
    try {
      return await idbStore({ name: DATABASE, clock: nowIso, onOutdated: reload });
    } catch (error) {
      if (left <= 1 || isNewer(error)) throw error;
      await new Promise(resolve => setTimeout(resolve, PAUSE_MS));
    }
  }
};

/**
 * Opens the browser's store. Where the browser keeps nothing, the workshop lives as long as the tab, and says so.
 */
export const openStore = async (): Promise<{ store: Store; notice: Notice | null }> => {
  try {
    const store = await openPatiently();
    // A note that cannot be carried out now stays for the next start; it must not keep the workshop shut.
    const notice = await replay(store).then(() => null, storeFailure);
    await offerSample(store);
    return { store, notice };
  } catch (error) {
    const store = memoryStore(nowIso);
    await offerSample(store);
    const why = isNewer(error) ? issue('RECORD_NEWER', '') : storeIssue(error);
    return {
      store,
      notice: {
        text: `${issueText(why)} ${ISSUES[why.code].remedy} What is typed here lives only as long as this tab.`,
      },
    };
  }
};
