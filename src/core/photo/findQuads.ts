import type { Light } from '../picture/pixels';
import { isSameQuad, type Quad, quadsOf } from './quads';
import { LENS } from './lens';
import type { ReferenceSize } from './references';
import { eyeLight, longEdges, opponentsOf, segmentsOf, slopesOf } from './segments';

const EDGES = 150;

/** Where a flat thing of a known size may lie in a picture, the likeliest first: by light and by colour. @param light made small, about 1 000 px long */
export const findQuads = (light: Light, size: ReferenceSize, focalPx?: number): readonly Quad[] => {
  const long = Math.max(light.width, light.height);
  const lens = {
    focalPx: focalPx ?? (LENS.focal35 / 36) * long,
    middle: { x: light.width / 2, y: light.height / 2 },
  };
  return [slopesOf(eyeLight(light)), slopesOf(opponentsOf(light), 2)]
    .flatMap(slopes => quadsOf(longEdges(segmentsOf(slopes), EDGES), { slopes, size, lens }))
    .toSorted((a, b) => b.score - a.score)
    .reduce((kept: Quad[], quad) => {
      if (!kept.some(other => isSameQuad(other, quad))) kept.push(quad);
      return kept;
    }, []);
};
