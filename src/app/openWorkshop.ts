import { issue } from '../core/issues';
import { ISSUES, issueText } from '../words/issues';
import { systemChance } from '../session/chance';
import { systemClock } from '../session/clock';
import { browserDayCopies } from '../session/dayCopies';
import { UNREAD } from '../session/cache';
import { keepDays } from '../session/keepDays';
import { keepMarker } from '../session/keepMarker';
import type { Marker } from '../session/marker';
import { browserNotes } from '../session/notes';
import { issueNotice, type Notice, storeFailure } from '../session/notices';
import { browserTabs } from '../session/tabs';
import { makeWorkshop, type Workshop } from '../session/workshop';
import { isOverdue, planPurge } from '../store/clearing';
import { backgroundWorkers } from '../workers/background';
import { DATABASE, offerSample, openStore } from './openStore';

/** A workshop that is open, and what has to be said of it for the whole stay. */
export interface Opening {
  readonly workshop: Workshop;
  readonly notice: Notice | null;
  /** When the workshop that was here before was found gone. */
  readonly lost: Marker | null;
}

/** The first view comes first. */
const TIDY_AFTER_MS = 1500;

/** Empties the bin of what has lain in it too long, and takes away pictures that nothing names. Nobody waits for it. */
const tidyUp = async ({ store, clock, client }: Workshop): Promise<void> => {
  const { firstDeletedAt } = await store.look();
  if (firstDeletedAt !== null && isOverdue(firstDeletedAt, clock.nowMs()))
    await store.transact(planPurge(clock.nowMs()));
  await store.sweep();
  // Whatever could not be read was met by now.
  await client.invalidateQueries({ queryKey: UNREAD });
};

/** Opens this browser's workshop: its store, what closed tabs had noted, and the sample where nothing has ever been made. */
export const openWorkshop = async (onSlow: () => void): Promise<Opening> => {
  const notes = browserNotes();
  const tab = systemChance.newId();
  browserTabs.hold(tab);
  const { store, isKept, marker, failure } = await openStore({ notes, chance: systemChance, onSlow });
  const workshop = makeWorkshop({
    store,
    isKept,
    ...(isKept ? { database: DATABASE } : {}),
    notes,
    tab,
    clock: systemClock,
    chance: systemChance,
    workers: backgroundWorkers(),
  });
  const hadOwn = marker !== null && marker.ownAt !== null;
  const lost = isKept && marker !== null && marker.lostAt !== null ? marker : null;
  if (!isKept) {
    if (!hadOwn) await offerSample(store);
    const why = failure ?? issue('STORE_FAILED', '');
    const text = `${issueText(why)} ${ISSUES[why.code].remedy} What you type here is gone when this tab closes.`;
    return { workshop, notice: { text }, lost: null };
  }
  // Before the notes are carried out: what a hand changed a moment before its tab was closed is the felter's own too.
  keepMarker(workshop, marker);
  // A note that cannot be carried out now stays for the next start; it must not keep the workshop shut.
  const living = await browserTabs.living();
  const failed = await workshop.journal
    .replay(store, name => living.has(name))
    .then(() => null, storeFailure);
  if (lost) await store.updateSettings(s => ({ ...s, sampleOffered: true }));
  else await offerSample(store);
  // A sample as it came is no day's work: what is the felter's own is kept from the first change on.
  const copies = browserDayCopies();
  if (copies) keepDays(workshop, copies);
  setTimeout(() => void tidyUp(workshop).catch(() => undefined), TIDY_AFTER_MS);
  return { workshop, notice: failed ?? (notes.isKept ? null : issueNotice(issue('NOTES_DENIED', ''))), lost };
};
