import type { QueryClient } from '@tanstack/react-query';
import type { StoreChange } from '../store/store';

/** Names of what is asked of the store. */
export const keys = {
  pieces: ['pieces'] as const,
  piece: (id: string) => ['pieces', id] as const,
  wools: ['wools'] as const,
  swatches: ['swatches'] as const,
  recipes: ['recipes'] as const,
  entries: (pieceId: string) => ['entries', pieceId] as const,
  allEntries: ['allEntries'] as const,
  settings: ['settings'] as const,
};

/** Forgets what a change has made stale, in this tab or another. */
export const refresh = (client: QueryClient, change: StoreChange): void => {
  if (change.what === 'all') void client.invalidateQueries();
  else if (change.what === 'entries') {
    void client.invalidateQueries({ queryKey: keys.allEntries });
    void client.invalidateQueries({
      queryKey: change.pieceId === undefined ? ['entries'] : keys.entries(change.pieceId),
    });
  } else void client.invalidateQueries({ queryKey: [change.what] });
};
