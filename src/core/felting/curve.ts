import type { LogEntry } from '../log/entry';
import type { FormForModel } from './feltingRecordOf';
import { feltingRecordOf } from './feltingRecordOf';
import {
  type Prior,
  GENERAL_PRIOR,
  grow,
  lineAt,
  logLength,
  parametersOf,
  stretchOf,
  ZERO,
} from './feltingModel';

/** A point of the curve of a piece: work done, reference rolls, and length as a share of the laid one. */
export interface CurvePoint {
  readonly work: number;
  readonly share: number;
}

/** How each gauge shrank under work, as it was read: from laid, a point a measuring. */
export const readCurves = (
  log: readonly LogEntry[],
  formed: FormForModel,
): ReadonlyArray<readonly CurvePoint[]> => {
  const { intervals } = feltingRecordOf(log, formed, GENERAL_PRIOR);
  let work = 0;
  const points = formed.gauges.map((): CurvePoint[] => [{ work: 0, share: 1 }]);
  for (const interval of intervals) {
    work += interval.work.directional + interval.work.free;
    interval.read.forEach((r, g) => {
      if (r !== null) points[g]?.push({ work, share: Math.exp(r) });
    });
  }
  return points;
};

/** One curve of a piece: the mean of its gauges wherever all of them were read. */
export const meanCurve = (curves: ReadonlyArray<readonly CurvePoint[]>): readonly CurvePoint[] => {
  const [first = []] = curves;
  return first.flatMap(({ work }) => {
    const own = curves.flatMap(c => c.filter(p => p.work === work));
    return own.length === curves.length
      ? [{ work, share: own.reduce((sum, p) => sum + p.share, 0) / own.length }]
      : [];
  });
};

/**
 * How a felt as it is believed to be would shrink under balanced work.
 * @param most reference rolls to draw it to, > 0
 */
export const priorCurve = (belief: Prior, most: number, points = 40): readonly CurvePoint[] => {
  const p = parametersOf(belief.mean);
  return Array.from({ length: points + 1 }, (_, i) => {
    const work = (most * i) / points;
    const even = { directional: work, free: 0, xx: work / 2, xy: 0, yy: work / 2, guessed: 0 };
    const stretch = stretchOf(grow(ZERO, even, { share: p.share, vigour: 1 }), { ...p, bias: 0 });
    return { work, share: Math.exp(logLength(stretch, lineAt(0))) };
  });
};

/** Where a piece is to end, as the mean of its lines; and how much work it has had, reference rolls. */
export const curveEnds = (
  log: readonly LogEntry[],
  formed: FormForModel,
): { readonly wanted: number; readonly done: number } => {
  const { intervals, since } = feltingRecordOf(log, formed, GENERAL_PRIOR);
  const done = [...intervals.map(i => i.work), since].reduce((sum, w) => sum + w.directional + w.free, 0);
  const shares = formed.gauges.map(g => g.wantedMm / g.laidMm);
  return { wanted: shares.reduce((sum, s) => sum + s, 0) / Math.max(1, shares.length), done };
};
