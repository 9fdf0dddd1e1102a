import { describe, expect, it } from 'vitest';
import { normal, seeded } from '../numeric/random';
import type { Point } from '../outline/polygon';
import { box, ellipse } from '../outline/shapes';
import { bestLoop, evenly, movedOut, normalsOf } from './contour';
import { depthField, depthIn } from './depthField';
import { chordsOn, isReadable } from './gaugesRead';
import { logLikely, mixtureOf } from './mixture';
import { outlineDepth, type Placed, registerOn, toLaid, toTable, unturned } from './register';

describe('how deep in an outline a place lies', () => {
  it('is read from a grid as it is worked out, but for what lies between its cells', () => {
    const outline = ellipse(300, 180);
    const depth = depthField(outline, 2, 40);
    for (let i = 0; i < 600; i += 1) {
      const p = { x: 170 * Math.sin(1.7 * i), y: 115 * Math.cos(2.9 * i) };
      expect(Math.abs(depth(p) - depthIn(outline, p))).toBeLessThan(1);
    }
    expect(depth({ x: 900, y: 0 })).toBe(-40);
    expect(depthIn(box(100, 60), { x: 0, y: 20 })).toBeCloseTo(10, 9);
  });
});

describe('the best loop round a piece', () => {
  it('is the one that gains most of all there are, on small ones tried one by one', () => {
    const random = seeded(5);
    const [places, offsets, stiff] = [6, 3, 0.4];
    for (let n = 0; n < 30; n += 1) {
      const gains = Float32Array.from({ length: places * offsets }, () => normal(random));
      const worth = (path: ArrayLike<number>): number => {
        let sum = 0;
        for (let i = 0; i < places; i += 1) {
          const step = (path[i] ?? 0) - (path[(i + 1) % places] ?? 0);
          sum += (gains[i * offsets + (path[i] ?? 0)] ?? 0) - stiff * step * step;
        }
        return sum;
      };
      const most = Array.from({ length: offsets ** places }, (_, code) =>
        worth(Array.from({ length: places }, (_o, i) => Math.floor(code / offsets ** i) % offsets)),
      ).reduce((a, b) => Math.max(a, b));
      // Two rounds are not quite a loop: it may miss the very best by little.
      expect(worth(bestLoop(gains, offsets, stiff))).toBeGreaterThan(most - 0.2);
    }
  });

  it('runs evenly, and moves out by what it is told', () => {
    const ring = evenly(ellipse(200, 200), 5);
    const out = movedOut(
      ring,
      normalsOf(ring),
      ring.map(() => 7),
    );
    for (const p of out) expect(Math.hypot(p.x, p.y)).toBeCloseTo(107, 0);
    const steps = ring.map((p, i) => {
      const q = ring[(i + 1) % ring.length] ?? p;
      return Math.hypot(p.x - q.x, p.y - q.y);
    });
    expect(Math.max(...steps) - Math.min(...steps)).toBeLessThan(0.2);
  });
});

describe('what places look like', () => {
  it('is learnt as bells: two heaps are told apart, and what is between them belongs to the nearer', () => {
    const random = seeded(9);
    const looks = Float32Array.from(
      { length: 800 },
      (_, i) => (i % 4 < 2 ? -1 : 1) * ((i + 1) % 2) + 0.1 * normal(random),
    );
    const starts = Array.from({ length: 400 }, (_, i) => 2 * i);
    const both = mixtureOf(looks, starts, { figures: 2, bells: 2 });
    expect(both.bells.map(b => b.share).every(s => Math.abs(s - 0.5) < 0.1)).toBe(true);
    expect(logLikely(both, Float32Array.of(1, 0), 0)).toBeGreaterThan(
      logLikely(both, Float32Array.of(0, 0), 0) + 5,
    );
  });
});

const OUTLINE: readonly Point[] = [
  { x: 0, y: 0 },
  { x: 300, y: 0 },
  { x: 300, y: 120 },
  { x: 180, y: 160 },
  { x: 0, y: 240 },
];
const PLACED: Placed = {
  along: 0.8,
  across: 0.7,
  turnRad: 0.6,
  isMirrored: false,
  at: { x: 40, y: -25 },
  middle: { x: 150, y: 120 },
};

describe('an outline laid onto a rim', () => {
  it('lies where it was seen, shorter each way by what it has shrunk', () => {
    for (const isMirrored of [false, true]) {
      const truth = { ...PLACED, isMirrored };
      const rim = evenly(OUTLINE, 4).map(p => toTable(truth, p));
      const start = { ...truth, along: 0.75, across: 0.75, turnRad: 0.52, at: { x: 45, y: -20 } };
      const { placed, offMm } = registerOn(outlineDepth(OUTLINE), rim, start);
      expect(offMm).toBeLessThan(0.6);
      expect(placed.along).toBeCloseTo(0.8, 2);
      expect(placed.across).toBeCloseTo(0.7, 2);
      const p = { x: 100, y: 50 };
      const back = toLaid(placed, toTable(placed, p));
      expect(Math.hypot(back.x - p.x, back.y - p.y)).toBeLessThan(1e-9);
      // Turned back it lies as the plan does, only smaller.
      const flat = unturned(truth, toTable(truth, p));
      expect(flat.x).toBeCloseTo(150 - 0.8 * 50, 6);
      expect(flat.y).toBeCloseTo(120 - 0.7 * 70, 6);
    }
  });

  it('gives its lines their lengths: across the middle, and along the edge itself', () => {
    const lines = [
      { id: 'A', from: { x: 0, y: 60 }, to: { x: 300, y: 60 } },
      { id: 'B', from: { x: 0, y: 0 }, to: { x: 300, y: 0 } },
    ];
    const rim = evenly(OUTLINE, 3).map(p => toTable(PLACED, p));
    for (const chord of chordsOn(rim, PLACED, { outline: OUTLINE, lines }))
      expect(chord.mm).toBeCloseTo(240, 0);
    expect(lines.map(l => isReadable(OUTLINE, l))).toEqual([true, true]);
    expect(isReadable(OUTLINE, { id: 'C', from: { x: 100, y: 60 }, to: { x: 300, y: 60 } })).toBe(false);
  });
});
