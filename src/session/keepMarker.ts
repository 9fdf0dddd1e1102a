import { useQuery } from '@tanstack/react-query';
import { type Marker, readMarker, writeMarker } from './marker';
import { useWorkshop, type Workshop } from './workshop';

/** The marker says to the minute when something of the felter's own was last kept. */
const EVERY_MS = 60_000;

/** Asks the browser once to keep its storage when it runs short of room: it has something of the felter's own by now. */
const askToPersist = (): void => {
  const { storage }: { readonly storage?: StorageManager } = navigator;
  void storage?.persist?.().catch(() => false);
};

/** Keeps the marker of a workshop in step: whether anything of the felter's own is in it, and since when. */
export const keepMarker = ({ store, notes, nowIso, clock }: Workshop, opened: Marker | null): void => {
  let last = 0;
  if (opened?.ownAt) askToPersist();
  store.subscribe(({ record, entry }) => {
    // What was put in all at once, as the sample is, tells of no one record; what a hand changed does, on a sample piece too.
    if (!(record ?? entry) || clock.nowMs() - last < EVERY_MS) return;
    const marker = readMarker(notes);
    if (!marker) return;
    if (last === 0 && !opened?.ownAt) askToPersist();
    last = clock.nowMs();
    writeMarker(notes, { ...marker, ownAt: nowIso() });
  });
};

const LOST_DEALT_WITH = ['lost', 'dealt with'] as const;

/** Takes note that a lost workshop was told of: a new one begins, or it was read in again. Wherever it is told, it is told no more. */
export const dismissLost = ({ notes, client }: Workshop): void => {
  const marker = readMarker(notes);
  if (marker) writeMarker(notes, { ...marker, lostAt: null });
  client.setQueryData(LOST_DEALT_WITH, true);
};

/** Whether a lost workshop was told of and dealt with. */
export const useLostDealtWith = (): boolean => {
  const { notes } = useWorkshop();
  return useQuery({
    queryKey: LOST_DEALT_WITH,
    queryFn: () => readMarker(notes)?.lostAt === null,
    initialData: false,
    staleTime: Infinity,
  }).data;
};
