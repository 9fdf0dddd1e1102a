import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { issueText } from '../core/issues';
import type { Entry } from '../records/entry';
import { loadRecord } from '../records/migrate';
import { type Piece, pieceSpec } from '../records/piece';
import { DEFAULT_SETTINGS, type Settings } from '../records/settings';
import type { Wool } from '../records/wool';
import { history } from './history';
import { noteAhead } from './journal';
import { keys } from './keys';
import { useNotify } from './notices';
import { useStore } from './storeContext';

const forEver = { staleTime: Infinity, gcTime: Infinity } as const;
const NO_PIECES: readonly Piece[] = [];
const NO_WOOLS: readonly Wool[] = [];

/** Pieces that are not deleted; null while they are read. */
export const usePieces = (): readonly Piece[] | null => {
  const store = useStore();
  const { data } = useQuery({ queryKey: keys.pieces, queryFn: () => store.pieces(), ...forEver });
  return data ? data.filter(p => p.deletedAt === null) : null;
};

/** Every piece, deleted ones too. */
export const useAllPieces = (): readonly Piece[] => {
  const store = useStore();
  return useQuery({ queryKey: keys.pieces, queryFn: () => store.pieces(), ...forEver }).data ?? NO_PIECES;
};

/** One piece: undefined while it is read, null when there is none. */
export const usePiece = (id: string): Piece | null | undefined => {
  const store = useStore();
  return useQuery({ queryKey: keys.piece(id), queryFn: () => store.piece(id), ...forEver }).data;
};

export const useWools = (): readonly Wool[] => {
  const store = useStore();
  const { data } = useQuery({ queryKey: keys.wools, queryFn: () => store.wools(), ...forEver });
  return data ?? NO_WOOLS;
};

/** The log of a piece; undefined while it is read. */
export const useEntries = (pieceId: string): readonly Entry[] | undefined => {
  const store = useStore();
  return useQuery({ queryKey: keys.entries(pieceId), queryFn: () => store.entries(pieceId), ...forEver })
    .data;
};

export const useSettings = (): Settings => {
  const store = useStore();
  return (
    useQuery({ queryKey: keys.settings, queryFn: () => store.settings(), ...forEver }).data ??
    DEFAULT_SETTINGS
  );
};

export const useChangeSettings = (): ((change: Partial<Settings>) => void) => {
  const store = useStore();
  const client = useQueryClient();
  const { failed } = useNotify();
  return useCallback(
    change => {
      client.setQueryData<Settings>(keys.settings, s => ({ ...(s ?? DEFAULT_SETTINGS), ...change }));
      store.updateSettings(s => ({ ...s, ...change })).catch(failed);
    },
    [store, client, failed],
  );
};

/** The fields of a piece that a change touched, as they were or as they became. */
const fields = (from: Piece, other: Piece): Partial<Piece> => ({
  ...(from.name === other.name ? {} : { name: from.name }),
  ...(from.notes === other.notes ? {} : { notes: from.notes }),
  ...(from.woolId === other.woolId ? {} : { woolId: from.woolId }),
  ...(from.shrinkageFrom === other.shrinkageFrom ? {} : { shrinkageFrom: from.shrinkageFrom }),
  ...(from.plan === other.plan ? {} : { plan: from.plan }),
  ...(from.result === other.result ? {} : { result: from.result }),
  ...(from.deletedAt === other.deletedAt ? {} : { deletedAt: from.deletedAt }),
});

/** How a change is told and joined with others. */
export interface Told {
  readonly label: string;
  readonly key?: string;
}

/** Changes a piece at once on the screen and durably behind it, and remembers how to undo it. */
export const useChangePiece = (): ((id: string, change: (p: Piece) => Piece, told: Told) => void) => {
  const store = useStore();
  const client = useQueryClient();
  const { failed, tell } = useNotify();
  return useCallback(
    (id, change, told) => {
      const before = client.getQueryData<Piece | null>(keys.piece(id));
      if (!before) return void store.updatePiece(id, change).catch(failed);
      const after = change(before);
      if (after === before) return;
      const sound = loadRecord(pieceSpec, after, 'piece');
      if (sound.status !== 'ok') return tell({ text: sound.issues.map(issueText).join(' ') });
      client.setQueryData(keys.piece(id), after);
      const [old, fresh] = [fields(before, after), fields(after, before)];
      history.push({
        ...told,
        at: Date.now(),
        undo: () => store.updatePiece(id, p => ({ ...p, ...old })),
        redo: () => store.updatePiece(id, p => ({ ...p, ...fresh })),
      });
      store.updatePiece(id, change).then(noteAhead(id, fresh), failed);
    },
    [store, client, failed, tell],
  );
};
