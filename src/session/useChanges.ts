import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { issueText } from '../core/issues';
import { loadRecord, type RecordSpec } from '../records/migrate';
import { type Piece, pieceSpec } from '../records/piece';
import { type OwnRecipe, recipeSpec } from '../records/recipe';
import { DEFAULT_SETTINGS, type Settings } from '../records/settings';
import { type Swatch, swatchSpec } from '../records/swatch';
import { type Wool, woolSpec } from '../records/wool';
import type { Store } from '../store/store';
import { nowIso } from './clock';
import { history } from './history';
import { noteAhead } from './journal';
import { keys } from './keys';
import { useNotify } from './notices';
import { beginWrite } from './pending';
import { promptly } from './promptly';
import { useStore } from './storeContext';

/** How a change is told and joined with others. */
export interface Told {
  readonly label: string;
  readonly key?: string;
}

/** How one kind of record is changed on the screen and in the store. */
interface Kind<T> {
  readonly spec: RecordSpec<T>;
  readonly shown: (client: QueryClient, id: string) => T | null | undefined;
  readonly show: (client: QueryClient, record: T) => void;
  readonly refresh: (client: QueryClient, id: string) => void;
  readonly update: (store: Store, id: string, change: (record: T) => T) => Promise<unknown>;
  /** The fields that a change touched, with the values of the first. */
  readonly touched: (of: T, other: T) => Partial<T>;
}

/** Of these fields, those that differ, with the values of the first. */
const differing = <T>(names: ReadonlyArray<keyof T>, of: T, other: T): Partial<T> => {
  const found: Partial<T> = {};
  for (const name of names) if (of[name] !== other[name]) found[name] = of[name];
  return found;
};

const PIECE: Kind<Piece> = {
  spec: pieceSpec,
  shown: (client, id) => client.getQueryData<Piece | null>(keys.piece(id)),
  show: (client, piece) => client.setQueryData(keys.piece(piece.id), piece),
  refresh: (client, id) => void client.invalidateQueries({ queryKey: keys.piece(id) }),
  update: (store, id, change) => store.updatePiece(id, change),
  touched: (of, other) =>
    differing(
      [
        'name',
        'notes',
        'woolId',
        'shrinkageFrom',
        'plan',
        'laying',
        'colours',
        'recipe',
        'result',
        'deletedAt',
      ],
      of,
      other,
    ),
};

const WOOL: Kind<Wool> = {
  spec: woolSpec,
  shown: (client, id) => client.getQueryData<readonly Wool[]>(keys.wools)?.find(w => w.id === id),
  show: (client, wool) =>
    client.setQueryData<readonly Wool[]>(keys.wools, all => all?.map(w => (w.id === wool.id ? wool : w))),
  refresh: client => void client.invalidateQueries({ queryKey: keys.wools }),
  update: (store, id, change) => store.updateWool(id, change),
  touched: (of, other) =>
    differing(
      [
        'sort',
        'name',
        'fibre',
        'micron',
        'form',
        'colour',
        'per100g',
        'gramsCounted',
        'countedAt',
        'ropeGPerM',
        'notes',
        'deletedAt',
      ],
      of,
      other,
    ),
};

const SWATCH: Kind<Swatch> = {
  spec: swatchSpec,
  shown: (client, id) => client.getQueryData<readonly Swatch[]>(keys.swatches)?.find(s => s.id === id),
  show: (client, swatch) =>
    client.setQueryData<readonly Swatch[]>(keys.swatches, all =>
      all?.map(s => (s.id === swatch.id ? swatch : s)),
    ),
  refresh: client => void client.invalidateQueries({ queryKey: keys.swatches }),
  update: (store, id, change) => store.updateSwatch(id, change),
  touched: (of, other) => differing(['laid', 'result', 'notes', 'deletedAt'], of, other),
};

const RECIPE: Kind<OwnRecipe> = {
  spec: recipeSpec,
  shown: (client, id) => client.getQueryData<readonly OwnRecipe[]>(keys.recipes)?.find(r => r.id === id),
  show: (client, recipe) =>
    client.setQueryData<readonly OwnRecipe[]>(keys.recipes, all =>
      all?.map(r => (r.id === recipe.id ? recipe : r)),
    ),
  refresh: client => void client.invalidateQueries({ queryKey: keys.recipes }),
  update: (store, id, change) => store.updateRecipe(id, change),
  touched: (of, other) => differing(['name', 'steps', 'deletedAt'], of, other),
};

