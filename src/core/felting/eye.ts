import type { DrawingMark } from '../acts/vocabulary';
import { normal, type Random } from '../numeric/random';
import type { Gauge } from '../forms/formKind';
import { finishedMm, laidMm } from '../quantity';
import { drawingRange, type LogRange, meanRange } from './drawingRange';

/** A made-up piece is laid so long, mm: a finger on the drawing is a length. */
const LAID_MM = 500;
/** How far an eye is off, of the logarithm of length. */
export const EYE_SD = 0.03;

/**
 * The mark at which an eye sees the edge of a piece, by the mean of its lines.
 * @param seen log(L/laid) as it is seen  @param wanted the same of its target  @param laid how long it was laid, mm: a finger is more of a small piece
 */
export const markSeen = (seen: number, wanted: number, laid: number = LAID_MM): DrawingMark => {
  const target = laid * Math.exp(wanted);
  const mm = laid * Math.exp(seen);
  const gauge = gaugeFrom(0, wanted, laid);
  if (mm < 0.985 * target) return 'past';
  if (seen < drawingRange('finger', gauge).low) return 'on';
  if (seen < drawingRange('half', gauge).low) return 'finger';
  if (seen < drawingRange('half', gauge).high) return 'half';
  return seen < 0.065 * wanted ? 'inside' : 'dashed';
};

/** A line of a made-up piece. */
const gaugeFrom = (g: number, wanted: number, laid: number = LAID_MM): Gauge => ({
  id: String(g),
  name: '',
  directionDeg: g * 90,
  laidMm: laidMm(laid),
  wantedMm: finishedMm(laid * Math.exp(wanted)),
  from: { x: 0, y: 0 },
  to: { x: 1, y: 0 },
});

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/**
 * What an eye makes of some lines held against the drawing, as the model is told it.
 * @param truth log(L/laid) of each line  @param of.wanted the same of its target
 */
export const lookSeen = (
  truth: readonly number[],
  of: { readonly wanted: readonly number[]; readonly lines: readonly number[]; readonly random: Random },
): LogRange & { readonly of: readonly number[] } => {
  const at = (values: readonly number[]): number => mean(of.lines.map(g => values[g] ?? 0));
  const mark = markSeen(at(truth) + EYE_SD * normal(of.random), at(of.wanted));
  const ranges = of.lines.map(g => drawingRange(mark, gaugeFrom(g, of.wanted[g] ?? 0)));
  return { ...meanRange(ranges), of: of.lines };
};
