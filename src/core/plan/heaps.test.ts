import { describe, expect, it } from 'vitest';
import { ball } from '../forms/kinds/ball';
import { laySteps } from '../wool/layOrder';
import { pileList, pilesOfStep, woolNeeds } from '../wool/pileList';
import { wayOf } from '../ways/register';
import { layMethodOf } from './layMethodOf';
import { makePlan } from './makePlan';
import { newPlan } from './newPlan';
import type { PlanInput } from './planInput';

const dozen = (measures: Record<string, number>, more: Partial<PlanInput> = {}) => {
  const begun = newPlan(ball, { offer: { title: 'Ball', purpose: '', pieces: 12, measures } });
  const made = makePlan({ ...begun, ...more });
  if (!made.ok || !made.value.weigh) throw new Error('no plan');
  return { form: made.value.form, weigh: made.value.weigh };
};
const BALL = { diameter: 70, over: 0, cover: 5, coreGrams: 51 };
const WOOLS = { colours: [[{ woolId: 'fleece', share: 1 }], [{ woolId: 'kelp', share: 1 }]], woolId: 'oat' };

describe('heaps of solids alike', () => {
  it('are weighed for each where the scale can tell them, else together', () => {
    expect(dozen({ ...BALL, core: 1 }).weigh).toMatchObject({ times: 12, apart: [] });
    // A bead of 2 cm is 1 g by density: five steps of 0.1 g can be told, five of 1 g cannot.
    const bead = { diameter: 20, over: 0, core: 0, cover: 5 };
    expect(dozen(bead, { scaleStepG: 0.1 }).weigh.times).toBe(12);
    expect(dozen(bead, { scaleStepG: 1 }).weigh.times).toBe(1);
    expect(dozen({ ...BALL, core: 1 }, { heaps: 'together' }).weigh.times).toBe(1);
    // What an earlier build kept says neither: then they are together, as its weighings are.
    const { heaps: _left, ...earlier } = newPlan(ball, {
      offer: { title: 'Ball', purpose: '', pieces: 12, measures: BALL },
    });
    const made = makePlan(earlier);
    expect(made.ok && made.value.weigh?.times).toBe(1);
  });

  it('core and cover are of wools of their own', () => {
    const { weigh } = dozen({ ...BALL, core: 1 });
    const piles = pileList(weigh, WOOLS).filter(p => p.piece === 5);
    expect(piles.map(p => [p.face, p.woolId])).toEqual([
      ['core', 'fleece'],
      ['cover', 'kelp'],
    ]);
  });

  // Common practice: a dryer ball is a core of 51 g and a cover of 6 to 10 g.
  it('a core of 51 g leaves a cover of about a finger’s breadth of wool', () => {
    const { form, weigh } = dozen({ ...BALL, core: 3 });
    expect(form.solid?.apart).toEqual([{ name: 'core', grams: 51 }]);
    const cover = weigh.total;
    expect(cover).toBeGreaterThan(0);
    expect(cover).toBeLessThan(10);
    const needs = new Map(woolNeeds(weigh, WOOLS).map(n => [n.woolId, n.grams]));
    expect(needs.get('fleece')).toBe(12 * 51);
    expect(needs.get('kelp')).toBeCloseTo(weigh.take, 6);
  });

  it('the core is wadded or wound first, of its own pile, and wrapped in the cover', () => {
    const { form, weigh } = dozen({ ...BALL, core: 3 });
    const laid = layMethodOf(form, wayOf({}, form, 'stocking'));
    const piles = pileList(weigh, WOOLS);
    const steps = laySteps({ ...laid, layers: 1, order: 'all' }).map(step => [
      step.act,
      pilesOfStep(step, piles)
        .map(p => p.face)
        .join(' '),
    ]);
    expect(steps.slice(0, 2)).toEqual([
      ['wad', 'core'],
      ['wrap', 'cover'],
    ]);
  });
});