type Change<T> = (id: string, change: (record: T) => T, told: Told) => void;

const useChange = <T extends { readonly id: string }>(kind: Kind<T>): Change<T> => {
  const store = useStore();
  const client = useQueryClient();
  const { failed, tell } = useNotify();
  return useCallback(
    (id, change, told) => {
      const before = kind.shown(client, id);
      if (!before) return void kind.update(store, id, change).catch(failed);
      const after = change(before);
      if (after === before) return;
      const sound = loadRecord(kind.spec, after, kind.spec.kind);
      if (sound.status !== 'ok') return tell({ text: sound.issues.map(issueText).join(' ') });
      const [old, fresh] = [kind.touched(before, after), kind.touched(after, before)];
      history.push({
        label: told.label,
        // Typing in one field joins; the same field of another record does not.
        ...(told.key === undefined ? {} : { key: `${id}.${told.key}` }),
        at: Date.now(),
        undo: () => kind.update(store, id, r => ({ ...r, ...old })),
        redo: () => kind.update(store, id, r => ({ ...r, ...fresh })),
      });
      const settled = beginWrite(id);
      promptly(() => kind.show(client, after));
      const durable = noteAhead(kind.spec.kind, id, fresh);
      void kind
        .update(store, id, change)
        .then(durable, failed)
        .then(() => settled() && kind.refresh(client, id));
    },
    [store, client, failed, tell, kind],
  );
};

/** Changes a piece at once on the screen and durably behind it, and remembers how to undo it. */
export const useChangePiece = (): Change<Piece> => useChange(PIECE);

/** Changes a wool, as a piece is changed. */
export const useChangeWool = (): Change<Wool> => useChange(WOOL);

/** Changes a swatch, as a piece is changed. */
export const useChangeSwatch = (): Change<Swatch> => useChange(SWATCH);

/** Changes a recipe of the maker's own, as a piece is changed. */
export const useChangeRecipe = (): Change<OwnRecipe> => useChange(RECIPE);

/** Puts a new record in; undo takes it out of sight again. Settles when it is durable. */
const useAdd = <T extends { readonly id: string }>(
  {
    nameOf,
    add,
  }: { readonly nameOf: (record: T) => string; readonly add: (store: Store, record: T) => Promise<void> },
  setDeleted: (store: Store, id: string, at: string | null) => Promise<unknown>,
): ((record: T) => Promise<void>) => {
  const store = useStore();
  return async record => {
    await add(store, record);
    history.push({
      label: `new: ${nameOf(record)}`,
      at: Date.now(),
      undo: () => setDeleted(store, record.id, nowIso()),
      redo: () => setDeleted(store, record.id, null),
    });
  };
};

export const useAddPiece = (): ((piece: Piece) => Promise<void>) =>
  useAdd<Piece>(
    { nameOf: p => p.name, add: (store, piece) => store.addPiece(piece) },
    (store, id, deletedAt) => store.updatePiece(id, p => ({ ...p, deletedAt })),
  );

export const useAddWool = (): ((wool: Wool) => Promise<void>) =>
  useAdd<Wool>({ nameOf: w => w.name, add: (store, wool) => store.addWool(wool) }, (store, id, deletedAt) =>
    store.updateWool(id, w => ({ ...w, deletedAt })),
  );

export const useAddSwatch = (): ((swatch: Swatch) => Promise<void>) =>
  useAdd<Swatch>(
    { nameOf: () => 'swatch', add: (store, swatch) => store.addSwatch(swatch) },
    (store, id, deletedAt) => store.updateSwatch(id, s => ({ ...s, deletedAt })),
  );

export const useAddRecipe = (): ((recipe: OwnRecipe) => Promise<void>) =>
  useAdd<OwnRecipe>(
    { nameOf: r => r.name, add: (store, recipe) => store.addRecipe(recipe) },
    (store, id, deletedAt) => store.updateRecipe(id, r => ({ ...r, deletedAt })),
  );

export const useChangeSettings = (): ((change: Partial<Settings>) => void) => {
  const store = useStore();
  const client = useQueryClient();
  const { failed } = useNotify();
  return useCallback(
    change => {
      promptly(() =>
        client.setQueryData<Settings>(keys.settings, s => ({ ...(s ?? DEFAULT_SETTINGS), ...change })),
      );
      const durable = noteAhead('settings', 'settings', change);
      store.updateSettings(s => ({ ...s, ...change })).then(durable, failed);
    },
    [store, client, failed],
  );
};
