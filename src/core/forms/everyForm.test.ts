import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { selfCrossing } from '../outline/crossing';
import { boundsOf, polygonArea } from '../outline/polygon';
import { type FormKind, measure } from './formKind';
import { measuresAtSize, scaleMeasures } from './scaleMeasures';
import { checkMeasures, FORM_KINDS } from './kinds/registry';
import { laid, laying, netMm2 } from './testing/laying';

const KINDS = FORM_KINDS.map(k => [k.kind, k] as const);
const withoutAllowances = (kind: FormKind): Record<string, number> =>
  Object.fromEntries(
    kind.specs(kind.defaults).flatMap(s => (s.allowance && s.dimension === undefined ? [[s.id, 0]] : [])),
  );

/** The rows of the table in docs/forms.md, by kind: what it is offered as, and its measures. */
const documented = new Map(
  readFileSync(new URL('../../../docs/forms.md', import.meta.url), 'utf8')
    .split('\n')
    .flatMap(row => {
      const [, kind, titles = '', measures = ''] = /^\| `([a-z-]+)` +\| (.+?) +\| (.+?) +\|$/.exec(row) ?? [];
      const ids = [...measures.matchAll(/`(\w+)`/g)].map(([, id]) => id);
      return kind === undefined ? [] : [[kind, { titles, ids }] as const];
    }),
);

