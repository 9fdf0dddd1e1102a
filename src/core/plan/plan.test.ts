import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHAIN, type ChainQuantity } from '../chain/quantities';
import { bottleSleeve } from '../forms/kinds/bottleSleeve';
import { FORM_KINDS } from '../forms/kinds/registry';
import { makePlan } from './makePlan';
import { standInPlan } from './whileEditing';
import { newPlan } from './newPlan';
import { outcome } from './outcome';
import type { PlanInput } from './planInput';
import { formOf, PAD, plan } from './testing/pad';
import { setAxisShrinkage, setLink, setMeasure, setPlaces, togglePin } from './setLink';

const VESSEL: PlanInput = {
  ...PAD,
  form: formOf('girth-stations', {
    along1: 0,
    girth1: 0,
    along2: 38,
    girth2: 240,
    along3: 60,
    girth3: 250,
    along4: 180,
    girth4: 250,
    along5: 230,
    girth5: 120,
    along6: 270,
    girth6: 105,
  }),
  shrinkage: { along: 0.38, across: 0.32 },
  chain: { layers: 3, thickness: 3.5, firmness: 0.22 },
};

describe('the plan', () => {
  it('pad ⌀ 400: 597.0 mm laid, 259.1 g, 2000 g/m² finished', () => {
    const made = plan(PAD);
    expect(made.values.laidSize).toBeCloseTo(597.0, 1);
    expect(made.values.grams).toBeCloseTo(259.1, 1);
    expect(made.arealFinished).toBeCloseTo(2000, 6);
    expect(made.weigh?.total).toBe(259);
  });

  it('vessel: g1 770, g0 334.7 g/m², 42.6 g before fold-over; more with it', () => {
    const made = plan(VESSEL);
    expect(made.arealFinished).toBeCloseTo(770, 6);
    expect(made.values.arealLaid).toBeCloseTo(334.7, 1);
    expect(made.values.grams).toBeCloseTo(42.6, 1);
    expect(plan({ ...VESSEL, foldOverMm: 15 }).values.grams).toBeGreaterThan(50);
  });

  it('solves a size from the wool you have left, fold-over and all, within a tape’s reading', () => {
    const input: PlanInput = {
      ...VESSEL,
      foldOverMm: 15,
      given: ['shrinkage', 'layers', 'thickness', 'firmness', 'grams'],
      chain: { ...VESSEL.chain, grams: 60 },
    };
    const made = plan(input);
    expect(made.solution.status).toBe('solved');
    const back = plan({ ...VESSEL, foldOverMm: 15, form: { ...VESSEL.form, measures: made.measures } });
    expect(back.values.grams).toBeCloseTo(60, 2);
  });

  it('warns of felt denser than belief, of odd shrinkage, of a long edge', () => {
    const codes = (input: PlanInput): string[] => plan(input).warnings.map(w => w.code);
    expect(codes(PAD)).toEqual([]);
    expect(codes({ ...PAD, chain: { ...PAD.chain, firmness: 0.7 } })).toContain('DENSITY_BEYOND_FIBRE');
    expect(codes({ ...PAD, shrinkage: { along: 0.05, across: 0.33 } })).toContain('SHRINKAGE_UNCOMMON');
    const squat = { along1: 0, girth1: 0, along2: 60, girth2: 500 };
    expect(codes({ ...VESSEL, form: formOf('girth-stations', squat) })).toContain('EDGE_SURPLUS');
  });

  it('refuses what cannot be, each with its path', () => {
    const bad = makePlan({
      ...PAD,
      shrinkage: { along: 1, across: Number.NaN },
      scaleStepG: 0,
      form: formOf('disc', { diameter: -4, over: 0, strip: 0 }),
    });
    expect(bad.ok ? [] : bad.issues.map(i => i.path)).toEqual([
      'plan.shrinkage.along',
      'plan.shrinkage.across',
      'plan.scaleStepG',
      'plan.form.measures.diameter',
    ]);
    expect(makePlan({ ...PAD, form: formOf('umbrella', {}) })).toMatchObject({
      ok: false,
      issues: [{ code: 'UNKNOWN_FORM' }],
    });
  });

  it('every form plans from its usual figures', () => {
    for (const kind of FORM_KINDS) {
      const made = plan(newPlan(kind));
      expect(made.solution.status).toBe('solved');
      expect(made.weigh?.faces).toHaveLength(made.form.solid ? made.form.solid.heaps.length : kind.faces);
    }
  });
});

