import { z } from 'zod';
import { CUSHIONS, WATERS } from '../core/log/entry';
import { type Recipe, RECIPE_ACTS } from '../core/recipe/recipe';
import { Id, kept } from './common';
import type { Migration, RecordSpec } from './migrate';

const StepSchema = z.object({
  id: Id,
  act: z.enum(RECIPE_ACTS),
  count: z.number().int().min(1).max(10_000).exactOptional(),
  cushion: z.enum(CUSHIONS).exactOptional(),
  water: z.enum(WATERS).exactOptional(),
  minutes: z.number().min(1).max(20_000).exactOptional(),
});

const fields = { name: z.string().min(1).max(200), steps: z.array(StepSchema).max(100) };

/** A recipe as the piece has it that follows it. */
export const RecipeSchema: z.ZodType<Recipe> = z.object({ id: Id, ...fields });

const OwnRecipeSchema = z.object({ kind: z.literal('recipe'), version: z.literal(1), ...kept, ...fields });

/** A recipe of the maker's own, kept for the pieces to come. */
export type OwnRecipe = z.infer<typeof OwnRecipeSchema>;

export const RECIPE_MIGRATIONS: readonly Migration[] = [];
export const recipeSpec: RecordSpec<OwnRecipe> = {
  kind: 'recipe',
  schema: OwnRecipeSchema,
  migrations: RECIPE_MIGRATIONS,
};

/** A recipe put among the maker's own. */
export const newRecipe = ({ id, name, steps }: Recipe, now: string): OwnRecipe => ({
  kind: 'recipe',
  version: 1,
  id,
  createdAt: now,
  updatedAt: now,
  revision: 1,
  deletedAt: null,
  sample: false,
  name,
  steps: [...steps],
});

/** The recipe that a piece follows when it follows one of the maker's own. */
export const recipeOf = ({ id, name, steps }: OwnRecipe): Recipe => ({ id, name, steps });
