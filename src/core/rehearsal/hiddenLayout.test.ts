import { describe, expect, it } from 'vitest';
import { USUAL_HAND } from '../evenness/hand';
import { simulateLayout } from '../evenness/simulateLayout';
import { GENERAL_PRIOR } from '../felting/feltingModel';
import { FORM_KINDS } from '../forms/kinds/registry';
import type { LogEntry } from '../log/entry';
import { newPlan } from '../plan/newPlan';
import { planOf } from '../plan/planOf';
import { wayOf } from '../ways/register';
import type { Act } from '../acts/act';
import { pointsOf } from './curveOf';
import type { Hidden } from './hidden';
import { hiddenLayout, paleSpots } from './hiddenLayout';
import { rehearse } from './rehearse';
import { foamSeen, litPlaces, tested } from './senses';
import { shapeNow } from './sharesNow';
import { roll, wet } from './testing/acts';
import { tries } from '../numeric/testing/tries';

const planCalled = (title: string) => {
  const kind = FORM_KINDS.find(k => k.title === title);
  if (!kind) throw new Error(title);
  const plan = planOf({ ...newPlan(kind, { offer: kind }), pieces: 1 });
  if (!plan.ok) throw new Error(title);
  return plan.value;
};
const logOf = (...acts: readonly Act[]): readonly LogEntry[] =>
  acts.map((act, i) => ({ id: `e${i}`, seq: i + 1, at: '2026-03-01T10:00:00.000Z', act }));
const hidden = (seed: number): Hidden => ({ seed, belief: GENERAL_PRIOR });
const HAND = { hand: USUAL_HAND, fibres: 'crossed', isScattered: false } as const;
const rectangle = planCalled('Flat rectangle');
const setup = (plan: ReturnType<typeof planCalled>) => ({
  form: plan.form,
  way: wayOf(plan.kind, plan.form, null),
  judge: 'tape' as const,
  habits: {},
  usual: { setOfRolls: 30, cushion: 'bubble', pressure: 'arms' } as const,
});

describe('the hidden layout', () => {
  it('is the same for the same seed, weighs what the plan weighs, and no two hands are alike', () => {
    const ask = hiddenLayout(rectangle, hidden(5), HAND);
    if (!ask) throw new Error('none');
    expect(hiddenLayout(rectangle, hidden(5), HAND)).toEqual(ask);
    expect(ask.layers.reduce((sum, l) => sum + l.grams, 0)).toBeCloseTo(
      rectangle.weigh?.faces[0]?.grams ?? 0,
      9,
    );
    const tidy = (seed: number) => hiddenLayout(rectangle, hidden(seed), HAND)?.rows?.jitter.placeMm;
    expect(new Set(Array.from({ length: 40 }, (_, s) => tidy(s))).size).toBe(3);
  });

  it('a tidy hand’s has fewer pale spots than a hasty one’s scattering, over some layouts', () => {
    const spots = (isScattered: boolean): number =>
      Array.from({ length: tries(4, 8) }, (_, s) => {
        const ask = hiddenLayout(rectangle, hidden(s), { ...HAND, isScattered });
        return ask ? paleSpots({ ...ask, ...simulateLayout(ask), foldOverMm: 0 }).length : 0;
      }).reduce((a, b) => a + b, 0);
    expect(spots(false)).toBeLessThan(spots(true));
    expect(spots(true)).toBeGreaterThan(2);
  });

  it('no light comes through a solid', () => {
    expect(hiddenLayout(planCalled('Ball'), hidden(1), HAND)).toBeNull();
  });

  it('against the light it shows as pale spots and as holes, until wool is laid on', () => {
    const spot = { at: { x: 10, y: 20 }, acrossMm: 25, share: 0.4 };
    const truth = rehearse(setup(rectangle), hidden(1), logOf(wet(1)));
    const thinBy = (share: number) => ({ ...hidden(1), spots: [{ ...spot, share }] });
    expect(tested('light', truth, hidden(1))).toBe(2);
    expect(tested('light', truth, thinBy(0.4))).toBe(1);
    expect(tested('light', truth, thinBy(0.1))).toBe(0);
    expect(litPlaces(truth, thinBy(0.4))).toEqual([{ at: spot.at, acrossMm: 25, isHole: false }]);
    const mended = rehearse(
      setup(rectangle),
      hidden(1),
      logOf(wet(1), { kind: 'addWool', woolId: null, grams: 2, at: { x: 30, y: 20 } }),
    );
    expect(tested('light', mended, thinBy(0.1))).toBe(2);
    const elsewhere = { ...spot, at: { x: -90, y: 20 } };
    expect(tested('light', mended, { ...hidden(1), spots: [spot, elsewhere] })).toBe(1);
  });
});

describe('what is seen of it', () => {
  const truth = (...acts: readonly Act[]) => rehearse(setup(rectangle), hidden(3), logOf(...acts));

  it('foam: none before it is wetted and long after, too much where it is wetted over and over', () => {
    expect(foamSeen(truth(roll(30)))).toBe('none');
    expect(foamSeen(truth(wet(1), roll(30)))).toBe('right');
    expect(foamSeen(truth(wet(1), ...Array.from({ length: 20 }, () => roll(30))))).toBe('none');
    expect(foamSeen(truth(wet(1), wet(1), wet(1)))).toBe('much');
  });

  it('a ball that has become a sausage is seen to be one, until it is noted and rolled across', () => {
    const ball = setup(planCalled('Ball'));
    const board: Act = { kind: 'board', minutes: 8 };
    const seed = Array.from({ length: 40 }, (_, s) => s).find(s =>
      rehearse(ball, hidden(s), logOf(wet(1), board)).faults.some(f => f.fault === 'sausage'),
    );
    if (seed === undefined) throw new Error('None in forty.');
    const shape = (...acts: readonly Act[]) => {
      const now = shapeNow(rehearse(ball, hidden(seed), logOf(wet(1), board, ...acts)));
      return now.along / now.across;
    };
    expect(shape()).toBeGreaterThan(1.3);
    expect(shape({ kind: 'fault', fault: 'sausage', at: null })).toBeLessThan(1.2);
  });

  it('points to play on from lie between the beginning and the end, evenly', () => {
    expect(pointsOf(2, 12, 4)).toEqual([2, 4, 6, 8, 10]);
    expect(pointsOf(0, 3, 8)).toEqual([0, 1, 2]);
    expect(pointsOf(1, 1, 8)).toEqual([1]);
  });
});
