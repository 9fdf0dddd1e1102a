import ReferenceDxf from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { FORM_KINDS } from '../core/forms/kinds/registry';
import { plan } from '../core/plan/testing/pad';
import { newPlan } from '../core/plan/newPlan';
import { makeTemplate, type Template } from '../drawing/template';
import { DXF_LAYERS, templateDxf } from './templateDxf';

const templateOf = (kind: (typeof FORM_KINDS)[number], name = 'A piece'): Template => {
  const input = newPlan(kind);
  return makeTemplate(plan(input), {
    name,
    date: '2026-03-01',
    foldOverMm: input.foldOverMm,
    pieces: 1,
    units: 'metric',
  });
};

interface Line {
  readonly layer: string;
  readonly closed: boolean;
  readonly points: ReadonlyArray<readonly [number, number]>;
}

/** Polylines of a DXF as an independent library reads them. */
const linesOf = (dxf: string): Line[] => {
  const read = new ReferenceDxf().parseSync(dxf);
  return (read?.entities ?? []).flatMap(e => {
    if (!('vertices' in e) || !Array.isArray(e.vertices)) return [];
    const vertices: ReadonlyArray<{ x: number; y: number }> = e.vertices;
    const closed = 'shape' in e && e.shape === true;
    return [{ layer: e.layer, closed, points: vertices.map(v => [v.x, v.y] as const) }];
  });
};

describe('the template as DXF', () => {
  it.each(FORM_KINDS.map(k => [k.kind, k] as const))(
    '%s: an independent library reads back every line, on its layer, to a ten-thousandth of a millimetre',
    (_, kind) => {
      const template = templateOf(kind);
      const lines = linesOf(templateDxf(template)).filter(l => l.layer !== 'CHECK');
      expect(lines).toHaveLength(template.shapes.length);
      template.shapes.forEach((shape, i) => {
        expect(lines[i]?.layer).toBe(DXF_LAYERS[shape.role].layer);
        expect(lines[i]?.closed).toBe(shape.closed);
        expect(lines[i]?.points).toHaveLength(shape.points.length);
        const worst = Math.max(
          ...shape.points.map((p, k) => {
            const [x, y] = lines[i]?.points[k] ?? [Number.NaN, Number.NaN];
            return Math.hypot(p.x - x, -p.y - y);
          }),
        );
        expect(worst).toBeLessThan(1e-4);
      });
    },
  );

  it('is of release 12, carries a 100 mm line, and writes other letters in ASCII', () => {
    const [kind] = FORM_KINDS;
    if (!kind) throw new Error('no form');
    const dxf = templateDxf(templateOf(kind, 'Žofie’s hat\n0\nEOF'));
    expect(dxf).toContain('$ACADVER\r\n1\r\nAC1009');
    expect(/^[\r\n -~]*$/.test(dxf)).toBe(true);
    expect(dxf).toContain('\\U+017Dofie');
    expect(dxf.match(/\r\nEOF\r\n/g)).toHaveLength(1);
    const check = linesOf(dxf).find(l => l.layer === 'CHECK');
    const [a, b] = check?.points ?? [];
    expect((b?.[0] ?? 0) - (a?.[0] ?? 0)).toBeCloseTo(100, 9);
  });
});
