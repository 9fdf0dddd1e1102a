import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { pieceKind } from '../records/piece';
import { useNotify } from './notices';
import { driedIn, finishingIds } from './finishing';
import type { RackPlace } from './rackOf';
import { useWorkshop } from './workshop';

const LOOKS_MS = 15_000;

const pause = (): Promise<void> => new Promise(resolve => setTimeout(resolve));

/**
 * Tells once when a wait is over while the application is open. It looks now and then, and takes no part in what is drawn: a tap at
 * the bench costs nothing by it. @param onOpen what the notice offers: going there
 */
export const useRackBell = (onOpen: (pieceId: string) => void): void => {
  const client = useQueryClient();
  const { cache, clock, summaries } = useWorkshop();
  const { tell } = useNotify();
  useEffect(() => {
    const sinceMs = clock.nowMs();
    const told = new Set<string>();
    const look = async (): Promise<void> => {
      const nowMs = clock.nowMs();
      const { all } = await client.fetchQuery(summaries.all());
      const ids = finishingIds(all);
      if (ids.length === 0) return;
      // Seldom does anything wait: what tells of it is fetched when something does.
      const [{ rackOf }, { WAITED }] = await Promise.all([import('./rackOf'), import('../words/finishing')]);
      const dried = driedIn(all);
      const places: RackPlace[] = [];
      for (const id of ids) {
        const piece = await client.fetchQuery(cache.one(pieceKind, id));
        const log = await client.fetchQuery(cache.entries(id));
        // A log that was just read, and what follows from it: between the two, and two pieces, the page answers whoever touches it.
        await pause();
        if (piece) places.push(...rackOf([{ piece, log }], dried));
        await pause();
      }
      const over = places.find(
        ({ piece: { id }, wait }) =>
          wait.untilMs !== null &&
          wait.untilMs > sinceMs &&
          wait.untilMs <= nowMs &&
          !told.has(`${id} ${wait.step} ${wait.untilMs}`),
      );
      if (!over) return;
      const { piece, wait } = over;
      told.add(`${piece.id} ${wait.step} ${wait.untilMs ?? ''}`);
      tell({
        text: `${piece.name}: ${WAITED[wait.step] ?? 'time is up.'}`,
        action: { label: 'Go there', run: () => onOpen(piece.id) },
        stays: true,
      });
    };
    // A store that cannot be read just now is told where it is asked for; the next look comes anyway.
    return clock.every(LOOKS_MS, () => void look().catch(() => undefined));
  }, [client, cache, clock, summaries, tell, onOpen]);
};
