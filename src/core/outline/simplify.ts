import { simplifyPathsD } from 'clipper2-ts';
import { MOST_DRAWN_POINTS, THINNED_MM } from '../tolerances';
import type { Polygon } from './polygon';

/**
 * A closed outline with no more points than can be edited: points that move it by less than the tolerance are left
 * out, and the tolerance grows until few enough are left.
 * @param outline mm  @param toleranceMm how far it may move at least
 * @returns a part of the same points, in order
 */
export const simplify = (outline: Polygon, toleranceMm: number = THINNED_MM): Polygon => {
  const points = outline.map(p => ({ x: p.x, y: p.y }));
  for (let tolerance = toleranceMm; ; tolerance *= 2) {
    const [thinned = points] = simplifyPathsD([points], tolerance);
    if (thinned.length <= MOST_DRAWN_POINTS) return thinned.map(p => ({ x: p.x, y: p.y }));
  }
};
