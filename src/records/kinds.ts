import type { StoredRecord } from './common';
import type { Kind } from './kind';
import { classKind } from './feltClass';
import { orderKind } from './order';
import { partKind } from './part';
import { productKind } from './product';
import { stockEntryKind } from './stockEntry';
import { workplaceKind } from './workplace';
import { pieceKind } from './piece';
import { projectKind } from './project';
import { recipeKind } from './recipe';
import { swatchKind } from './swatch';
import { woolKind } from './wool';

/** Every kind of record that is kept, exported and merged: a new one is one file, and one line here. */
export const KINDS: ReadonlyArray<Kind<StoredRecord>> = [
  pieceKind,
  woolKind,
  swatchKind,
  recipeKind,
  partKind,
  projectKind,
  productKind,
  stockEntryKind,
  orderKind,
  classKind,
  workplaceKind,
];
