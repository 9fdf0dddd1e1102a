import { useEffect, useState } from 'react';
import { minutesLeft, recipeProgress } from '../../core/recipe/recipe';
import { nowMs } from '../../session/clock';
import type { PieceStage } from '../../session/pieceStage';
import type { Bench } from '../../session/useBench';
import { Button } from '../../ui/Button';
import { recipeWords } from './recipeWords';

const LOOKS_MS = 5000;

/** Minutes that are left of a clock, looked at now and then. */
const Clock = ({ minutes, startedMs }: { readonly minutes: number; readonly startedMs: number }) => {
  const [now, setNow] = useState(nowMs);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMs()), LOOKS_MS);
    return () => clearInterval(timer);
  }, []);
  const left = minutesLeft(minutes, startedMs, now);
  return (
    <span role="timer" className="font-semibold">
      {left > 0 ? `${left} min left` : 'time is up'}
    </span>
  );
};

/** The recipe that is followed: its next step, ticked as done or left out, free to depart from. */
export const RecipeStrip = (props: {
  readonly stage: PieceStage;
  readonly bench: Bench;
  readonly faces: number;
}) => {
  const { stage, bench, faces } = props;
  const { recipe } = stage.piece;
  if (!recipe) return null;
  const { next, done, startedMs } = recipeProgress(recipe, stage.ticks);
  const last = stage.ticks.at(-1);
  const tick = (how: 'done' | 'skipped' | 'started'): void => {
    if (next) void bench.log({ kind: 'step', step: next.id, how });
  };
  return (
    <section
      aria-label="Recipe"
      className="order-0 flex flex-wrap items-center gap-2 border-b border-rim pb-2"
    >
      <p className="min-w-52 flex-1 text-lg leading-tight">
        <span className="block text-[13px] text-chalk">
          {recipe.name}, {done} of {recipe.steps.length}
        </span>
        {next ? recipeWords(next, faces) : 'All of it is done.'}{' '}
        {next?.minutes && startedMs !== null && <Clock minutes={next.minutes} startedMs={startedMs} />}
      </p>
      {next?.minutes && startedMs === null && (
        <Button size="wet" data-steady onClick={() => tick('started')}>
          Start the clock
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
      {last && (
        <Button size="wet" look="bare" onClick={() => void bench.takeBack(last.id)}>
          Step back
        </Button>
      )}
    </section>
  );
};
