import type { Act } from '../acts/act';
import { HOLE } from '../evenness/evenness';
import type { Point } from '../outline/polygon';
import type { LightReading, LitPlace } from './lightCheck';

/** The grade of the see-through test: even, pale spots, or holes where a place has hardly any. */
export const lightGrade = ({ places }: Pick<LightReading, 'places'>): number =>
  places.length === 0 ? 2 : places.some(p => p.share < HOLE) ? 0 : 1;

/**
 * What a reading writes down: the see-through test, and a thin spot for each place that is to be mended. Where
 * its turn cannot be told, a spot has no place.
 * @param chosen places to be mended  @param toPiece from the outline as it lies on the table into the piece's own frame, mm
 */
export const litActs = (
  reading: LightReading,
  chosen: readonly LitPlace[],
  toPiece: (at: Point) => Point,
): readonly Act[] => {
  return [
    { kind: 'test', test: 'light', grade: lightGrade(reading) },
    ...chosen.map((place): Act => {
      const { x, y } = toPiece(place.at);
      const at = { x: Math.round(x), y: Math.round(y) };
      return { kind: 'fault', fault: 'thin', at: reading.isTurnUnknown ? null : at };
    }),
  ];
};
