import { describe, expect, it } from 'vitest';
import { swatchOutcome } from './swatchOutcome';

const laid = { along: 200, across: 200, grams: 10 };

describe('a swatch', () => {
  it('20 cm of 10 g, dry 12.8 × 13.2 cm, 9.7 g, 3.1 mm: 36 and 34 %, 574 g/m², 0.185 g/cm³', () => {
    const o = swatchOutcome({ laid, result: { along: 128, across: 132, grams: 9.7, thicknessMm: 3.1 } });
    expect(o.arealLaid).toBeCloseTo(250, 9);
    expect([o.along, o.across]).toEqual([expect.closeTo(0.36, 12), expect.closeTo(0.34, 12)]);
    // 9.7 g over 0.128 × 0.132 m.
    expect(o.arealFinished).toBeCloseTo(9.7 / (0.128 * 0.132), 9);
    expect(o.firmness).toBeCloseTo(9.7 / (12.8 * 13.2 * 0.31), 9);
    expect(o.kept).toBeCloseTo(0.97, 12);
  });

  it('that was not weighed dry is taken to have kept its wool', () => {
    const o = swatchOutcome({ laid, result: { along: 100, across: 100, grams: null, thicknessMm: null } });
    expect(o.arealFinished).toBeCloseTo(1000, 9);
    expect([o.firmness, o.kept]).toEqual([null, null]);
  });

  it('measured one way says nothing of its area', () => {
    const o = swatchOutcome({ laid, result: { along: 150, across: null, grams: 10, thicknessMm: 3 } });
    expect(o.along).toBeCloseTo(0.25, 12);
    expect([o.across, o.arealFinished, o.firmness]).toEqual([null, null, null]);
  });
});