describe('every form', () => {
  it('stands in docs/forms.md with its measures, in its order, and nothing else does', () => {
    expect([...documented.keys()]).toEqual(FORM_KINDS.map(k => k.kind));
    for (const kind of FORM_KINDS) {
      const row = documented.get(kind.kind);
      // Of a list of places the first stands for all.
      const ids = kind.specs(kind.defaults).flatMap(s => (/[2-9]$/.test(s.id) ? [] : [s.id]));
      expect(row?.ids).toEqual(ids);
      expect(row?.titles).toBe([kind, ...(kind.also ?? [])].map(o => o.title).join(', '));
    }
  });

  it('has a name of its own', () => {
    expect(new Set(FORM_KINDS.map(k => k.kind)).size).toBe(FORM_KINDS.length);
    const titles = FORM_KINDS.flatMap(k => [k.title, ...(k.also ?? []).map(o => o.title)]);
    expect(new Set(titles).size).toBe(titles.length);
  });

  it.each(KINDS)('%s: its own measures hold, and those of all it is offered as', (_, kind) => {
    for (const offer of [{ measures: {} }, ...(kind.also ?? [])]) {
      const measures = { ...kind.defaults, ...offer.measures };
      expect(checkMeasures(kind, measures)).toEqual({ ok: true, value: measures });
    }
  });

  it.each(KINDS)('%s: lays larger, with a line along and one across that shrink as they must', (_, kind) => {
    const plan = laid(kind, {}, laying(0.3, 0.35, { foldOver: 15 }));
    expect(plan.faces).toHaveLength(kind.faces);
    expect(plan.solid === null).toBe(kind.body === 'sheet');
    expect(polygonArea(plan.laid.points)).toBeGreaterThan(polygonArea(plan.finished));
    expect(plan.laid.open).toHaveLength(plan.laid.points.length);
    expect(plan.gauges.map(g => g.directionDeg)).toEqual(expect.arrayContaining([0, 90]));
    for (const g of plan.gauges)
      expect(1 - g.wantedMm / g.laidMm).toBeCloseTo(g.directionDeg === 0 ? 0.3 : 0.35, 9);
  });

  it.each(KINDS)('%s: its outlines are simple, and every cut and fold lies on the laid one', (_, kind) => {
    const plan = laid(kind, {}, laying(0.35, 0.3, { foldOver: 15 }));
    expect(selfCrossing(plan.finished)).toBeNull();
    const box = boundsOf(plan.laid.points);
    for (const face of plan.faces) {
      expect(selfCrossing(face.outline.points)).toBeNull();
      expect(face.woolMm2).toBeGreaterThanOrEqual(face.netMm2 * 0.9999);
    }
    for (const { line } of [...plan.cuts, ...plan.folds])
      for (const p of line) {
        expect(p.x).toBeGreaterThan(box.minX - 0.1);
        expect(p.x).toBeLessThan(box.maxX + 0.1);
        expect(p.y).toBeGreaterThan(box.minY - 0.1);
        expect(p.y).toBeLessThan(box.maxY + 0.1);
      }
  });

  it.each(KINDS)('%s: dragging a handle moves it about as far as the finger', (_, kind) => {
    const plan = laid(kind, {}, laying(0.3, 0.3));
    expect(plan.handles.length).toBeGreaterThan(0);
    plan.handles.forEach((handle, i) => {
      const dragged = 0.001;
      const set = {
        ...kind.defaults,
        [handle.measure]: measure(kind.defaults, handle.measure) + dragged * handle.rate,
      };
      const measures = kind.settle?.(set, handle.measure) ?? set;
      const after = laid(kind, measures, laying(0.3, 0.3)).handles[i];
      const moved =
        ((after?.at.x ?? 0) - handle.at.x) * handle.towards.x +
        ((after?.at.y ?? 0) - handle.at.y) * handle.towards.y;
      // Not exact: a bottle's body girth also lengthens its base, a profile is curved through its places.
      expect(`${handle.measure} ${Math.abs(moved / dragged - 1) < 0.25}`).toBe(`${handle.measure} true`);
    });
  });

  const twice = (kind: FormKind) => {
    const bare = { ...kind.defaults, ...withoutAllowances(kind) };
    const [one, two] = [1, 2].map(k => laid(kind, scaleMeasures(kind, bare, k), laying(0.3, 0.3)));
    if (!one || !two) throw new Error('not laid');
    return { one, two };
  };

  it.each(KINDS.filter(([, k]) => k.body === 'solid'))(
    '%s: twice the size is eight times the volume',
    (_, kind) => {
      const { one, two } = twice(kind);
      expect((two.solid?.feltMm3 ?? 0) / (one.solid?.feltMm3 ?? 1)).toBeCloseTo(8, 6);
    },
  );

  it.each(KINDS.filter(([, k]) => k.body === 'sheet'))(
    '%s: twice the size is four times the area',
    (_, kind) => {
      const { one, two } = twice(kind);
      // A rolled flower's strip is as long as its tube and turns make it: only its height grows.
      const power = kind.kind === 'rolled-flower' ? 1 : 2;
      expect(Math.log2(two.finishedMm2 / one.finishedMm2)).toBeCloseTo(power, 6);
      expect(Math.log2(netMm2(two) / netMm2(one))).toBeCloseTo(power, 4);
    },
  );

  it.each(KINDS)('%s: area laid is the finished area over the area kept', (_, kind) => {
    const plan = laid(kind, {}, laying(0.3, 0.2));
    if (plan.solid || plan.outlineIs === 'ball') return;
    const share = plan.outlineIs === 'cloth' ? (kind.defaults['share'] ?? 1) : 1;
    expect((netMm2(plan) * 0.7 * 0.8) / share / plan.finishedMm2).toBeCloseTo(1, 6);
  });

  it.each(KINDS)('%s: is found again from its size, allowances and all', (_, kind) => {
    const factor = 1 / 0.7;
    const size = kind.size.of(kind.defaults, factor);
    expect(size).toBeGreaterThan(0);
    const larger = measuresAtSize(kind, kind.defaults, { sizeMm: size * 1.37, factor });
    expect(kind.size.of(larger, factor) / size).toBeCloseTo(1.37, 8);
    const back = measuresAtSize(kind, larger, { sizeMm: size, factor });
    for (const spec of kind.specs(kind.defaults))
      expect(back[spec.id]).toBeCloseTo(measure(kind.defaults, spec.id), 5);
  });

  it.each(KINDS)('%s: an allowance makes it larger, and says that it is common practice', (_, kind) => {
    for (const spec of kind.specs(kind.defaults).filter(s => s.allowance)) {
      expect(spec.hint).toContain('common practice');
      expect(spec.scales).toBe(false);
      if (spec.dimension === 'share') continue;
      const more = { [spec.id]: measure(kind.defaults, spec.id) + 5 };
      expect(laid(kind, more, laying(0.3, 0.3)).finishedMm2).toBeGreaterThan(
        laid(kind, {}, laying(0.3, 0.3)).finishedMm2,
      );
    }
  });
});
