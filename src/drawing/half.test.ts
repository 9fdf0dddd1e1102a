import { describe, expect, it } from 'vitest';
import { FORM_KINDS } from '../core/forms/kinds/registry';
import { newPlan } from '../core/plan/newPlan';
import type { Plan } from '../core/plan/makePlan';
import { plan } from '../core/plan/testing/pad';
import { turnFor } from './orient';
import type { Role } from './scene';
import { canHalve, makeTemplate, type Template } from './template';

const templateOf = (of: Plan, half: boolean): Template =>
  makeTemplate(of, { name: 'A piece', date: '2026-03-01', foldOverMm: 15, pieces: 1, units: 'metric', half });

/** Length of every line of a role, but for the parts that lie on the axis: across the fold a line counts once. */
const lengthOf = (t: Template, role: Role, axis: { x: number; y: number }): number =>
  t.shapes
    .filter(s => s.role === role)
    .flatMap(s =>
      (s.closed ? [...s.points, ...s.points.slice(0, 1)] : s.points).slice(1).map((b, i) => {
        const a = s.points[i] ?? b;
        const off = (p: { x: number; y: number }): number => Math.abs(p.x * axis.y - p.y * axis.x);
        return off(a) < 1e-6 && off(b) < 1e-6 ? 0 : Math.hypot(b.x - a.x, b.y - a.y);
      }),
    )
    .reduce((sum, v) => sum + v, 0);

const HALVED = FORM_KINDS.map(k => plan(newPlan(k))).filter(p => canHalve(p.form));

describe('half a template, on the fold', () => {
  it('is offered for round, straight and mirrored forms, and not for a hand, a boot or cuts on one side', () => {
    const kinds = HALVED.map(p => p.kind.kind);
    expect(kinds).toEqual(expect.arrayContaining(['bell-hat', 'bowl', 'rectangle', 'sleeve', 'vessel']));
    for (const one of ['mitten', 'boot-liner', 'pod', 'trumpet-flower']) expect(kinds).not.toContain(one);
    const mitten = FORM_KINDS.filter(k => k.kind === 'mitten').map(k => plan(newPlan(k)));
    for (const p of mitten) expect(templateOf(p, true).shapes).toEqual(templateOf(p, false).shapes);
  });

  it.each(HALVED.map(p => [p.kind.kind, p] as const))(
    '%s: every line of the half, twice, is as long as the whole, and half as wide',
    (_, p) => {
      const [whole, half] = [templateOf(p, false), templateOf(p, true)];
      const axis = turnFor(p.form.alongOnTable)({ x: 1, y: 0 });
      for (const role of ['laid', 'wool', 'wanted', 'cut', 'mouth'] as const)
        // Offset lines are rounded to a hundredth of a millimetre at every corner.
        expect(Math.abs(2 * lengthOf(half, role, axis) - lengthOf(whole, role, axis))).toBeLessThan(0.1);
      const across = (t: Template): number => {
        const off = t.shapes.flatMap(s => s.points.map(q => q.x * axis.y - q.y * axis.x));
        return Math.max(...off) - Math.min(...off);
      };
      expect(across(half) / across(whole)).toBeCloseTo(0.5, 3);
      expect(half.shapes.filter(s => s.role === 'fold').length).toBeGreaterThan(0);
      expect(half.notes.join(' ')).toContain('put the fold line');
    },
  );
});
