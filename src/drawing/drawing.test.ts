import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FORM_KINDS } from '../core/forms/kinds/registry';
import { makePlan, type Plan } from '../core/plan/makePlan';
import { templateSvg } from '../files/templateSvg';
import { newPlan } from '../core/plan/newPlan';
import { boundsOf } from '../core/outline/polygon';
import { LINE_LOOK } from './lineLook';
import { tableAngle, turnFor } from './orient';
import { svgPathData } from './pathSink';
import { rulerTicks } from './ruler';
import { pieceScene } from './scene';
import { marksOn, PAPER_NAMES, PAPERS, planSheets } from './sheets';
import { makeTemplate } from './template';

const plans: readonly Plan[] = FORM_KINDS.flatMap(kind => {
  const plan = makePlan(newPlan(kind));
  return plan.ok ? [plan.value] : [];
});
const templateOf = (plan: Plan, name = 'A piece') =>
  makeTemplate(plan, { name, date: '2026-03-01', foldOverMm: 15, pieces: 1, units: 'metric' });

describe('paths', () => {
  it('are written with moves, lines and a close, rounded only here', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 10.00049, y: 0 },
      { x: 1 / 3, y: 5 },
    ];
    expect(svgPathData(points, true, 3)).toBe('M0 0L10 0L0.333 5Z');
    expect(svgPathData(points.slice(0, 2), false, 1)).toBe('M0 0L10 0');
    expect(svgPathData([], true, 1)).toBe('');
  });
});

describe('the table', () => {
  it('turns a piece without mirroring it', () => {
    for (const way of ['right', 'up', 'down'] as const) {
      const turn = turnFor(way);
      const [a, b] = [turn({ x: 1, y: 0 }), turn({ x: 0, y: 1 })];
      expect(a.x * b.y - a.y * b.x).toBe(1);
      const angle = (tableAngle(way, 0) * Math.PI) / 180;
      expect([a.x, a.y]).toEqual([expect.closeTo(Math.cos(angle), 12), expect.closeTo(Math.sin(angle), 12)]);
    }
  });

  it('draws laid and wanted for every form, wool and mouth where there is a resist, now when it is measured', () => {
    for (const plan of plans) {
      const roles = pieceScene(plan.form, { foldOverMm: 15, now: { along: 0.8, across: 0.8 } }).shapes.map(
        s => s.role,
      );
      expect(roles).toEqual(expect.arrayContaining(['laid', 'now', 'wanted']));
      const open = plan.form.faces[0]?.outline.open ?? [];
      expect(roles.includes('mouth')).toBe(open.includes(true) && open.includes(false));
    }
  });

  it('tells lines apart by dash as well as by colour', () => {
    const looks = (['laid', 'now', 'wanted'] as const).map(role => LINE_LOOK[role]);
    expect(new Set(looks.map(l => l.ink)).size).toBe(3);
    expect(new Set(looks.map(l => l.dashMm.join())).size).toBe(3);
  });

  it('rules in centimetres or inches, with figures on whole units only, never too dense', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 8, noNaN: true }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        (pxPerMm, units) => {
          const ticks = rulerTicks({ from: -50, to: 900 }, pxPerMm, units);
          const unit = units === 'metric' ? 10 : 25.4;
          for (const t of ticks.filter(x => x.figure !== ''))
            expect(Math.abs(t.mm / unit)).toBeCloseTo(Number(t.figure), 6);
          const gaps = ticks.slice(1).map((t, i) => (t.mm - (ticks[i]?.mm ?? 0)) * pxPerMm);
          for (const gap of gaps) expect(gap).toBeGreaterThan(3.9);
        },
      ),
    );
  });
});

