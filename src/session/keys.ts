import type { QueryClient } from '@tanstack/react-query';
import type { StoreChange } from '../store/store';

/** Names of what is asked of the store. */
export const keys = {
  pieces: ['pieces'] as const,
  piece: (id: string) => ['pieces', id] as const,
  wools: ['wools'] as const,
  swatches: ['swatches'] as const,
  entries: (pieceId: string) => ['entries', pieceId] as const,
  allEntries: ['entries'] as const,
  settings: ['settings'] as const,
};

/** Forgets what a change has made stale, in this tab or another. */
export const refresh = (client: QueryClient, change: StoreChange): void => {
  if (change.what === 'all') void client.invalidateQueries();
  else if (change.what === 'entries' && change.pieceId !== undefined)
    void client.invalidateQueries({ queryKey: keys.entries(change.pieceId) });
  else void client.invalidateQueries({ queryKey: [change.what] });
};
