import { describe, expect, it } from 'vitest';
import { firmnessRange } from './firmnessRange';
import { PAD } from './testing/pad';

const came = (grams: number | null) => ({
  plan: PAD,
  result: { readings: { A: 400, B: 400 }, grams, thicknessMm: 8 },
});

describe('how firm finished pieces came out', () => {
  it('is least and most: 251.3 g on 0.12566 m², 8 mm thick, is 0.25 g/cm³', () => {
    expect(firmnessRange([came(251.3), came(201), came(null)])).toEqual([
      expect.closeTo(201 / (0.125_664 * 8000), 4),
      expect.closeTo(0.25, 3),
    ]);
  });

  it('is not known where nothing was weighed dry', () => {
    expect(firmnessRange([came(null)])).toBeNull();
    expect(firmnessRange([])).toBeNull();
  });
});
