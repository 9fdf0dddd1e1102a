import type { Kept } from './common';
import type { Kind } from './kind';
import { pieceKind } from './piece';
import { recipeKind } from './recipe';
import { swatchKind } from './swatch';
import { woolKind } from './wool';

/** Every kind of record that is kept, exported and merged: a new one is one file, and one line here. */
export const KINDS: ReadonlyArray<Kind<Kept>> = [pieceKind, woolKind, swatchKind, recipeKind];
