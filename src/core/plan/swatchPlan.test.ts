import { describe, expect, it } from 'vitest';
import { finishedRecords } from '../felting/finishedRecords';
import { logOf, roll } from '../log/testing/logs';
import { planOf } from './planOf';
import { swatchPlan } from './swatchPlan';

describe('a swatch as a plan', () => {
  const input = swatchPlan({ along: 200, across: 180, grams: 8, layers: 4 }, { along: 0.35, across: 0.3 });
  const plan = planOf(input);
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues));

  it('is laid as the swatch is, of its own weight, and reaches for no size', () => {
    expect(plan.value.form.gauges.map(g => Math.round(10 * g.laidMm) / 10)).toEqual([200, 180]);
    expect(plan.value.laidGramsEach).toBeCloseTo(8, 6);
    expect(plan.value.weigh?.faces[0]?.layers).toEqual([2, 2, 2, 2]);
    expect(plan.value.form.asItComes).toBe(true);
  });

  it('teaches with its log what work it took to come so far', () => {
    const result = { readings: { A: 130, B: 124 }, finishedAt: '2026-03-02T10:00:00.000Z' };
    const [record] = finishedRecords({ plan: input, result }, logOf(roll(0, 100), roll(90, 80)));
    expect(record?.intervals[0]?.work.directional).toBe(180);
    expect(Math.exp(record?.intervals[0]?.read[0] ?? 0)).toBeCloseTo(0.65, 6);
  });
});
