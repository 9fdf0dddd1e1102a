import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHAIN_LIMITS } from '../chain/limits';
import { bottleSleeve } from '../forms/kinds/bottleSleeve';
import { bowl } from '../forms/kinds/bowl';
import { vessel } from '../forms/kinds/vessel';
import { FORM_KINDS } from '../forms/kinds/registry';
import { isWithin, type Limit } from '../limits';
import { makePlan } from './makePlan';
import { newPlan } from './newPlan';
import type { PlanInput } from './planInput';
import { planOf } from './planOf';
import { PAD } from './testing/pad';
import { standInPlan } from './whileEditing';

/** So much wool, whatever wall that makes. */
const withGrams = (input: PlanInput, grams: number): PlanInput => ({
  ...input,
  pinned: ['grams'],
  given: input.given.filter(l => l !== 'thickness'),
  chain: { ...input.chain, grams },
});
const outside = (input: PlanInput): PlanInput => ({
  ...input,
  form: { ...input.form, measuredOn: 'outside' },
});
const limitOf = (link: string): Limit => CHAIN_LIMITS[link as keyof typeof CHAIN_LIMITS];
const codes = (input: PlanInput): readonly string[] => {
  const made = makePlan(input);
  return made.ok ? [] : made.issues.map(i => i.code);
};

describe('what no felt is like', () => {
  it('two kilos in layers of a hundredth of a gram is refused, with the figure that would follow', () => {
    const input: PlanInput = {
      ...PAD,
      pinned: ['gramsPerLayer', 'grams'],
      given: ['shrinkage', 'size', 'firmness'],
      chain: { gramsPerLayer: 0.01, grams: 2000, firmness: 0.25 },
    };
    expect(planOf(input)).toMatchObject({
      ok: false,
      issues: [
        {
          code: 'BEYOND_LIMITS',
          path: 'plan.chain.layers',
          got: '200000',
          detail: 'From 0.001 to 200.',
        },
      ],
    });
  });

  it.each([
    ['layers', 1e9],
    ['laidSize', 1e-6],
    ['laidSize', 1e9],
    ['thickness', 634],
    ['grams', Number.NaN],
  ] as const)('a held %s of %d is refused where it stands', (link, value) => {
    const input: PlanInput = {
      ...PAD,
      given: [...PAD.given.filter(l => l !== link), link],
      chain: { ...PAD.chain, [link]: value },
    };
    expect(codes(input)).toEqual(['OUT_OF_RANGE']);
    // It can still be seen and mended: the form as it begins, with the figure that is held.
    expect(standInPlan(input)?.values[link]).toBe(value);
  });
});

describe('measured over the wall', () => {
  it('a vessel whose half a kilo would fill its inside is refused for that reason', () => {
    const made = planOf(outside(withGrams(newPlan(vessel), 500)));
    expect(made).toMatchObject({ ok: false, issues: [{ path: 'plan.chain.thickness' }] });
  });

  it.each([
    [vessel, 60],
    [bowl, 30],
    [bottleSleeve, 45],
  ] as const)(
    'wall and inside agree: planned again with the wall that was found, all is the same',
    (kind, grams) => {
      const input = outside(withGrams(newPlan(kind), grams));
      const first = makePlan(input);
      if (!first.ok) throw new Error(JSON.stringify(first.issues));
      const { thickness = 0 } = first.value.values;
      expect(thickness).toBeGreaterThan(0.5);
      const again = makePlan({
        ...input,
        pinned: ['thickness'],
        chain: { ...input.chain, thickness },
      });
      if (!again.ok) throw new Error(JSON.stringify(again.issues));
      expect(again.value.values.grams ?? 0).toBeCloseTo(grams, 3);
      expect(again.value.values.laidSize ?? 0).toBeCloseTo(first.value.values.laidSize ?? 0, 3);
    },
  );

  it('every form answers to any wool and any wall with finite figures or an issue, and never throws', () => {
    const kinds = fc.constantFrom(...FORM_KINDS);
    const drawn = fc.record({
      grams: fc.option(fc.double({ min: 1e-3, max: 1e5, noNaN: true })),
      thickness: fc.option(fc.double({ min: 0.01, max: 100, noNaN: true })),
      firmness: fc.double({ min: 0.005, max: 1.3, noNaN: true }),
      along: fc.double({ min: 0, max: 0.94, noNaN: true }),
      across: fc.double({ min: 0, max: 0.94, noNaN: true }),
      scale: fc.double({ min: 0.01, max: 40, noNaN: true }),
      isOutside: fc.boolean(),
    });
    fc.assert(
      fc.property(kinds, drawn, (kind, f) => {
        const base = newPlan(kind);
        const measures = Object.fromEntries(
          Object.entries(base.form.measures).map(([id, mm]) => [id, mm * f.scale]),
        );
        const held = withGrams(
          { ...base, form: { ...base.form, measures }, shrinkage: { along: f.along, across: f.across } },
          f.grams ?? 40,
        );
        const input: PlanInput =
          f.thickness === null
            ? held
            : {
                ...held,
                pinned: ['thickness'],
                chain: { ...held.chain, thickness: f.thickness, firmness: f.firmness },
              };
        const made = makePlan(f.isOutside ? outside(input) : input);
        // Refused with a reason, or finite through and through.
        const values = made.ok ? Object.entries(made.value.values) : [];
        const form = made.ok ? made.value.form : null;
        const isSolved = made.ok && made.value.solution.status === 'solved';
        const figures = [
          ...(form?.gauges.flatMap(g => [g.laidMm, g.wantedMm]) ?? []),
          ...(form?.faces.map(face => face.woolMm2) ?? []),
        ];
        const beyond = isSolved ? values.filter(([link, v]) => !isWithin(v, limitOf(link))) : [];
        const layers = made.ok ? made.value.weigh?.faces.reduce((n, face) => n + face.layers.length, 0) : 0;
        expect(made.ok || made.issues.length > 0).toBe(true);
        expect(figures.filter(n => !Number.isFinite(n))).toEqual([]);
        expect(beyond).toEqual([]);
        expect(layers ?? 0).toBeLessThan(2000);
      }),
      { numRuns: 400 },
    );
  });
});
