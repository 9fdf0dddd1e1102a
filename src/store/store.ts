import type { Act } from '../core/log/entry';
import type { Issue } from '../core/issues';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { OwnRecipe } from '../records/recipe';
import type { Settings } from '../records/settings';
import type { Snapshot } from '../records/snapshot';
import type { Swatch } from '../records/swatch';
import type { Wool } from '../records/wool';

/** What a listener is told: which kind of record changed, and the piece it concerns. */
export interface StoreChange {
  readonly what: 'pieces' | 'wools' | 'swatches' | 'recipes' | 'entries' | 'settings' | 'all';
  readonly pieceId?: string;
}

/** What came of putting a snapshot in. */
export interface MergeReport {
  readonly added: number;
  readonly replaced: number;
  readonly kept: number;
  readonly entriesAdded: number;
}

/** An act on its way into the log. The id is made by the caller, so that sending it twice appends it once. */
export interface NewEntry {
  readonly id: string;
  readonly pieceId: string;
  readonly at: string;
  readonly act: Act;
}

/**
 * Where records are kept. Every promise settles only when the change is durable; a change is made whole or not at all.
 * Updates are functions of the stored record, so that two tabs never write over each other.
 */
export interface Store {
  readonly pieces: () => Promise<readonly Piece[]>;
  readonly piece: (id: string) => Promise<Piece | null>;
  readonly addPiece: (piece: Piece) => Promise<void>;
  readonly updatePiece: (id: string, change: (piece: Piece) => Piece) => Promise<Piece | null>;
  readonly wools: () => Promise<readonly Wool[]>;
  readonly addWool: (wool: Wool) => Promise<void>;
  readonly updateWool: (id: string, change: (wool: Wool) => Wool) => Promise<Wool | null>;
  readonly swatches: () => Promise<readonly Swatch[]>;
  readonly addSwatch: (swatch: Swatch) => Promise<void>;
  readonly updateSwatch: (id: string, change: (swatch: Swatch) => Swatch) => Promise<Swatch | null>;
  readonly recipes: () => Promise<readonly OwnRecipe[]>;
  readonly addRecipe: (recipe: OwnRecipe) => Promise<void>;
  readonly updateRecipe: (id: string, change: (recipe: OwnRecipe) => OwnRecipe) => Promise<OwnRecipe | null>;
  readonly entries: (pieceId: string) => Promise<readonly Entry[]>;
  /** Logs of all pieces, in order. */
  readonly allEntries: () => Promise<readonly Entry[]>;
  readonly append: (entry: NewEntry) => Promise<Entry>;
  readonly settings: () => Promise<Settings>;
  readonly updateSettings: (change: (settings: Settings) => Settings) => Promise<Settings>;
  readonly snapshot: () => Promise<Snapshot>;
  readonly merge: (snapshot: Snapshot) => Promise<MergeReport>;
  readonly clear: (which: 'sample' | 'all') => Promise<void>;
  readonly subscribe: (listener: (change: StoreChange) => void) => () => void;
  /** Records that were met and could not be read. They are left where they are. */
  readonly problems: () => readonly Issue[];
  readonly close: () => void;
}
