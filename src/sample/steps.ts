import type { Act, ActOf } from '../core/acts/act';
import type { FinishStep } from '../core/acts/finishSteps';
import type { RollDirection } from '../core/acts/vocabulary';
import type { Gauge } from '../core/forms/formKind';

/** A sample reading: shrinkage so far, along and across, as a tape would read it in whole millimetres. */
export const reading = (gauges: readonly Gauge[], along: number, across: number): Record<string, number> =>
  Object.fromEntries(
    gauges.map(g => [g.id, Math.round(g.laidMm * (1 - (g.directionDeg === 0 ? along : across)))]),
  );

/** An act of a made-up log; a measuring waits for the measuring lines of its piece. */
export type SampleStep = Act | ((gauges: readonly Gauge[]) => Act);

type SampleCushion = 'bubble' | 'mat' | 'bare';
export const roll = (
  directionDeg: RollDirection,
  rolls: number,
  { face = 1, cushion = 'bubble' }: { face?: number; cushion?: SampleCushion } = {},
): Act => ({
  kind: 'roll',
  face,
  directionDeg,
  rolls,
  cushion,
  pressure: 'arms',
});
export const wet = (face: number): Act => ({ kind: 'wet', face, water: 'hot' });
export const rub = (face: number, count = 40): Act => ({ kind: 'rub', face, count });
export const measure =
  (along: number, across: number): SampleStep =>
  gauges => ({ kind: 'measure', readings: reading(gauges, along, across) });
export const pinch = (grade: 0 | 1 | 2 | 3): Act => ({ kind: 'pinch', grade });
export const finish = (
  step: FinishStep,
  how: ActOf<'finish'>['how'],
  more: Partial<Pick<ActOf<'finish'>, 'water' | 'on' | 'air'>> = {},
): Act => ({ kind: 'finish', step, how, ...more });
/** Both directions, on each face. */
export const round = (rolls: number, faces: readonly number[], cushion: SampleCushion = 'bubble'): Act[] =>
  faces.flatMap(f => [roll(0, rolls, { face: f, cushion }), roll(90, rolls, { face: f, cushion })]);
