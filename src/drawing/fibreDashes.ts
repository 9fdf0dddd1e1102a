import { seeded } from '../core/numeric/random';
import type { Box, Point } from '../core/outline/polygon';

/** A stroke of fibre on the drawing, mm. */
export type Dash = readonly [Point, Point];

const dash = (at: Point, angle: number, length: number): Dash => {
  const [dx, dy] = [(Math.cos(angle) * length) / 2, (Math.sin(angle) * length) / 2];
  return [
    { x: at.x - dx, y: at.y - dy },
    { x: at.x + dx, y: at.y + dy },
  ];
};

/**
 * Fibres from the middle of a box outwards, in rings as far apart as rows of a layer that lies one way.
 * @param gapMm between neighbours, mm, > 0  @param lengthMm of a stroke, mm
 */
export const radialDashes = (box: Box, gapMm: number, lengthMm: number): readonly Dash[] => {
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const reach = Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2;
  const dashes: Dash[] = [];
  for (let k = 0; (k + 0.5) * lengthMm < reach; k += 1) {
    const radius = (k + 0.75) * lengthMm;
    const n = Math.max(4, Math.round((2 * Math.PI * radius) / (2 * gapMm)));
    for (let i = 0; i < n; i += 1) {
      const angle = (2 * Math.PI * (i + (k % 2) / 2)) / n;
      dashes.push(
        dash(
          { x: middle.x + radius * Math.cos(angle), y: middle.y + radius * Math.sin(angle) },
          angle,
          0.8 * lengthMm,
        ),
      );
    }
  }
  return dashes;
};

const SEED = 7;

/** Fibres that lie every way, one in each cell of a grid over a box; the same box gives the same ones. */
export const strewnDashes = (box: Box, gapMm: number, lengthMm: number): readonly Dash[] => {
  const random = seeded(SEED);
  const cell = 2 * gapMm;
  const [columns, rows] = [(box.maxX - box.minX) / cell, (box.maxY - box.minY) / cell].map(Math.ceil);
  return Array.from({ length: (columns ?? 0) * (rows ?? 0) }, (_, i) =>
    dash(
      {
        x: box.minX + ((i % (columns ?? 1)) + random()) * cell,
        y: box.minY + (Math.floor(i / (columns ?? 1)) + random()) * cell,
      },
      2 * Math.PI * random(),
      0.8 * lengthMm,
    ),
  );
};
