import { describe, expect, it } from 'vitest';
import { arealNow, densityOf } from './feltNow';

describe('firmness at the bench', () => {
  it('of the pad of the model’s check: 925.6 g/m² laid, shrunk by a third, 8 mm thick, is 0.25', () => {
    // g1 = η·g0/((1 − sx)(1 − sy)) = 0.97 · 925.6/0.67² = 2000 g/m²; 2000/(1000 · 8) = 0.25 g/cm³ (exact arithmetic).
    const gsm = arealNow(925.6, 0.97, { along: 0.67, across: 0.67 });
    expect(gsm).toBeCloseTo(2000, 0);
    expect(densityOf(gsm, 8)).toBeCloseTo(0.25, 4);
  });
});
