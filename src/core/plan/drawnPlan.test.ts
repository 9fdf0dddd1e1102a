import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeEnvelope } from '../forms/kinds/freeEnvelope';
import { freeSheet } from '../forms/kinds/freeSheet';
import { FORM_KINDS } from '../forms/kinds/registry';
import type { DrawnOutline } from '../outline/drawn';
import { polygonArea } from '../outline/polygon';
import { mm } from '../quantity';
import { makePlan } from './makePlan';
import { newPlan } from './newPlan';
import { setLink, setOutline } from './setLink';
import { plan } from './testing/pad';
import { draggedFineness } from './whileEditing';

const finite = fc.double({ min: -2000, max: 2000, noNaN: true });
const anyNumber = fc.oneof({ weight: 9, arbitrary: finite }, fc.double());
const outline = (coordinate: fc.Arbitrary<number>): fc.Arbitrary<DrawnOutline> =>
  fc.record({
    points: fc.array(fc.record({ x: coordinate, y: coordinate, round: fc.boolean() }), {
      minLength: 2,
      maxLength: 12,
    }),
    open: fc.uniqueArray(fc.integer({ min: 0, max: 11 }), { maxLength: 3 }),
    mirrored: fc.boolean(),
  });

/** A star of any reach: its rays in order round the middle, so that it cannot cross itself. */
const star: fc.Arbitrary<DrawnOutline> = fc
  .array(fc.double({ min: 40, max: 300, noNaN: true }), { minLength: 5, maxLength: 14 })
  .map(rays => ({
    points: rays.map((r, i) => {
      const angle = (2 * Math.PI * i) / rays.length;
      return { x: r * Math.cos(angle), y: r * Math.sin(angle), round: false };
    }),
    open: [],
    mirrored: false,
  }));

describe('the plan of a drawn outline', () => {
  it.each([freeSheet, freeEnvelope].map(k => [k.kind, k] as const))(
    '%s: of whatever is drawn is a plan with sound figures, or issues that say where; it never throws',
    (_, kind) => {
      fc.assert(
        fc.property(outline(anyNumber), drawn => {
          const made = makePlan(setOutline(newPlan(kind), drawn));
          const grams = made.ok ? made.value.values.grams : undefined;
          expect(
            made.ok ? grams !== undefined && grams > 0 && Number.isFinite(grams) : made.issues.length > 0,
          ).toBe(true);
        }),
        { numRuns: 150 },
      );
    },
  );

  /** A C of 300 mm with a gap of 30: a ring cut through. */
  const C: DrawnOutline = {
    points: [-1, 1].flatMap(side =>
      Array.from({ length: 24 }, (_, i) => {
        const from = Math.asin(15 / 150);
        const angle = from + ((2 * Math.PI - 2 * from) * i) / 23;
        const [radius, turn] = side < 0 ? [150, angle] : [90, 2 * Math.PI - angle];
        return { x: radius * Math.cos(turn), y: radius * Math.sin(turn), round: false };
      }),
    ),
    open: [],
    mirrored: false,
  };
  const cPlan = (foldOverMm: number, ease: number) => {
    const input = setOutline(newPlan(freeEnvelope), C);
    const measures = { ...input.form.measures, ease };
    return makePlan({ ...input, foldOverMm: mm(foldOverMm), form: { ...input.form, measures } });
  };

  it('whose fold-over shuts in a hole takes no wool for the hole', () => {
    const made = cPlan(20, 0);
    const [face] = made.ok ? made.value.form.faces : [];
    expect(face?.wool.length).toBe(2);
    const [outer = [], hole = []] = face?.wool ?? [];
    expect((face?.woolMm2 ?? 0) / (polygonArea(outer) - polygonArea(hole))).toBeCloseTo(1, 6);
    // The ring that is wool is less than the whole disc by what the hole leaves free.
    expect(polygonArea(hole)).toBeGreaterThan(10_000);
  });

  it('whose ease shuts in a hole is refused, with the reason', () => {
    const made = cPlan(0, 15.5);
    expect(made.ok ? [] : made.issues.map(i => i.code)).toEqual(['EASE_SHUTS']);
    expect(cPlan(0, 8).ok).toBe(true);
  });

  it('twice as long and wide takes four times the wool of a flat one, whatever its outline', () => {
    fc.assert(
      fc.property(star, drawn => {
        const once = setOutline(newPlan(freeSheet), drawn);
        const before = plan(once);
        const after = plan(setLink(once, 'size', 2 * (before.values.size ?? 0)));
        expect((after.values.grams ?? 0) / (before.values.grams ?? 1)).toBeCloseTo(4, 6);
      }),
      { numRuns: 40 },
    );
  });
});

describe('a plan while something is dragged', () => {
  it.each(FORM_KINDS.map(k => [k.kind, k] as const))(
    '%s: drafted a thousandth coarser, its wool is right to half a percent',
    (_, kind) => {
      const input = newPlan(kind);
      const exact = plan(input);
      const drafted = makePlan(input, { finenessMm: draggedFineness(exact) });
      const grams = drafted.ok ? (drafted.value.values.grams ?? 0) : 0;
      expect(Math.abs(grams / (exact.values.grams ?? 1) - 1)).toBeLessThan(0.005);
    },
  );
});
