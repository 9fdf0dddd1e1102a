import { z } from 'zod';
import { defineAct } from './actSpec';
import { TESTS } from './vocabulary';

/** A test with its grade, from 0; what each is called stands in `src/words/feltTests.ts`. */
export const feltTest = defineAct(
  z.object({
    kind: z.literal('test'),
    test: z.enum(TESTS),
    grade: z.number().int().min(0).max(9),
  }),
)({
  place: 'bench',
  words: ({ test, grade }, of) => of.testWords(test, grade),
  fold: (fold, { test, grade }) => {
    fold.tests[test] = grade;
    fold.workSinceTest[test] = 0;
  },
});
