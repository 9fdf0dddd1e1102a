import { describe, expect, it } from 'vitest';
import { feltingRecordOf, formForModel } from '../felting/feltingRecordOf';
import { logOf } from '../log/testing/logs';
import { makePlan } from '../plan/makePlan';
import { newPlan } from '../plan/newPlan';
import { outcome } from '../plan/outcome';
import { linesNow } from './fits';
import type { FormKind } from './formKind';
import { FORM_KINDS } from './kinds/registry';
import { beret } from './kinds/beret';
import { bowl } from './kinds/bowl';
import { slipper } from './kinds/slipper';
import { twoBowls } from './kinds/twoBowls';
import { GENERAL_PRIOR } from '../felting/feltingModel';

const formOf = (kind: FormKind) => {
  const plan = makePlan(newPlan(kind));
  if (!plan.ok) throw new Error(kind.kind);
  return plan.value.form;
};
const ids = (kind: FormKind, isOpen: boolean): string => {
  const { modelled, measurable, openings } = linesNow(formOf(kind), isOpen);
  return [...modelled.slice(0, measurable), ...openings].map(g => g.id).join(' ');
};

describe('what must fit is measured once it is open', () => {
  it('two bowls are each its own from the cut on, and no disc any more', () => {
    expect(ids(twoBowls, false)).toBe('A B');
    expect(ids(twoBowls, true)).toBe('M1 H1 M2 H2');
    // A half disc: its straight cut is twice its depth, and becomes the mouth’s girth laid flat.
    const [mouth, depth] = formOf(twoBowls).fits;
    expect(mouth?.wantedMm).toBeCloseTo(2 * Number(depth?.wantedMm), 9);
    expect(2 * Number(mouth?.wantedMm)).toBeCloseTo(Math.PI * 130, 6);
  });

  it('a bowl is asked for mouth and height, a slipper for its inside, a beret for its opening twice', () => {
    expect(ids(bowl, true)).toBe('A B M H');
    expect(ids(slipper, true)).toBe('B L');
    expect(ids(beret, true)).toBe('A B H F');
    const opening = formOf(beret).fits.map(f => Number(f.wantedMm));
    // Cut 5 % smaller than the head of 57 cm, and drawn over a fist to its size.
    expect(opening[0]).toBeCloseTo(541.5, 6);
    expect(opening[1]).toBe(570);
  });

  it('every line of every form has a name of its own, and is laid longer than it is wanted', () => {
    for (const kind of FORM_KINDS) {
      const { gauges, fits, closedLines } = formOf(kind);
      const all = [...gauges, ...fits];
      expect(new Set(all.map(g => g.id)).size).toBe(all.length);
      expect(new Set(all.map(g => g.name)).size).toBe(all.length);
      for (const g of fits) expect(Number(g.laidMm)).toBeGreaterThan(g.wantedMm);
      expect(gauges.map(g => g.id)).toEqual(expect.arrayContaining([...closedLines]));
    }
  });

  it('the model reads the felt of the halves, and no hole', () => {
    const form = formOf(twoBowls);
    const lines = linesNow(form, true);
    const read = feltingRecordOf(
      logOf(
        { kind: 'measure', readings: { A: Number(form.gauges[0]?.laidMm) * 0.8 } },
        { kind: 'open', what: 'cut' },
        { kind: 'measure', readings: { H1: Number(form.fits[1]?.laidMm) * 0.7 } },
      ),
      formForModel(form, lines.modelled),
      GENERAL_PRIOR,
    );
    expect(read.intervals.map(i => i.read.map(r => r && Math.exp(r)))).toEqual([
      [null, null, null, null, expect.closeTo(0.8, 9), null],
      [null, expect.closeTo(0.7, 9), null, null, null, null],
    ]);
    expect(linesNow(formOf(beret), true).modelled.map(g => g.id)).toEqual(['A', 'B']);
  });

  it('the dry lines are those that are still there, and what was read all the same', () => {
    const form = formOf(twoBowls);
    const names = (readings: Record<string, number>): string =>
      outcome(form, { readings, grams: null, thicknessMm: null }, null)
        .gauges.map(g => g.gauge.id)
        .join(' ');
    expect(names({})).toBe('M1 H1 M2 H2');
    expect(names({ A: 130 })).toBe('A M1 H1 M2 H2');
    const [m = 0, h = 0] = form.fits.map(f => Number(f.laidMm));
    const came = outcome(form, { readings: { M1: m * 0.6, H1: h * 0.7 }, grams: 40, thicknessMm: 5 }, 60);
    expect([came.across, came.along]).toEqual([expect.closeTo(0.4, 9), expect.closeTo(0.3, 9)]);
  });
});
