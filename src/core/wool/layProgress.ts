import type { LayStep } from './layOrder';

/** Stands in the log for every step at once: laid without ticking. */
export const WHOLE_LAYING = 'all';

/** Where the laying stands. */
export interface LayProgress {
  /** The step to do now; null when all are done or left out. */
  readonly next: LayStep | null;
  readonly done: number;
  readonly of: number;
}

/**
 * Where the laying stands, by the steps that were ticked off. A plan changed half-way brings back the steps it added, in
 * their place.
 * @param ticked ids of steps done or left out, as they stand in the log
 */
export const layProgress = (steps: readonly LayStep[], ticked: readonly string[]): LayProgress => {
  const known = new Set(ticked);
  const whole = known.has(WHOLE_LAYING);
  const done = whole ? steps.length : steps.filter(s => known.has(s.id)).length;
  return {
    next: whole ? null : (steps.find(s => !known.has(s.id)) ?? null),
    done,
    of: steps.length,
  };
};

/**
 * Faces that were wetted while they were laid. Whoever laid without ticking is asked at the bench.
 * @param ticks steps that stand in the log, done or left out
 */
export const wettedWhileLaid = (
  ticks: ReadonlyArray<{ readonly step: string; readonly how: 'done' | 'skipped' }>,
): readonly number[] => [
  ...new Set(
    ticks.flatMap(({ step, how }) => {
      const [act, face] = step.split('.');
      return act === 'wet' && how === 'done' ? [Number(face)] : [];
    }),
  ),
];