describe('sheets', () => {
  const box = fc.record({
    w: fc.double({ min: 5, max: 3000, noNaN: true }),
    h: fc.double({ min: 5, max: 3000, noNaN: true }),
  });

  it('cover the whole drawing with overlap, and the marks of a seam stand on both its sheets', () => {
    fc.assert(
      fc.property(box, fc.constantFrom(...PAPER_NAMES), ({ w, h }, paper) => {
        const plan = planSheets({ minX: -w / 2, minY: -h / 2, maxX: w / 2, maxY: h / 2 }, paper);
        const [first, last] = [plan.sheets[0]?.window, plan.sheets.at(-1)?.window];
        expect(first?.minX).toBeLessThanOrEqual(-w / 2);
        expect(first?.minY).toBeLessThanOrEqual(-h / 2);
        expect(last?.maxX).toBeGreaterThanOrEqual(w / 2);
        expect(last?.maxY).toBeGreaterThanOrEqual(h / 2);
        expect(plan.sheets).toHaveLength(plan.rows * plan.columns);
        for (const mark of plan.marks) {
          const on = plan.sheets.filter(s => marksOn(s, [mark]).length > 0).length;
          expect(on).toBeGreaterThanOrEqual(2);
        }
        for (const s of plan.sheets) {
          expect(s.window.maxX - s.window.minX).toBeLessThan(plan.pageMm.width - 20 + 1e-6);
          expect(s.window.maxY - s.window.minY).toBeLessThan(plan.pageMm.height - 36 + 1e-6);
        }
      }),
      { numRuns: 100 },
    );
  });

  it('lie when that takes fewer', () => {
    const wide = planSheets({ minX: 0, minY: 0, maxX: 260, maxY: 140 }, 'a4');
    expect([wide.landscape, wide.sheets.length]).toEqual([true, 1]);
    const high = planSheets({ minX: 0, minY: 0, maxX: 140, maxY: 240 }, 'a4');
    expect([high.landscape, high.sheets.length]).toEqual([false, 1]);
  });

  it('are of the sizes that ISO 216 and ANSI Y14.1 give (from memory)', () => {
    // A4 is a sixteenth of a square metre in the ratio 1:√2, rounded to the millimetre.
    expect(Math.round(1000 / 2 ** 2.25)).toBe(PAPERS.a4.width);
    expect(Math.round(1000 / 2 ** 1.75)).toBe(PAPERS.a4.height);
    expect(PAPERS.letter.width).toBeCloseTo(8.5 * 25.4, 9);
    expect(PAPERS.letter.height).toBeCloseTo(11 * 25.4, 9);
  });
});

describe('the template as SVG', () => {
  it('is in millimetres: the outline’s own box is the laid size', () => {
    for (const plan of plans) {
      const svg = templateSvg(templateOf(plan));
      const [, widthMm, viewWidth] = /width="([\d.]+)mm".*?viewBox="\S+ \S+ ([\d.]+)/.exec(svg) ?? [];
      expect(widthMm).toBe(viewWidth);
      const data = /data-role="laid" d="([^"]+)"/.exec(svg)?.[1] ?? '';
      const numbers = data.match(/-?[\d.]+ -?[\d.]+/g)?.map(pair => pair.split(' ').map(Number)) ?? [];
      const xs = numbers.map(([x]) => x ?? 0);
      const ys = numbers.map(([, y]) => y ?? 0);
      const drawn = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
      const box = boundsOf(plan.form.laid.points);
      const laid = [box.maxX - box.minX, box.maxY - box.minY];
      const along = plan.form.alongOnTable === 'right' ? 0 : 1;
      expect((drawn[along] ?? 0) / (laid[0] ?? 1)).toBeCloseTo(1, 3);
      expect((drawn[1 - along] ?? 0) / (laid[1] ?? 1)).toBeCloseTo(1, 3);
    }
  });

  it('carries a 100 mm line and no markup from a name', () => {
    const [plan] = plans;
    if (!plan) throw new Error('no plan');
    const svg = templateSvg(templateOf(plan, '<script>alert("x")</script> & co'));
    expect(svg).toContain('id="check-100-mm"');
    expect(/id="check-100-mm" d="M\S+ \S+h100"/.test(svg)).toBe(true);
    expect(svg).not.toContain('<script>');
    expect(svg).toContain('&lt;script&gt;');
  });
});
