import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FINISH_STEPS, type FinishStep } from '../acts/finishSteps';
import type { ActOf } from '../acts/act';
import { formKind } from '../forms/kinds/registry';
import { logOf, roll } from '../log/testing/logs';
import { planOf } from '../plan/planOf';
import { PAD } from '../plan/testing/pad';
import { dryingBody } from './dryingBody';
import { dryingHours } from './dryingHours';
import { dryness } from './dryness';
import { brokenBy, finishOrder, reasonsFor } from './finishOrder';
import { nextLarger } from './fit';
import { finishState, progressOf, settledIn, waitsIn } from './finishState';
import { EXCLUDES, RULES } from './rules';
import { usualFinish } from './usualFinish';

const stepsOf = (chosen: readonly FinishStep[]): readonly FinishStep[] => {
  const order = finishOrder(chosen);
  if (!order.ok) throw new Error(order.clash.why);
  return order.steps;
};

describe('the order of finishing', () => {
  // Each rule is common practice; the trade's sayings are the reasons beside them.
  it.each(RULES)('$first comes before $next', ({ first, next, why, instead }) => {
    expect(stepsOf([next, first])).toEqual([first, next]);
    expect(brokenBy(next, [first, next], new Set()).map(r => r.first)).toContain(first);
    expect(brokenBy(next, [first, next], new Set([first]))).toEqual([]);
    expect(brokenBy(first, [first, next], new Set([next])).map(r => r.next)).toEqual([next]);
    // What is not meant to be done holds nothing up.
    expect(brokenBy(next, [next], new Set())).toEqual([]);
    expect(why.length + instead.length).toBeGreaterThan(20);
  });

  it.each(EXCLUDES)('$one and $other exclude each other, and that is said', ({ one, other, why }) => {
    expect(finishOrder([other, 'rinse', one])).toMatchObject({ ok: false, clash: { one, other, why } });
  });

  it('of any choice of steps breaks no rule, or names the two that exclude each other', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...FINISH_STEPS), { maxLength: 30 }), chosen => {
        const order = finishOrder(chosen);
        const clash = EXCLUDES.find(e => chosen.includes(e.one) && chosen.includes(e.other));
        expect(order.ok).toBe(!clash);
        if (!order.ok) return;
        expect(new Set(order.steps)).toEqual(new Set(chosen));
        expect(order.steps).toHaveLength(new Set(chosen).size);
        order.steps.forEach((step, i) => {
          expect(brokenBy(step, order.steps, new Set(order.steps.slice(0, i)))).toEqual([]);
        });
      }),
      { numRuns: 500 },
    );
  });

  it('tells rules that run in a circle instead of hanging', () => {
    const circle = [
      { first: 'glue', next: 'sew' },
      { first: 'sew', next: 'glue' },
    ] as const;
    expect(() => finishOrder(['glue', 'sew'], circle)).toThrow('circle');
  });

  it('says what holds a step where it is', () => {
    expect(reasonsFor('glue', ['dry', 'glue', 'string']).map(r => [r.first, r.next])).toEqual([
      ['dry', 'glue'],
      ['glue', 'string'],
    ]);
  });
});

describe('hours until it is dry', () => {
  // Common practice, no published source: the four figures of docs/model-notes.md.
  it.each([
    ['4 mm in a room', { is: 'wall', thicknessMm: 4 }, 'room', 24, 24],
    ['balls of 25 mm over warm air, about a day', { is: 'round', diameterMm: 25 }, 'warm', 20, 28],
    ['a silk and wool scarf of 1 mm in the sun', { is: 'wall', thicknessMm: 1 }, 'sun', 1.7, 2.3],
    ['a bowl of 3 mm in a room, under a day', { is: 'wall', thicknessMm: 3 }, 'room', 12, 23.9],
  ] as const)('%s', (_, body, air, least, most) => {
    const hours = dryingHours(body, air);
    expect(hours).toBeGreaterThanOrEqual(least);
    expect(hours).toBeLessThanOrEqual(most);
  });

  it('are those of twice the wall where an edge is folded', () => {
    expect(dryingHours({ is: 'wall', thicknessMm: 3, isFolded: true }, 'cool')).toBe(
      dryingHours({ is: 'wall', thicknessMm: 6 }, 'cool'),
    );
  });

  it('go by the wall of the plan, or by the diameter of a ball', () => {
    const pad = planOf(PAD);
    const kind = formKind('ball');
    if (!kind.ok) throw new Error('no ball');
    const ball = planOf({ ...PAD, form: { ...PAD.form, kind: 'ball', measures: kind.value.defaults } });
    if (!pad.ok || !ball.ok) throw new Error('no plan');
    expect(dryingBody(pad.value, {})).toEqual({
      is: 'wall',
      thicknessMm: pad.value.values.thickness,
      isFolded: false,
    });
    expect(dryingBody(pad.value, { edges: 'folded' }, 5)).toEqual({
      is: 'wall',
      thicknessMm: 5,
      isFolded: true,
    });
    const { wantedMm = Number.NaN } = ball.value.form.gauges[0] ?? {};
    expect(dryingBody(ball.value, {})).toEqual({ is: 'round', diameterMm: expect.closeTo(wantedMm, 1) });
  });
});

