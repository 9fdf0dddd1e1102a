import type { Act, ActOf } from '../../acts/act';
import type { RollDirection } from '../../acts/vocabulary';
import type { Gauge } from '../../forms/formKind';
import { finishedMm, laidMm } from '../../quantity';
import { type BenchState, benchState } from '../benchState';
import type { LogEntry } from '../entry';

/** When each entry of a log made here was written. */
export const AT = '2026-03-01T10:00:00.000Z';

/** A log of acts: entries e1, e2 and so on. */
export const logOf = (...acts: readonly Act[]): LogEntry[] =>
  acts.map((act, i) => ({ id: `e${i + 1}`, seq: i + 1, at: AT, act }));

/** Where the work stands after some acts. */
export const stateOf = (...acts: readonly Act[]): BenchState => benchState(logOf(...acts));

/** Rolls in snug bubble wrap under the weight of the arms: each counts as one. */
export const roll = (
  directionDeg: RollDirection,
  rolls: number,
  more: Partial<ActOf<'roll'>> = {},
): ActOf<'roll'> => ({
  kind: 'roll',
  face: 1,
  directionDeg,
  rolls,
  cushion: 'bubble',
  pressure: 'arms',
  ...more,
});
export const wet = (face = 1): Act => ({ kind: 'wet', face, water: 'hot' });
export const rub = (count: number, face = 1): Act => ({ kind: 'rub', face, count });
export const pinch = (grade: 0 | 1 | 2 | 3): Act => ({ kind: 'pinch', grade });
export const measure = (A: number | null, B: number | null): Act => ({ kind: 'measure', readings: { A, B } });
export const undo = (of: string): Act => ({ kind: 'undo', of });

/** A measuring line, mm; across where it is called B. */
export const gaugeOf = (id: string, laid: number, wanted: number): Gauge => ({
  id,
  name: id === 'B' ? 'width' : 'length',
  directionDeg: id === 'B' ? 90 : 0,
  laidMm: laidMm(laid),
  wantedMm: finishedMm(wanted),
  from: { x: 0, y: 0 },
  to: { x: 1, y: 0 },
});
