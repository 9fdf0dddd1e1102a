import { dequal } from 'dequal';
import { type ShrinkageReading, shrinkageLearner } from '../core/learning/expectedShrinkage';

type Learnt = {
  readonly shown: readonly ShrinkageReading[];
  readonly ask: ReturnType<typeof shrinkageLearner>;
};

/** What was learnt last from all pieces and swatches, kept while no record changed: many wools ask at once. */
export const makeLearner = () => {
  let last: { readonly of: readonly unknown[]; readonly learnt: Learnt } | null = null;
  return (of: readonly unknown[], shown: () => readonly ShrinkageReading[]): Learnt => {
    if (last && of.length === last.of.length && of.every((v, i) => v === last?.of[i])) return last.learnt;
    const all = shown();
    // A piece that was rolled on, or renamed, tells nothing new.
    const learnt =
      last && dequal(last.learnt.shown, all) ? last.learnt : { shown: all, ask: shrinkageLearner(all) };
    last = { of, learnt };
    return learnt;
  };
};

export type Learner = ReturnType<typeof makeLearner>;
