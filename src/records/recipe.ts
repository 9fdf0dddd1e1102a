import { z } from 'zod';
import { CUSHIONS, WATERS } from '../core/acts/vocabulary';
import { WAY_IDS } from '../core/forms/wayId';
import { LIMITS } from '../core/limits';
import type { Recipe } from '../core/recipe/recipe';
import { RECIPE_STEPS } from '../core/recipe/recipeSteps';
import { fresh, Id, kept } from './common';
import { defineKind } from './kind';
import type { Migration } from './migrate';
import { withinLimits } from './withinLimits';

const StepSchema = z.object({
  id: Id,
  act: z.enum([...RECIPE_STEPS.keys()]),
  count: z.number().int().min(1).max(10_000).exactOptional(),
  cushion: z.enum(CUSHIONS).exactOptional(),
  water: z.enum(WATERS).exactOptional(),
  minutes: z.number().min(1).max(20_000).exactOptional(),
});

const fields = { name: z.string().min(1).max(200), steps: z.array(StepSchema).max(100) };

/** A recipe as the piece has it that follows it. */
export const RecipeSchema: z.ZodType<Recipe> = z.object({ id: Id, ...fields });

const OwnRecipeSchema = z.object({
  kind: z.literal('recipe'),
  version: z.literal(3),
  ...kept,
  ...fields,
  /** The way of working it was written in; null for one of a build that did not say, which is offered in every way. */
  way: z.enum(WAY_IDS).nullable(),
});

/** A recipe of the maker's own, kept for the pieces to come. */
export type OwnRecipe = z.infer<typeof OwnRecipeSchema>;

export const RECIPE_MIGRATIONS: readonly Migration[] = [
  { version: 2, name: 'KeepWithinLimits', up: old => withinLimits(old, { revision: LIMITS.olderCount }) },
  { version: 3, name: 'SayTheWay', up: old => ({ ...old, way: null }) },
];
export const recipeKind = defineKind<OwnRecipe>({
  kind: 'recipe',
  table: 'recipes',
  since: 3,
  schema: OwnRecipeSchema,
  migrations: RECIPE_MIGRATIONS,
  nameOf: recipe => recipe.name,
});

/** A recipe put among the maker's own. @param way the way of working it was written in */
export const newRecipe = ({ id, name, steps }: Recipe, way: OwnRecipe['way'], now: string): OwnRecipe => ({
  kind: 'recipe',
  version: 3,
  ...fresh(id, now),
  name,
  steps: [...steps],
  way,
});

/** The recipe that a piece follows when it follows one of the maker's own. */
export const recipeOf = ({ id, name, steps }: Recipe): Recipe => ({ id, name, steps });
