import { sampleWorkshop } from '../sample/sampleWorkshop';
import { nowIso } from '../session/clock';
import { type Notice, storeFailure } from '../session/notices';
import { idbStore } from '../store/idbStore';
import { memoryStore } from '../store/memoryStore';
import type { Store } from '../store/store';

const DATABASE = 'jorrit';

/** Puts the sample workshop in, once, where nothing has been made yet. */
const offerSample = async (store: Store): Promise<void> => {
  const { sampleOffered } = await store.settings();
  if (sampleOffered) return;
  const { pieces, wools } = await store.snapshot();
  if (pieces.length === 0 && wools.length === 0) await store.merge(sampleWorkshop(nowIso()));
  await store.updateSettings(s => ({ ...s, sampleOffered: true }));
};

const reload = (): void => window.location.reload();

/**
 * Opens the browser's store. Where the browser keeps nothing, the workshop lives as long as the tab, and says so.
 */
export const openStore = async (): Promise<{ store: Store; notice: Notice | null }> => {
  try {
    const store = await idbStore({ name: DATABASE, clock: nowIso, onOutdated: reload });
    await offerSample(store);
    return { store, notice: null };
  } catch (error) {
    const store = memoryStore(nowIso);
    await offerSample(store);
    return { store, notice: storeFailure(error) };
  }
};
