import { z } from 'zod';
import { ActSchema } from '../core/acts/act';
import { JUDGES, TESTS } from '../core/acts/vocabulary';
import type { Goal } from '../core/rehearsal/goal';
import { piecePlanSchema } from './piece';

const Share = z.number().min(-1).max(10);
const Words = z.string().min(1).max(600);

const GoalSchema: z.ZodType<Goal> = z.lazy(() =>
  z.discriminatedUnion('is', [
    z.object({ is: z.literal('done'), act: z.string().min(1).max(40), least: z.number().min(0).max(1e5) }),
    z.object({ is: z.literal('tested'), test: z.enum([...TESTS, 'pinch']), least: z.number().min(0).max(9) }),
    z.object({ is: z.literal('skin'), least: Share }),
    z.object({ is: z.literal('way'), least: Share, most: Share }),
    z.object({ is: z.literal('even'), most: Share }),
    z.object({ is: z.literal('area'), least: Share, most: Share }),
    z.object({ is: z.literal('opened'), least: Share, most: Share }),
    z.object({ is: z.literal('caught'), fault: z.string().min(1).max(40) }),
    z.object({ is: z.literal('sound') }),
    z.object({ is: z.literal('all'), of: z.array(GoalSchema).min(1).max(8) }),
  ]),
);

/** One thing to learn on a made-up piece: a start, what is said on the way, and what shows that it was seen. A teacher may write another. */
export const LessonSchema = z.object({
  kind: z.literal('lesson'),
  version: z.literal(1),
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  title: z.string().min(1).max(80),
  /** What it is about, in a sentence or two. */
  about: Words,
  plan: piecePlanSchema,
  judge: z.enum(JUDGES),
  /** With the log it decides all of the felt. */
  seed: z.number().int().min(0).max(4_294_967_295),
  /** What can go wrong by itself. */
  faults: z.array(z.string().min(1).max(40)).max(20).readonly(),
  /** At which share of its way it is firm; about 0.95 when left out. */
  firmAt: z.number().min(0.2).max(3).exactOptional(),
  /** What was done before the lesson begins. */
  done: z.array(ActSchema).max(200).readonly(),
  /** What is said, one after the other: each until its goal is met. */
  steps: z
    .array(z.object({ says: Words, until: GoalSchema }))
    .min(1)
    .max(12),
  /** What is said at the end, by whether its goal is met then. */
  shows: z
    .array(z.object({ goal: GoalSchema, good: Words, bad: Words }))
    .min(1)
    .max(6),
});

export type Lesson = z.infer<typeof LessonSchema>;
