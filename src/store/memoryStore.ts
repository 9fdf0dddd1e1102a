import { ENTRY_VERSION, type Entry } from '../records/entry';
import type { RecordSpec } from '../records/migrate';
import { type Piece, pieceSpec, woolsOf } from '../records/piece';
import { type OwnRecipe, recipeSpec } from '../records/recipe';
import { DEFAULT_SETTINGS, type Settings } from '../records/settings';
import { type Swatch, swatchSpec } from '../records/swatch';
import { type Wool, woolSpec } from '../records/wool';
import { listeners } from './listeners';
import { mergePlan } from './mergePlan';
import type { Store } from './store';
import { sound } from './sound';
import { touched } from './touched';

/** A store that lives as long as the page: for tests, and where the browser keeps nothing. */
export const memoryStore = (clock: () => string): Store => {
  const pieces = new Map<string, Piece>();
  const wools = new Map<string, Wool>();
  const swatches = new Map<string, Swatch>();
  const recipes = new Map<string, OwnRecipe>();
  const entries = new Map<string, Entry>();
  let settings: Settings = DEFAULT_SETTINGS;
  const { subscribe, tell } = listeners();

  const update = <T extends Piece | Wool | Swatch | OwnRecipe>(
    map: Map<string, T>,
    spec: RecordSpec<T>,
    { id, change }: { readonly id: string; readonly change: (record: T) => T },
  ): T | null => {
    const before = map.get(id);
    if (!before) return null;
    const after = sound(spec, touched(before, change(before), clock()));
    map.set(id, after);
    return after;
  };
  const snapshot = () => ({
    pieces: [...pieces.values()],
    wools: [...wools.values()],
    swatches: [...swatches.values()],
    recipes: [...recipes.values()],
    entries: [...entries.values()],
  });
  const logOf = (pieceId: string): Entry[] =>
    [...entries.values()].filter(e => e.pieceId === pieceId).toSorted((a, b) => a.seq - b.seq);

  return {
    pieces: async () => [...pieces.values()],
    piece: async id => pieces.get(id) ?? null,
    addPiece: async piece => {
      pieces.set(piece.id, sound(pieceSpec, piece));
      tell({ what: 'pieces', pieceId: piece.id });
    },
    updatePiece: async (id, change) => {
      const after = update(pieces, pieceSpec, { id, change });
      tell({ what: 'pieces', pieceId: id });
      return after;
    },
    wools: async () => [...wools.values()],
    addWool: async wool => {
      wools.set(wool.id, sound(woolSpec, wool));
      tell({ what: 'wools' });
    },
    updateWool: async (id, change) => {
      const after = update(wools, woolSpec, { id, change });
      tell({ what: 'wools' });
      return after;
    },
    swatches: async () => [...swatches.values()],
    addSwatch: async swatch => {
      swatches.set(swatch.id, sound(swatchSpec, swatch));
      tell({ what: 'swatches' });
    },
    updateSwatch: async (id, change) => {
      const after = update(swatches, swatchSpec, { id, change });
      tell({ what: 'swatches' });
      return after;
    },
    recipes: async () => [...recipes.values()],
    addRecipe: async recipe => {
      recipes.set(recipe.id, sound(recipeSpec, recipe));
      tell({ what: 'recipes' });
    },
    updateRecipe: async (id, change) => {
      const after = update(recipes, recipeSpec, { id, change });
      tell({ what: 'recipes' });
      return after;
    },
    entries: async pieceId => logOf(pieceId),
    allEntries: async () => [...entries.values()].toSorted((a, b) => a.seq - b.seq),
    append: async fresh => {
      const known = entries.get(fresh.id);
      if (known) return known;
      const seq = (logOf(fresh.pieceId).at(-1)?.seq ?? 0) + 1;
      const entry: Entry = { kind: 'entry', version: ENTRY_VERSION, seq, ...fresh };
      entries.set(entry.id, entry);
      tell({ what: 'entries', pieceId: fresh.pieceId });
      return entry;
    },
    settings: async () => settings,
    updateSettings: async change => {
      settings = change(settings);
      tell({ what: 'settings' });
      return settings;
    },
    snapshot: async () => snapshot(),
    merge: async incoming => {
      const { write, report } = mergePlan(snapshot(), incoming);
      for (const p of write.pieces) pieces.set(p.id, p);
      for (const w of write.wools) wools.set(w.id, w);
      for (const w of write.swatches) swatches.set(w.id, w);
      for (const r of write.recipes) recipes.set(r.id, r);
      for (const e of write.entries) entries.set(e.id, e);
      tell({ what: 'all' });
      return report;
    },
    clear: async which => {
      const gone = new Set([...pieces.values()].filter(p => which === 'all' || p.sample).map(p => p.id));
      for (const id of gone) pieces.delete(id);
      for (const e of entries.values()) if (gone.has(e.pieceId)) entries.delete(e.id);
      const used = new Set([...pieces.values()].flatMap(p => [...woolsOf(p)]));
      for (const w of wools.values())
        if (which === 'all' || (w.sample && !used.has(w.id))) wools.delete(w.id);
      for (const w of swatches.values()) if (which === 'all' || !wools.has(w.woolId)) swatches.delete(w.id);
      for (const r of recipes.values()) if (which === 'all' || r.sample) recipes.delete(r.id);
      tell({ what: 'all' });
    },
    subscribe,
    problems: () => [],
    close: () => undefined,
  };
};
