import { describe, expect, it } from 'vitest';
import { CUSHIONS } from '../acts/vocabulary';
import { usualCushion } from './cushioning';

describe('the cushion', () => {
  it('grows thinner on the way, from thick to a bare mat', () => {
    expect(usualCushion(null)).toBe('thick');
    const way = [-0.1, 0, 0.1, 0.3, 0.5, 0.7, 0.8, 1.1].map(usualCushion);
    const order = way.map(c => CUSHIONS.indexOf(c));
    expect(order).toEqual(order.toSorted((a, b) => a - b));
    expect(new Set(way).size).toBe(4);
  });
});
