/** One stage of a class: what is shown before it, and how long beginners are at it. */
export interface ClassStage<S extends string> {
  readonly stage: S;
  /** Minutes after the class begins. */
  readonly fromMin: number;
  /** What the teacher shows and tells first, min. */
  readonly pauseMin: number;
  readonly workMin: number;
  readonly toMin: number;
}

/** Beginners take about twice the maker's own time. Common practice. */
export const BEGINNERS_SLOWER = 2;
/** A class is told in steps of so many minutes. */
const STEP_MIN = 5;

/**
 * The stages of a class one after the other: the teacher shows, then all work. Rounded up to five minutes.
 * @param stages what the maker takes for each, min, ≥ 0, in order
 * @param of.slower how much longer beginners take, > 0  @param of.pauseMin before each stage, ≥ 0
 * @example timetable([{ stage: 'lay', minutes: 20 }], { slower: 2, pauseMin: 10 }) // one stage, 0 to 50 min
 */
export const timetable = <S extends string>(
  stages: ReadonlyArray<{ readonly stage: S; readonly minutes: number }>,
  of: { readonly slower: number; readonly pauseMin: number },
): ReadonlyArray<ClassStage<S>> => {
  let fromMin = 0;
  return stages
    .filter(s => s.minutes > 0)
    .map(({ stage, minutes }) => {
      const workMin = Math.ceil((minutes * of.slower) / STEP_MIN) * STEP_MIN;
      const made = { stage, fromMin, pauseMin: of.pauseMin, workMin, toMin: fromMin + of.pauseMin + workMin };
      fromMin = made.toMin;
      return made;
    });
};
