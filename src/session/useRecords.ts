import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { OwnRecipe } from '../records/recipe';
import { DEFAULT_SETTINGS, type Settings } from '../records/settings';
import type { Swatch } from '../records/swatch';
import type { Wool } from '../records/wool';
import { keys } from './keys';
import { isPending, withoutStale } from './pending';
import { useStore } from './storeContext';

const forEver = { staleTime: Infinity, gcTime: Infinity } as const;
const NO_PIECES: readonly Piece[] = [];
const NO_WOOLS: readonly Wool[] = [];
const NO_ENTRIES: readonly Entry[] = [];
const NO_SWATCHES: readonly Swatch[] = [];
const NO_RECIPES: readonly OwnRecipe[] = [];

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
  const client = useQueryClient();
  const queryKey = keys.piece(id);
  const queryFn = async (): Promise<Piece | null> => {
    const read = await store.piece(id);
    return isPending(id) ? (client.getQueryData<Piece | null>(queryKey) ?? read) : read;
  };
  return useQuery({ queryKey, queryFn, ...forEver }).data;
};

export const useWools = (): readonly Wool[] => {
  const store = useStore();
  const client = useQueryClient();
  const queryFn = async (): Promise<readonly Wool[]> =>
    withoutStale(await store.wools(), client.getQueryData<readonly Wool[]>(keys.wools));
  return useQuery({ queryKey: keys.wools, queryFn, ...forEver }).data ?? NO_WOOLS;
};

export const useSwatches = (): readonly Swatch[] => {
  const store = useStore();
  const client = useQueryClient();
  const queryFn = async (): Promise<readonly Swatch[]> =>
    withoutStale(await store.swatches(), client.getQueryData<readonly Swatch[]>(keys.swatches));
  return useQuery({ queryKey: keys.swatches, queryFn, ...forEver }).data ?? NO_SWATCHES;
};

/** The maker's own recipes that are not deleted, in the order of their names. */
export const useRecipes = (): readonly OwnRecipe[] => {
  const store = useStore();
  const client = useQueryClient();
  const queryFn = async (): Promise<readonly OwnRecipe[]> =>
    withoutStale(await store.recipes(), client.getQueryData<readonly OwnRecipe[]>(keys.recipes));
  const all = useQuery({ queryKey: keys.recipes, queryFn, ...forEver }).data ?? NO_RECIPES;
  return all.filter(r => r.deletedAt === null).toSorted((a, b) => a.name.localeCompare(b.name));
};

/** The log of a piece; undefined while it is read. */
export const useEntries = (pieceId: string): readonly Entry[] | undefined => {
  const store = useStore();
  return useQuery({ queryKey: keys.entries(pieceId), queryFn: () => store.entries(pieceId), ...forEver })
    .data;
};

/** The logs of all pieces; empty while they are read. */
export const useAllEntries = (): readonly Entry[] => {
  const store = useStore();
  return (
    useQuery({ queryKey: keys.allEntries, queryFn: () => store.allEntries(), ...forEver }).data ?? NO_ENTRIES
  );
};

export const useSettings = (): Settings => {
  const store = useStore();
  return (
    useQuery({ queryKey: keys.settings, queryFn: () => store.settings(), ...forEver }).data ??
    DEFAULT_SETTINGS
  );
};
