import { z } from 'zod';
import { CUSHIONS, WATERS } from '../core/cycles/entry';
import { type Recipe, RECIPE_ACTS } from '../core/recipe/recipe';
import { Id } from './common';

const StepSchema = z.object({
  id: Id,
  act: z.enum(RECIPE_ACTS),
  count: z.number().int().min(1).max(10_000).exactOptional(),
  cushion: z.enum(CUSHIONS).exactOptional(),
  water: z.enum(WATERS).exactOptional(),
  minutes: z.number().min(1).max(20_000).exactOptional(),
});

/** A recipe as it is kept: with the piece that follows it, and among the maker's own. */
export const RecipeSchema: z.ZodType<Recipe> = z.object({
  id: Id,
  name: z.string().min(1).max(200),
  steps: z.array(StepSchema).max(100),
});
