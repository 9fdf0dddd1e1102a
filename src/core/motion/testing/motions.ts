import { seeded } from '../../numeric/random';
import { type MotionPlace, type MotionSample } from '../motion';
import { type MotionDoing, motionOf, type MotionScene } from '../motionScene';
import { type RollCount, rollCounter } from '../rollCounter';

/** Counts what was made up. @param endMs when the rolling ended  @returns the count in the end, and when the first was shown and it was seen to stop, ms */
export const countedIn = (
  place: MotionPlace,
  samples: readonly MotionSample[],
  endMs = Number.POSITIVE_INFINITY,
) => {
  const counter = rollCounter(place);
  let [first, stopped]: [number | null, number | null] = [null, null];
  let last: RollCount = counter.now();
  for (const [i, sample] of samples.entries()) {
    counter.take(sample);
    if (i % 5 !== 0) continue;
    last = counter.now();
    if (first === null && last.rolls > 0) first = sample.atMs;
    if (stopped === null && sample.atMs > endMs && !last.isRolling) stopped = sample.atMs;
  }
  return { count: counter.now(), firstMs: first, stoppedMs: stopped };
};

/** Figures of many sets in one place. */
export interface MotionFigures {
  readonly sets: number;
  /** Within one roll, or 3 %. */
  readonly within: number;
  readonly exact: number;
  readonly sure: number;
  readonly sureWrong: number;
  readonly first90S: number;
  readonly stop90S: number;
}

const at90 = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(0.9 * values.length)] ?? Number.NaN;

/** Counts so many made-up sets of 20 to 100 rolls. @param seed of the first; others follow */
export const motionFigures = (
  place: MotionPlace,
  { seed, sets }: { readonly seed: number; readonly sets: number },
  more: Partial<MotionScene> = {},
): MotionFigures => {
  const tried = Array.from({ length: sets }, (_, i) => {
    const rolls = 20 + Math.floor(81 * seeded(seed + i + 5)());
    const scene: MotionScene = { place, rolls, seed: seed + i, ...more };
    const { samples, rolling } = motionOf(scene);
    const endMs = rolling.at(-1)?.toMs ?? 0;
    const { count, firstMs, stoppedMs } = countedIn(place, samples, endMs);
    const off = count.rolls - scene.rolls;
    return {
      off,
      isWithin: Math.abs(off) <= Math.max(1, 0.03 * scene.rolls),
      isSure: count.doubts.length === 0,
      first: ((firstMs ?? 1e6) - (rolling[0]?.fromMs ?? 0)) / 1000,
      stop: ((stoppedMs ?? 1e6) - endMs) / 1000,
    };
  });
  return {
    sets,
    within: tried.filter(t => t.isWithin).length,
    exact: tried.filter(t => t.off === 0).length,
    sure: tried.filter(t => t.isSure).length,
    sureWrong: tried.filter(t => t.isSure && !t.isWithin).length,
    first90S: at90(tried.map(t => t.first)),
    stop90S: at90(tried.map(t => t.stop)),
  };
};

/** Rolls counted by mistake a minute, while something else is done. */
export const falseCounts = (
  place: MotionPlace,
  doing: MotionDoing,
  { seed, walks = 20 }: { readonly seed: number; readonly walks?: number },
): number => {
  let [rolls, minutes] = [0, 0];
  for (let n = seed; n < seed + walks; n += 1) {
    const { samples } = motionOf({ place, rolls: 0, seed: n, around: [doing, 'still', doing, doing] });
    rolls += countedIn(place, samples).count.rolls;
    minutes += (samples.at(-1)?.atMs ?? 0) / 60_000;
  }
  return rolls / minutes;
};
