import { describe, expect, it } from 'vitest';
import { edgeStep } from './carry';

describe('days below a hand that carries a block', () => {
  const seen = { top: 100, bottom: 700 };

  it('lie still in the middle', () => {
    for (const y of [160, 300, 400, 640]) expect(edgeStep(y, seen)).toBe(0);
  });

  it('go by at the edges, the nearer the faster, up and down alike', () => {
    const steps = [650, 660, 680, 700].map(y => edgeStep(y, seen));
    expect(steps.every(s => s > 0)).toBe(true);
    expect(steps).toEqual(steps.toSorted((a, b) => a - b));
    expect(new Set(steps).size).toBe(4);
    for (const y of [655, 680, 699]) expect(edgeStep(800 - y, seen) + edgeStep(y, seen)).toBe(0);
  });

  it('are no faster for a hand far outside', () => {
    expect(edgeStep(5000, seen)).toBe(edgeStep(700, seen));
    expect(edgeStep(-5000, seen)).toBe(edgeStep(100, seen));
  });

  it('lie still where the window is so low that both edges are near', () => {
    expect(edgeStep(120, { top: 100, bottom: 140 })).toBe(0);
  });
});