describe('dry is when it weighs what it must', () => {
  const at = (hours: number, grams: number) => ({ atMs: hours * 3_600_000, grams });

  it('within two per cent of the plan, or below', () => {
    expect(dryness([at(0, 102)], 100)).toEqual({ is: 'dry', by: 'plan' });
    expect(dryness([at(0, 90)], 100)).toEqual({ is: 'dry', by: 'plan' });
    expect(dryness([at(0, 103)], 100)).toEqual({ is: 'wet', overG: 3 });
  });

  it('or two weighings an hour apart within one per cent, whatever the plan says', () => {
    expect(dryness([at(0, 110), at(1, 109)], 100)).toEqual({ is: 'dry', by: 'steady' });
    expect(dryness([at(0, 110), at(0.5, 109.9)], 100)).toEqual({ is: 'wet', overG: expect.closeTo(9.9, 6) });
    expect(dryness([at(0, 112), at(1, 109)], null)).toEqual({ is: 'wet', overG: null });
    // The one an hour before the last counts, not the last but one.
    expect(dryness([at(0, 110), at(0.9, 109.9), at(1, 109.8)], null)).toEqual({ is: 'dry', by: 'steady' });
  });

  it('and nothing is said without a weighing', () => {
    expect(dryness([], 100)).toEqual({ is: 'unknown' });
  });
});

describe('how it fits', () => {
  it('asks of the next one to be smaller or larger, or nothing', () => {
    // Common practice: two centimetres of a head of 57, 3.5 %.
    expect(2 / 57).toBeCloseTo(0.035, 3);
    expect([nextLarger('loose'), nextLarger('right'), nextLarger('tight')]).toEqual([-0.035, 0, 0.035]);
  });
});

describe('where finishing stands', () => {
  const finish = (step: FinishStep, how: ActOf<'finish'>['how'], more: Partial<ActOf<'finish'>> = {}) =>
    ({ kind: 'finish', step, how, ...more }) as const;

  it('follows rounds of rinsing, what waits and since when, and what it dries on', () => {
    const log = logOf(
      roll(0, 100),
      finish('rinse', 'again', { water: 'warm' }),
      finish('rinse', 'done', { water: 'cold' }),
      finish('soak', 'begun'),
      finish('soak', 'done'),
      finish('shape', 'done', { on: 'bowl' }),
      finish('dry', 'begun', { air: 'sun' }),
      finish('dry', 'weighed', { grams: 120 }),
    );
    const state = finishState(log, null, Date.parse);
    expect(progressOf(state, 'rinse')).toMatchObject({ how: 'done', rounds: 1 });
    expect([...settledIn(state)]).toEqual(['rinse', 'soak', 'shape']);
    expect(state).toMatchObject({ isBegun: true, on: 'bowl', air: 'sun' });
    expect(state.weighings.map(w => w.grams)).toEqual([120]);
    const since = Date.parse(log.find(e => e.act.kind === 'finish' && e.act.step === 'dry')?.at ?? '');
    expect(waitsIn(state, { dryH: 10, recipe: null, msOf: Date.parse })).toEqual([
      { step: 'dry', sinceMs: since, untilMs: since + 10 * 3_600_000 },
    ]);
    expect(waitsIn(state, { dryH: null, recipe: null, msOf: Date.parse })).toEqual([
      { step: 'dry', sinceMs: since, untilMs: null },
    ]);
  });

  it('waits as long as the recipe says that is followed', () => {
    const log = logOf(finish('soak', 'begun'));
    const recipe = { id: 'r', name: 'Ours', steps: [{ id: 's', act: 'soak', minutes: 20 }] };
    const minutes = (followed: typeof recipe | null): number => {
      const of = { dryH: null, recipe: followed, msOf: Date.parse };
      const [wait] = waitsIn(finishState(log, followed, Date.parse), of);
      return ((wait?.untilMs ?? 0) - (wait?.sinceMs ?? 0)) / 60_000;
    };
    expect([minutes(recipe), minutes(null)]).toEqual([20, 15]);
  });

  it('is over where the felt is worked again', () => {
    expect(finishState(logOf(finish('rinse', 'done'), roll(0, 20)), null, Date.parse).isBegun).toBe(false);
  });

  it('counts what a recipe ticked off, and what is cut dry', () => {
    const recipe = {
      id: 'r',
      name: 'Ours',
      steps: [
        { id: 's1', act: 'rinse' },
        { id: 's2', act: 'soak' },
      ],
    };
    const log = logOf(
      { kind: 'step', step: 's1', how: 'done' },
      { kind: 'step', step: 's2', how: 'started' },
      { kind: 'cutDry' },
    );
    expect([...settledIn(finishState(log, recipe, Date.parse))]).toEqual(['rinse', 'cutDry']);
    expect([...settledIn(finishState(log, null, Date.parse))]).toEqual(['cutDry']);
  });

  it('begins with what is usual for the form, or with what the recipe names', () => {
    const sheet = { solid: null, outlineIs: 'layout', faces: [] } as const;
    expect(stepsOf(usualFinish(sheet, { purpose: 'home', recipe: null }))).toEqual([
      'rinse',
      'soak',
      'rinseOut',
      'towel',
      'flat',
      'dry',
      'record',
    ]);
    expect(usualFinish({ ...sheet, outlineIs: 'resist' }, { purpose: 'wear', recipe: null })).toEqual(
      expect.arrayContaining(['shape', 'trimFuzz']),
    );
    const recipe = {
      id: 'r',
      name: 'Ours',
      steps: [
        { id: 's', act: 'roll' },
        { id: 't', act: 'rinse' },
      ],
    };
    expect(usualFinish(sheet, { purpose: 'home', recipe })).toEqual(['rinse', 'record']);
  });
});
