import { describe, expect, it } from 'vitest';
import { outcome } from '../core/plan/outcome';
import { PAD, plan as planned } from '../core/plan/testing/pad';
import { linesOf, offBy } from './resultLines';

// The round pad of the model's worked example, ⌀ 400 mm laid 597.0 mm of 259.1 g. Reckoned by hand for a pad that came out
// 403 × 391 mm, 8.4 mm thick, of 251 g.
const plan = planned(PAD);
const result = { readings: { A: 403, B: 391 }, grams: 251, thicknessMm: 8.4, finishedAt: null, fit: null };
const lines = linesOf(plan, outcome(plan.form, result, 259.1), { result, units: 'metric', laidG: 259.1 });
const line = (name: string) => {
  const found = lines.find(l => l.name === name);
  if (!found) throw new Error(name);
  return found;
};

describe('plan against result, line by line', () => {
  it('is what one reckons by hand', () => {
    // 1 − 403/597.015, 1 − 391/597.015, 251/(π/4 · 0.403 · 0.391), that over 8.4 mm, 251/259.1.
    expect(line('shrinkage lengthwise').came).toBeCloseTo(0.32498, 4);
    expect(line('shrinkage crosswise').came).toBeCloseTo(0.34508, 4);
    expect(line('weight per area').came).toBeCloseTo(2028.1, 0);
    expect(line('firmness').came).toBeCloseTo(0.24144, 4);
    expect(line('wool that stayed').came).toBeCloseTo(0.96874, 4);
    expect(line('A, lengthwise')).toMatchObject({ planned: 400, came: 403 });
    expect(line('thickness')).toMatchObject({ planned: 8, came: 8.4 });
  });

  it('tells how far off each is: points for shares, per cent for the rest', () => {
    expect(offBy(line('shrinkage crosswise'))).toBe('+2 pts');
    expect(offBy(line('shrinkage lengthwise'))).toBe('−1 pts');
    expect(offBy(line('B, crosswise'))).toBe('−2 %');
    expect(offBy(line('thickness'))).toBe('+5 %');
    expect(offBy(line('wool that stayed'))).toBe('');
  });

  it('says how each figure was worked out, with its inputs', () => {
    expect(line('shrinkage lengthwise').why).toBe('A: (59.7 cm laid − 40.3 cm dry) ÷ laid.');
    expect(line('wool that stayed').why).toBe('Dry weight 251.0 g ÷ 259.1 g laid.');
    expect(line('weight per area').why).toContain('÷ finished area 1238 cm²');
    expect(line('firmness').why).toMatch(/^Weight per area 2028 g\/m² ÷ thickness 8.4 mm\.$/);
    expect(line('thickness').why).toBeUndefined();
    const unmeasured = { ...result, readings: { A: null, B: null } };
    const none = linesOf(plan, outcome(plan.form, unmeasured, 259.1), {
      result: unmeasured,
      units: 'metric',
      laidG: 259.1,
    });
    expect(none.find(l => l.name === 'shrinkage lengthwise')).toMatchObject({
      came: null,
      why: 'No line in this direction was measured dry.',
    });
  });
});
