import { describe, expect, it } from 'vitest';
import { type Dash, radialDashes, strewnDashes } from './fibreDashes';

const BOX = { minX: -200, minY: -100, maxX: 200, maxY: 300 };
const angle = ([a, b]: Dash): number => Math.atan2(b.y - a.y, b.x - a.x);
const middle = ([a, b]: Dash) => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

describe('drawn fibres', () => {
  it('of a radial layer point away from the middle', () => {
    const dashes = radialDashes(BOX, 9, 36);
    expect(dashes.length).toBeGreaterThan(100);
    const off = dashes.map(d => {
      const m = middle(d);
      return Math.abs(Math.sin(angle(d) - Math.atan2(m.y - 100, m.x - 0)));
    });
    expect(Math.max(...off)).toBeLessThan(1e-9);
  });

  it('of a strewn layer lie every way, over the whole box, the same each time', () => {
    const dashes = strewnDashes(BOX, 9, 36);
    expect(dashes).toEqual(strewnDashes(BOX, 9, 36));
    // No way is preferred: the mean of the doubled angle is near nothing.
    const mean = (f: (a: number) => number): number =>
      dashes.reduce((sum, d) => sum + f(2 * angle(d)), 0) / dashes.length;
    expect(Math.hypot(mean(Math.cos), mean(Math.sin))).toBeLessThan(3 / Math.sqrt(dashes.length));
    const quarters = new Set(dashes.map(d => `${middle(d).x > 0}${middle(d).y > 100}`));
    expect(quarters.size).toBe(4);
  });
});
