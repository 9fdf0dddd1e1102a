import { describe, expect, it } from 'vitest';
import { normalCdf } from './normalCdf';

describe('the normal law', () => {
  // Standard tables of the normal distribution, from memory.
  it.each([
    [0, 0.5],
    [1, 0.841_344_7],
    [-1, 0.158_655_3],
    [1.96, 0.975_002_1],
    [-2.575_829, 0.005],
    [4, 0.999_968_3],
  ])('below %f lies %f', (z, share) => {
    expect(normalCdf(z)).toBeCloseTo(share, 6);
  });
});
