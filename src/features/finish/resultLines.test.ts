import { describe, expect, it } from 'vitest';
import { bottleSleeve } from '../../core/forms/kinds/bottleSleeve';
import { makePlan } from '../../core/plan/makePlan';
import { outcome } from '../../core/plan/outcome';
import { newPlan } from '../../core/plan/newPlan';
import { linesOf, offBy } from './resultLines';

const made = makePlan(newPlan(bottleSleeve));
if (!made.ok) throw new Error('does not plan');
const plan = made.value;
const laid = plan.weigh?.total ?? Number.NaN;

const lines = (grams: number | null) => {
  const readings = Object.fromEntries(plan.form.gauges.map(g => [g.id, Number(g.wantedMm)]));
  const result = { readings, grams, thicknessMm: 3.5, finishedAt: null };
  return linesOf(plan, outcome(plan.form, result, laid), { result, units: 'metric', laidG: laid });
};

describe('plan against result, line by line', () => {
  it('a sleeve that came out as planned is off by nothing, in shares as in lengths', () => {
    const all = lines(0.97 * (plan.values.grams ?? Number.NaN));
    const compared = all.filter(l => l.planned !== null && l.came !== null);
    expect(compared.map(offBy)).toEqual(compared.map(l => (l.dimension === 'share' ? '±0 pts' : '±0 %')));
    expect(compared.map(l => l.name)).toContain('firmness');
  });

  it('says points for shares, per cent for the rest, and nothing for what was not measured', () => {
    const line = { name: '', planned: 0.33, came: 0.3, dimension: 'share' as const };
    expect(offBy(line)).toBe('−3 pts');
    expect(offBy({ ...line, planned: 400, came: 420, dimension: 'length' })).toBe('+5 %');
    expect(offBy({ ...line, came: null })).toBe('');
  });

  it('each figure that was worked out says how, with its inputs', () => {
    const why = Object.fromEntries(lines(60).map(l => [l.name, l.why]));
    expect(why['shrinkage along']).toContain('A: (');
    expect(why['shrinkage across']).toMatch(/^The mean of B: .* and C: /);
    expect(why['weight per area']).toContain('60.0 g');
    expect(why['weight per area']).toMatch(/\d+ % of the wool lies in the wall/);
    expect(why['wool that stayed']).toContain('laid');
    expect(why['thickness']).toBeUndefined();
  });
});
