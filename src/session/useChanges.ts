import { dequal } from 'dequal';
import { useCallback } from 'react';
import { issueText } from '../words/issues';
import type { StoredRecord } from '../records/common';
import type { Kind } from '../records/kind';
import { type Part, partKind } from '../records/part';
import { type Project, projectKind } from '../records/project';
import { type Piece, pieceKind } from '../records/piece';
import { type OwnRecipe, recipeKind } from '../records/recipe';
import { DEFAULT_SETTINGS, type Settings } from '../records/settings';
import { type Swatch, swatchKind } from '../records/swatch';
import { type Wool, woolKind } from '../records/wool';
import { addRecord, changeRecord, type ChangeLabel } from './changes';
import { useNotify } from './notices';
import { promptly } from './promptly';
import { useWorkshop } from './workshop';

type Change<T> = (id: string, change: (record: T) => T, told: ChangeLabel) => void;

/** Changes a record of a kind at once on the screen and durably behind it, and remembers how to undo it. */
export const useChange = <T extends StoredRecord>(kind: Kind<T>): Change<T> => {
  const workshop = useWorkshop();
  const { failed, tell } = useNotify();
  return useCallback(
    (id, change, told) => {
      changeRecord(workshop, kind, { id, change, told }).then(
        refused => refused && tell({ text: refused.issues.map(issueText).join(' ') }),
        failed,
      );
    },
    [workshop, failed, tell, kind],
  );
};

/** Changes a piece at once on the screen and durably behind it, and remembers how to undo it. */
export const useChangePiece = (): Change<Piece> => useChange(pieceKind);

/** Changes a wool, as a piece is changed. */
export const useChangeWool = (): Change<Wool> => useChange(woolKind);

/** Changes a swatch, as a piece is changed. */
export const useChangeSwatch = (): Change<Swatch> => useChange(swatchKind);

/** Changes a recipe of the maker's own, as a piece is changed. */
export const useChangeRecipe = (): Change<OwnRecipe> => useChange(recipeKind);

/** Changes a part, as a piece is changed. */
export const useChangePart = (): Change<Part> => useChange(partKind);

/** Changes a project, as a piece is changed. */
export const useChangeProject = (): Change<Project> => useChange(projectKind);

/** Deletes a record: it goes to the bin, and undo brings it back. */
export const useDelete = <T extends StoredRecord>(kind: Kind<T>): ((record: T, label: string) => void) => {
  const change = useChange(kind);
  const { nowIso } = useWorkshop();
  return useCallback(
    (record, label) => {
      const deletedAt = nowIso();
      change(record.id, r => ({ ...r, deletedAt }), { label });
    },
    [change, nowIso],
  );
};

export const useDeletePiece = (): ((piece: Piece, label: string) => void) => useDelete(pieceKind);
export const useDeleteWool = (): ((wool: Wool, label: string) => void) => useDelete(woolKind);
export const useDeleteSwatch = (): ((swatch: Swatch, label: string) => void) => useDelete(swatchKind);
export const useDeleteRecipe = (): ((recipe: OwnRecipe, label: string) => void) => useDelete(recipeKind);

/** Puts a new record of a kind in; undo takes it out again. */
export const useAdd = <T extends StoredRecord>(kind: Kind<T>): ((record: T) => Promise<void>) => {
  const workshop = useWorkshop();
  return useCallback(record => addRecord(workshop, kind, record), [workshop, kind]);
};

export const useAddPiece = (): ((piece: Piece) => Promise<void>) => useAdd(pieceKind);
export const useAddPart = (): ((part: Part) => Promise<void>) => useAdd(partKind);
export const useAddWool = (): ((wool: Wool) => Promise<void>) => useAdd(woolKind);
export const useAddSwatch = (): ((swatch: Swatch) => Promise<void>) => useAdd(swatchKind);
export const useAddRecipe = (): ((recipe: OwnRecipe) => Promise<void>) => useAdd(recipeKind);

const SETTINGS = 'settings';

export const useChangeSettings = (): ((change: Partial<Settings>) => void) => {
  const { store, cache, journal } = useWorkshop();
  const { failed } = useNotify();
  return useCallback(
    change => {
      const settled = cache.begin(SETTINGS);
      const before = cache.shownSettings() ?? DEFAULT_SETTINGS;
      const after = { ...before, ...change, revision: before.revision + 1 };
      promptly(() => cache.showSettings(after));
      const durable = journal.noteSettings(before, change);
      store
        .updateSettings(s => ({ ...s, ...change }))
        .then(
          kept => {
            // What is kept as it is shown is not drawn again.
            if (settled() && !dequal(kept, after)) cache.showSettings(kept);
          },
          (error: unknown) => {
            settled();
            failed(error);
          },
        )
        .finally(durable);
    },
    [store, cache, journal, failed],
  );
};
