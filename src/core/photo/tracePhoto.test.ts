import { describe, expect, it } from 'vitest';
import { type Polygon, polygonArea } from '../outline/polygon';
import { ellipse } from '../outline/shapes';
import { tries } from '../numeric/testing/tries';
import { depthIn } from './depthField';
import { evenly } from './contour';
import { photoOf } from './scene';
import type { PhotoScene } from './sceneTable';
import { type TraceAsked, tracePhoto } from './tracePhoto';

/** A foot, as one stands on paper: 24 cm long, mm. */
const FOOT: Polygon = evenly(
  ellipse(240, 84).map(({ x, y }) => ({ x, y: y * (1 + 0.2 * Math.sin(x / 50)) + 0.0006 * x * x })),
  6,
);

/** How far a traced outline lies off the true one at most, mm, whichever way it was turned in the picture. */
const offOf = (traced: Polygon, truth: Polygon): number => {
  const box = (of: Polygon) => {
    const [xs, ys] = [of.map(p => p.x), of.map(p => p.y)];
    return { x: (Math.max(...xs) + Math.min(...xs)) / 2, y: (Math.max(...ys) + Math.min(...ys)) / 2 };
  };
  const turnedBy = (deg: number): number => {
    const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    const turned = traced.map(p => ({ x: c * p.x - s * p.y, y: s * p.x + c * p.y }));
    const [a, b] = [box(turned), box(truth)];
    return Math.max(...turned.map(p => Math.abs(depthIn(truth, { x: p.x - a.x + b.x, y: p.y - a.y + b.y }))));
  };
  return Math.min(...Array.from({ length: 360 }, (_, deg) => turnedBy(deg)));
};
const trace = (scene: Partial<PhotoScene>, asked: Partial<TraceAsked>) =>
  tracePhoto(
    photoOf({
      outline: FOOT,
      reference: 'a4',
      seed: 7006,
      longPx: 700,
      table: 'plain',
      tableColour: [0.3, 0.27, 0.24],
      ...scene,
    }).pixels,
    { reference: 'a4', what: 'flat', ...asked },
  );

describe('an outline traced from a picture', { timeout: 60_000 }, () => {
  it('of a thing that lies flat is within 3 mm all round, and 2 % of its area', () => {
    const got = trace({ thickMm: 0.5, felt: [0.6, 0.2, 0.15] }, {});
    const outline = got.ok ? got.value.outline : [];
    expect(outline.length).toBeGreaterThan(8);
    expect(polygonArea(outline) / polygonArea(FOOT)).toBeCloseTo(1, 1);
    expect(Math.abs(polygonArea(outline) / polygonArea(FOOT) - 1)).toBeLessThan(0.03);
    expect(offOf(outline, FOOT)).toBeLessThan(3);
  });

  it('of a line drawn on the sheet is the middle of the line', () => {
    for (const seed of [7003, 7004].slice(0, tries(1, 2))) {
      const got = trace({ isDrawn: true, seed, longPx: 900 }, { what: 'drawn' });
      const outline = got.ok ? got.value.outline : [];
      expect(Math.abs(polygonArea(outline) / polygonArea(FOOT) - 1)).toBeLessThan(0.02);
      expect(offOf(outline, FOOT)).toBeLessThan(2.5);
    }
  });

  it('is none where nothing lies there, and says what is missing where no sheet does', () => {
    const empty = trace({ outline: ellipse(12, 10), isDrawn: true }, { what: 'drawn' });
    expect(empty.ok ? '' : empty.issues[0]?.code).toBe('PHOTO_NO_PIECE');
    const bare = trace({ card: 'none' }, {});
    expect(bare.ok ? '' : bare.issues[0]?.code).toMatch(/PHOTO_/);
  });
});
