import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Hanger, hangOut } from './hangers';
import { fitView, RULER_PX, toScreen } from './view';

const anyBox = fc
  .record({
    x: fc.double({ min: -500, max: 500, noNaN: true }),
    y: fc.double({ min: -500, max: 500, noNaN: true }),
    w: fc.double({ min: 20, max: 3000, noNaN: true }),
    h: fc.double({ min: 20, max: 3000, noNaN: true }),
  })
  .map(({ x, y, w, h }) => ({ minX: x, minY: y, maxX: x + w, maxY: y + h }));
const anySize = fc.record({
  width: fc.integer({ min: 390, max: 2000 }),
  height: fc.integer({ min: 300, max: 1200 }),
});

describe('the view of the table', () => {
  it('shows the whole piece clear of the rulers, to one scale both ways', () => {
    fc.assert(
      fc.property(anyBox, anySize, (box, size) => {
        const view = fitView(box, size);
        const [a, b] = [
          toScreen(view, { x: box.minX, y: box.minY }),
          toScreen(view, { x: box.maxX, y: box.maxY }),
        ];
        expect(a.x).toBeGreaterThanOrEqual(RULER_PX);
        expect(a.y).toBeGreaterThanOrEqual(RULER_PX);
        expect(b.x).toBeLessThanOrEqual(size.width + 1e-6);
        expect(b.y).toBeLessThanOrEqual(size.height + 1e-6);
        expect((b.x - a.x) / (box.maxX - box.minX)).toBeCloseTo((b.y - a.y) / (box.maxY - box.minY), 9);
      }),
    );
  });

  it('does not blow a small piece up beyond eight times its size', () => {
    expect(fitView({ minX: 0, minY: 0, maxX: 5, maxY: 5 }, { width: 1600, height: 1200 }).pxPerMm).toBe(8);
  });
});

describe('figures that hang off the drawing', () => {
  const box = { minX: -200, minY: -300, maxX: 200, maxY: 300 };
  const hanger = (id: string, y: number, side: Hanger['side']): Hanger => ({
    id,
    at: { x: 0, y },
    side,
    node: null,
  });

  it('stand in a column on their side, in the order of their points, none over another', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            y: fc.double({ min: -300, max: 300, noNaN: true }),
            side: fc.constantFrom('left' as const, 'right' as const),
          }),
          { maxLength: 10 },
        ),
        points => {
          const view = fitView(box, { width: 900, height: 760 });
          const hung = hangOut(
            points.map((p, i) => hanger(String(i), p.y, p.side)),
            view,
            box,
          );
          expect(hung).toHaveLength(points.length);
          for (const side of ['left', 'right'] as const) {
            const column = hung.filter(h => h.side === side);
            for (const [i, h] of column.entries()) {
              const before = column[i - 1];
              expect(h.y - (before?.y ?? -100)).toBeGreaterThanOrEqual(53.9);
              expect(h.from.y).toBeGreaterThanOrEqual(before?.from.y ?? -1e9);
            }
            const edge = toScreen(view, { x: side === 'right' ? box.maxX : box.minX, y: 0 }).x;
            for (const h of column) expect(side === 'right' ? h.edge > edge : h.edge < edge).toBe(true);
          }
        },
      ),
    );
  });
});
