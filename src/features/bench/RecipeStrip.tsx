import { stepBack } from '../../core/recipe/following';
import { recipeStepWords } from '../../core/recipe/recipeSteps';
import { minutesLeft, type Recipe } from '../../core/recipe/recipe';
import type { Bench } from '../../session/useBench';
import { useNow } from '../../session/useNow';
import { Button } from '../../ui/Button';
import type { BenchStatus } from './useBenchStatus';

const LOOKS_MS = 5000;

/** Minutes that are left of a clock, looked at now and then. */
const Clock = ({ minutes, startedMs }: { readonly minutes: number; readonly startedMs: number }) => {
  const left = minutesLeft(minutes, startedMs, useNow(LOOKS_MS));
  return (
    <span role="timer" className="font-semibold">
      {left > 0 ? `${left} min left` : 'time is up'}
    </span>
  );
};

/** The recipe that is followed: its next step and what is left of it, to be ticked off or left out; free to depart from. */
export const RecipeStrip = (props: {
  readonly recipe: Recipe | null;
  readonly standing: BenchStatus;
  readonly bench: Bench;
}) => {
  const { recipe, bench, standing } = props;
  const { following, wording } = standing;
  if (!recipe || !following) return null;
  const { next, done, startedAt, left } = following;
  const back = stepBack(following);
  const tick = (how: 'done' | 'skipped' | 'started'): void => {
    if (next) void bench.log({ kind: 'step', step: next.id, how });
  };
  return (
    <section aria-label="Recipe" className="flex flex-wrap items-center gap-2 border-b border-rim pb-2">
      <p className="min-w-52 flex-1 text-lg leading-tight">
        <span className="block text-[13px] text-chalk">
          {recipe.name}, {done} of {recipe.steps.length}
        </span>
        {next ? recipeStepWords(next, wording.faces) : 'All steps are done.'}
        {left.length > 1 && `: ${left.length} left`}{' '}
        {next?.minutes && startedAt !== null && (
          <Clock minutes={next.minutes} startedMs={Date.parse(startedAt)} />
        )}
      </p>
      {next?.minutes && startedAt === null && (
        <Button size="wet" data-steady onClick={() => tick('started')}>
          Start the timer
        </Button>
      )}
      {next && (
        <>
          <Button size="wet" data-steady onClick={() => tick('done')}>
            Step done
          </Button>
          <Button size="wet" data-steady onClick={() => tick('skipped')}>
            Leave out
          </Button>
        </>
      )}
      {back && (
        <Button size="wet" look="bare" onClick={() => void bench.log(back)}>
          Step back
        </Button>
      )}
    </section>
  );
};