describe('a plan that cannot be', () => {
  const begun = newPlan(bottleSleeve);
  const wide = { ...begun, form: { ...begun.form, measures: { ...begun.form.measures, neck: 400 } } };

  it('is stood in for by its form as it begins, with the measures as they stand', () => {
    expect(makePlan(wide).ok).toBe(false);
    const gaugeNow = standInPlan(wide);
    expect(gaugeNow?.measures['neck']).toBe(400);
    expect(gaugeNow?.form).toEqual(plan(begun).form);
  });

  it('has nothing to stand in for a form that is not known', () => {
    expect(standInPlan({ ...wide, form: { ...wide.form, kind: 'of a later version' } })).toBeNull();
  });
});

describe('setting one figure', () => {
  it('lets the thickness go first when grams are typed, and grams when thickness is typed again', () => {
    const grams = setLink(PAD, 'grams', 200);
    expect(grams.given).not.toContain('thickness');
    expect(plan(grams).values.thickness).toBeCloseTo(6.18, 2);
    const again = setLink(grams, 'thickness', 9);
    expect(again.given).not.toContain('grams');
    expect(plan(again).values.grams).toBeCloseTo((259.1 * 9) / 8, 0);
  });

  it('a resist already cut moves the size, not the shrinkage', () => {
    const cut = setLink(PAD, 'laidSize', 500);
    expect(plan(cut).shrinkage.along).toBe(0.33);
    expect(plan(cut).measures['diameter']).toBeCloseTo(335, 6);
  });

  it('a measure typed while the size follows holds as typed', () => {
    const cut = setLink(PAD, 'laidSize', 500);
    const typed = setMeasure(cut, 'diameter', 360);
    expect(plan(typed).measures['diameter']).toBe(360);
    expect(typed.given).not.toContain('laidSize');
  });

  it('a form by girths takes a place more or fewer at its mouth, down to its two ends', () => {
    const more = setPlaces(VESSEL, 'more');
    expect(more?.form.measures).toMatchObject({ along6: 270, along7: 310, girth7: 105 });
    expect(plan(more ?? PAD).values.size).toBe(310);
    const back = setPlaces(more ?? PAD, 'fewer');
    expect(back?.form.measures).toEqual(VESSEL.form.measures);
    let fewest = VESSEL;
    for (let i = 0; i < 10; i += 1) fewest = setPlaces(fewest, 'fewer') ?? fewest;
    expect(Object.keys(fewest.form.measures)).toHaveLength(4);
    expect(plan(fewest).solution.status).toBe('solved');
    expect(setPlaces(PAD, 'more')).toBeNull();
  });

  it('each direction has its own shrinkage', () => {
    const two = setAxisShrinkage(PAD, 'across', 0.28);
    expect(plan(two).shrinkage).toEqual({ along: 0.33, across: expect.closeTo(0.28, 12) });
  });

  it('with all in the way pinned, nothing gives: the disagreement is told with its size', () => {
    const links: ChainQuantity[] = ['size', 'thickness', 'firmness', 'shrinkage'];
    const firm = links.reduce(togglePin, PAD);
    const solution = plan(setLink(firm, 'grams', 200)).solution;
    expect(solution).toMatchObject({
      status: 'disagree',
      waysOut: expect.arrayContaining([{ link: 'grams', pinned: 200, needs: expect.closeTo(259.1, 1) }]),
    });
  });

  it('pinning what follows keeps every figure as it was', () => {
    const before = plan(PAD).values;
    const after = plan(togglePin(PAD, 'grams')).values;
    for (const link of CHAIN) expect(after[link]).toBeCloseTo(before[link] ?? Number.NaN, 6);
  });

  it('whatever is typed in whatever order, the chain stays solved and the last figure holds', () => {
    const set = fc.oneof(
      fc.record({
        link: fc.constant('size' as const),
        value: fc.double({ min: 100, max: 900, noNaN: true }),
      }),
      fc.record({
        link: fc.constant('shrinkage' as const),
        value: fc.double({ min: 0.1, max: 0.5, noNaN: true }),
      }),
      fc.record({
        link: fc.constant('laidSize' as const),
        value: fc.double({ min: 1000, max: 1500, noNaN: true }),
      }),
      fc.record({
        link: fc.constant('grams' as const),
        value: fc.double({ min: 20, max: 900, noNaN: true }),
      }),
      fc.record({
        link: fc.constant('thickness' as const),
        value: fc.double({ min: 1, max: 12, noNaN: true }),
      }),
      fc.record({
        link: fc.constant('firmness' as const),
        value: fc.double({ min: 0.1, max: 0.4, noNaN: true }),
      }),
      fc.record({ link: fc.constant('layers' as const), value: fc.integer({ min: 1, max: 10 }) }),
      fc.record({
        link: fc.constant('gramsPerLayer' as const),
        value: fc.double({ min: 2, max: 90, noNaN: true }),
      }),
    );
    fc.assert(
      fc.property(fc.array(set, { minLength: 1, maxLength: 8 }), sets => {
        let input = PAD;
        for (const { link, value } of sets) {
          input = setLink(input, link, value);
          const made = makePlan(input);
          // Ninety grams in each layer of a disc of 10 cm is a wall of 30 cm: told, and nothing more is typed.
          expect(made.ok || made.issues.some(i => i.code === 'BEYOND_LIMITS')).toBe(true);
          if (!made.ok) return;
          expect(made.value.solution.status).toBe('solved');
          expect((made.value.values[link] ?? Number.NaN) / value).toBeCloseTo(1, 6);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('plan against result', () => {
  const { form } = plan(PAD);

  it('a piece that comes out as planned shows the planned shrinkage and firmness', () => {
    const came = outcome(form, { readings: { A: 400, B: 400 }, grams: 259.1 * 0.97, thicknessMm: 8 }, 259.1);
    expect(came.along).toBeCloseTo(0.33, 6);
    expect(came.across).toBeCloseTo(0.33, 6);
    expect(came.areaM2).toBeCloseTo(Math.PI * 0.04, 6);
    expect(came.density).toBeCloseTo(0.25, 3);
    expect(came.keptShare).toBeCloseTo(0.97, 6);
  });

  it('the wool of the fold-over is not counted as wall: a vessel as planned shows the planned firmness', () => {
    const vessel = plan({ ...VESSEL, foldOverMm: 15 });
    const grams = vessel.values.grams ?? Number.NaN;
    const readings = Object.fromEntries(vessel.form.gauges.map(g => [g.id, Number(g.wantedMm)]));
    const came = outcome(vessel.form, { readings, grams: 0.97 * grams, thicknessMm: 3.5 }, grams);
    expect(came.density).toBeCloseTo(0.22, 6);
    expect(came.along).toBeCloseTo(0.38, 6);
    expect(came.across).toBeCloseTo(0.32, 6);
  });

  it('a measure that was not taken leaves its figures open, and is not taken for nothing', () => {
    const came = outcome(form, { readings: { A: 410, B: null }, grams: 250, thicknessMm: null }, null);
    expect(came.across).toBeNull();
    expect(came.areaM2).toBeNull();
    expect(came.density).toBeNull();
    expect(came.keptShare).toBeNull();
  });
});
