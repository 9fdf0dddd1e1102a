import type { Box, Point } from '../outline/polygon';
import { finishedMm, laidMm } from '../quantity';
import type { Gauge, LayingTransform } from './formKind';

/** A measuring line from its wanted length: laid longer by the factor of its direction. */
export const gaugeLine = (
  of: {
    readonly id: string;
    readonly name: string;
    readonly axis: 'along' | 'across';
    readonly wanted: number;
  },
  { factor }: LayingTransform,
  [from, to]: readonly [Point, Point],
): Gauge => ({
  id: of.id,
  name: of.name,
  directionDeg: of.axis === 'along' ? 0 : 90,
  laidMm: laidMm(of.wanted * factor[of.axis]),
  wantedMm: finishedMm(of.wanted),
  from,
  to,
});

/** Finished length and width over all, mm. */
export interface OverAll {
  readonly along: number;
  readonly across: number;
}

export const overAll = (box: Box): OverAll => ({ along: box.maxX - box.minX, across: box.maxY - box.minY });

/** The two lines over all: A along, B across, through the middle of the laid outline's box. */
export const gaugesOverAll = (
  finished: OverAll,
  laid: Box,
  { laying, names }: { readonly laying: LayingTransform; readonly names: readonly [string, string] },
): Gauge[] => {
  const middle = { x: (laid.minX + laid.maxX) / 2, y: (laid.minY + laid.maxY) / 2 };
  const [along, across] = names;
  return [
    gaugeLine({ id: 'A', name: along, axis: 'along', wanted: finished.along }, laying, [
      { x: laid.minX, y: middle.y },
      { x: laid.maxX, y: middle.y },
    ]),
    gaugeLine({ id: 'B', name: across, axis: 'across', wanted: finished.across }, laying, [
      { x: middle.x, y: laid.minY },
      { x: middle.x, y: laid.maxY },
    ]),
  ];
};
