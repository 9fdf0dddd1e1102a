import { useMemo } from 'react';
import type { StoredRecord } from '../records/common';
import type { Entry } from '../records/entry';
import type { Kind } from '../records/kind';
import { type Part, partKind } from '../records/part';
import { type Project, projectKind } from '../records/project';
import { type Piece, pieceKind } from '../records/piece';
import { type OwnRecipe, recipeKind } from '../records/recipe';
import { DEFAULT_SETTINGS, type Settings } from '../records/settings';
import { type Swatch, swatchKind } from '../records/swatch';
import { type Wool, woolKind } from '../records/wool';
import { useCalm } from './useCalm';
import { useAllSummaries } from './useSummaries';
import { useWorkshop } from './workshop';

const NONE: readonly never[] = [];

/** Every record of a kind, deleted ones too; null while they are read. */
const useAll = <T extends StoredRecord>(kind: Kind<T>): readonly T[] | null =>
  useCalm(useWorkshop().cache.list(kind)) ?? null;

/** Records of a kind that are not deleted; null while they are read. */
export const useLive = <T extends StoredRecord>(kind: Kind<T>): readonly T[] | null => {
  const all = useAll(kind);
  return useMemo(() => all?.filter(r => r.deletedAt === null) ?? null, [all]);
};

/** Pieces that are not deleted; null while they are read. */
export const usePieces = (): readonly Piece[] | null => {
  const all = useAll(pieceKind);
  return all ? all.filter(p => p.deletedAt === null) : null;
};

/** Every piece, deleted ones too. */
export const useAllPieces = (): readonly Piece[] => useAll(pieceKind) ?? NONE;

/** One piece: undefined while it is read, null when there is none. */
export const usePiece = (id: string): Piece | null | undefined =>
  useCalm(useWorkshop().cache.one(pieceKind, id));

export const useWools = (): readonly Wool[] => useAll(woolKind) ?? NONE;

export const useSwatches = (): readonly Swatch[] => useAll(swatchKind) ?? NONE;

/** Whether everything that says what a wool does has been read: pieces, swatches and wools. */
export const useIsWoolKnown = (): boolean => {
  const lists = [useAll(pieceKind), useAll(swatchKind), useAll(woolKind)];
  const areSummariesRead = useAllSummaries() !== null;
  return areSummariesRead && lists.every(list => list !== null);
};

/** Parts that are not deleted, in the order of their names. */
export const useParts = (): readonly Part[] => {
  const all = useAll(partKind) ?? NONE;
  return all.filter(p => p.deletedAt === null).toSorted((a, b) => a.name.localeCompare(b.name));
};

/** Every project, deleted ones too. */
export const useAllProjects = (): readonly Project[] => useAll(projectKind) ?? NONE;

/** Projects that are not deleted; null while they are read. */
export const useProjects = (): readonly Project[] | null => {
  const all = useAll(projectKind);
  return all ? all.filter(p => p.deletedAt === null) : null;
};

/** The maker's own recipes that are not deleted, in the order of their names. */
export const useRecipes = (): readonly OwnRecipe[] => {
  const all = useAll(recipeKind) ?? NONE;
  return all.filter(r => r.deletedAt === null).toSorted((a, b) => a.name.localeCompare(b.name));
};

/** The log of a piece; undefined while it is read. */
export const useEntries = (pieceId: string): readonly Entry[] | undefined =>
  useCalm(useWorkshop().cache.entries(pieceId));

/** The logs of all pieces; empty while they are read. */
export const useAllEntries = (): readonly Entry[] => useCalm(useWorkshop().cache.allEntries()) ?? NONE;

/** Whether the logs of all pieces have been read. */
export const useAreEntriesRead = (): boolean => useCalm(useWorkshop().cache.allEntries()) !== undefined;

export const useSettings = (): Settings => useCalm(useWorkshop().cache.settings()) ?? DEFAULT_SETTINGS;
