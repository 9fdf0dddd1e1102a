import { Point as RefPoint, Polygon as RefPolygon } from '@flatten-js/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rectangle } from '../core/forms/kinds/rectangle';
import { newPlan } from '../core/plan/newPlan';
import { plan } from '../core/plan/testing/pad';
import { boundsOf, polygonArea } from '../core/outline/polygon';
import { makeTemplate } from '../drawing/template';
import { readSvgOutlines } from './svgOutlines';
import { templateSvg } from './templateSvg';

const svg = (inside: string, head = 'width="200mm" height="100mm" viewBox="0 0 200 100"'): string =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${inside}</svg>`;
const read = (text: string) => {
  const got = readSvgOutlines(text);
  if (!got.ok) throw new Error(JSON.stringify(got.issues));
  return got.value;
};
const first = (text: string) => read(text).outlines[0]?.points ?? [];
const size = (text: string): readonly number[] => {
  const b = boundsOf(first(text));
  return [b.maxX - b.minX, b.maxY - b.minY];
};
const codes = (text: string): readonly string[] => {
  const got = readSvgOutlines(text);
  return got.ok ? [] : got.issues.map(i => i.code);
};
const RECT = '<rect x="10" y="20" width="60" height="30"/>';

describe('outlines from SVG', () => {
  it.each([
    ['mm', 'width="200mm" height="100mm" viewBox="0 0 200 100"', 60, 30],
    ['cm', 'width="20cm" height="10cm" viewBox="0 0 200 100"', 60, 30],
    ['inches', 'width="2in" height="1in" viewBox="0 0 200 100"', 15.24, 7.62],
    ['points', 'width="144pt" height="72pt" viewBox="0 0 200 100"', 15.24, 7.62],
    // 96 px to the inch: CSS Values and Units Level 3, from memory.
    ['px', 'width="192px" height="96" viewBox="0 0 200 100"', 15.24, 7.62],
    ['no size', 'viewBox="0 0 200 100"', 15.875, 7.9375],
    ['a width alone', 'width="100mm" viewBox="0 0 200 100"', 30, 15],
    ['a size of another shape', 'width="200mm" height="400mm" viewBox="0 0 200 100"', 60, 30],
    ['stretched', 'width="200mm" height="400mm" viewBox="0 0 200 100" preserveAspectRatio="none"', 60, 120],
    ['no view box', 'width="200mm" height="100mm"', 15.875, 7.9375],
  ])('units: %s', (_, head, width, height) => {
    const [w, h] = size(svg(RECT, head));
    expect([w, h]).toEqual([expect.closeTo(width, 6), expect.closeTo(height, 6)]);
  });

  it('says where a size had to be guessed', () => {
    expect(read(svg(RECT, 'viewBox="0 0 200 100"')).notices.join()).toContain('96 units to the inch');
  });

  it('honours transforms in nested groups, and parts that are used', () => {
    const nested = `<g transform="translate(5 5)"><g transform="rotate(90) scale(2)"><g>${RECT}</g></g></g>`;
    expect(size(svg(nested))).toEqual([expect.closeTo(60, 6), expect.closeTo(120, 6)]);
    const skewed = '<path transform="matrix(1 0 0.5 1 0 0)" d="M0 0h40v20h-40z"/>';
    expect(size(svg(skewed))).toEqual([expect.closeTo(50, 6), expect.closeTo(20, 6)]);
    const used = `<defs><rect id="r" width="30" height="10"/></defs><use xlink:href="#r" transform="scale(2)" x="1"/>`;
    expect(size(svg(used))).toEqual([expect.closeTo(60, 6), expect.closeTo(20, 6)]);
    const inner = `<svg x="10" y="0" width="100" height="100" viewBox="0 0 10 10"><rect width="5" height="4"/></svg>`;
    expect(size(svg(inner))).toEqual([expect.closeTo(50, 6), expect.closeTo(40, 6)]);
  });

  it('reads every basic shape, relative and short commands, and arcs, to the area they enclose', () => {
    // Curves become straight pieces 0.05 mm off at most, and are thinned by as much.
    const area = (inside: string): number => polygonArea(first(svg(inside)));
    expect(area('<circle cx="50" cy="50" r="40"/>') / (Math.PI * 1600)).toBeCloseTo(1, 2);
    expect(area('<ellipse cx="50" cy="50" rx="40" ry="20"/>') / (Math.PI * 800)).toBeCloseTo(1, 2);
    expect(area('<rect width="60" height="40" rx="10"/>')).toBeCloseTo(2400 - (4 - Math.PI) * 100, -1);
    expect(area('<polygon points="0,0 40,0 40,30"/>')).toBeCloseTo(600, 6);
    expect(area('<path d="M10 10a40 40 0 0 1 80 0z"/>') / (Math.PI * 800)).toBeCloseTo(1, 2);
    // Quadratic from (0,0) over (50,100) to (100,0): two thirds of its triangle.
    expect(area('<path d="M0 0q50 100 100 0z"/>') / ((2 / 3) * 5000)).toBeCloseTo(1, 2);
    expect(area('<path d="M0,0 L40,0 40,30 0,30 z m60,0 h10 v10 h-10 z"/>')).toBeCloseTo(1200, 6);
    expect(read(svg('<path d="M0,0 L40,0 40,30 0,30 z m60,0 h10 v10 h-10 z"/>')).outlines).toHaveLength(2);
  });

  it('takes the area that an independent geometry library finds', () => {
    const radii = fc.array(fc.double({ min: 10, max: 90, noNaN: true }), { minLength: 3, maxLength: 40 });
    fc.assert(
      fc.property(radii, r => {
        const points = r.map((radius, i) => {
          const angle = (2 * Math.PI * i) / r.length;
          return [100 + radius * Math.cos(angle), 100 + radius * Math.sin(angle)] as const;
        });
        const d = `M${points.map(([x, y]) => `${x} ${y}`).join('L')}Z`;
        const reference = new RefPolygon(points.map(([x, y]) => new RefPoint(x, y))).area();
        const got = readSvgOutlines(svg(`<path d="${d}"/>`));
        // Thinning moves the line by 0.05 mm at most.
        const around = points.length * 180;
        expect(got.ok && Math.abs(polygonArea(got.value.outlines[0]?.points ?? []) - reference)).toBeLessThan(
          0.05 * around,
        );
      }),
      { numRuns: 60 },
    );
  });

  it('reads back the template that Jorrit itself writes, in mm', () => {
    const made = makeTemplate(plan(newPlan(rectangle)), {
      name: 'Panel',
      date: '2026-03-01',
      foldOverMm: 0,
      pieces: 1,
      units: 'metric',
    });
    const [w, h] = size(templateSvg(made));
    expect([w, h]).toEqual([expect.closeTo(400 / 0.67, 2), expect.closeTo(300 / 0.67, 2)]);
  });
});

describe('bad SVG', () => {
  it('runs nothing and fetches nothing, and says what was left out', () => {
    const hostile = svg(
      `<script>globalThis.touched = true</script><image href="http://example.org/a.png"/><text>hello</text>
       <use href="http://example.org/a.svg#x"/><g onload="globalThis.touched = true">${RECT}</g>`,
    );
    const { outlines, notices } = read(hostile);
    expect(outlines).toHaveLength(1);
    expect(Reflect.get(globalThis, 'touched')).toBeUndefined();
    for (const word of ['script', 'picture', 'Text', 'linked']) expect(notices.join(' ')).toContain(word);
  });

  it('does not expand entities, nor follow parts that use one another without end', () => {
    const bomb = `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]>${svg(`<desc>&b;</desc>${RECT}`)}`;
    expect(readSvgOutlines(bomb.replace('<?xml version="1.0"?>', '')).ok).toBe(true);
    const circle =
      '<g id="a"><use href="#b"/><use href="#b"/></g><g id="b"><use href="#a"/><use href="#a"/></g>';
    const before = performance.now();
    expect(codes(svg(circle))).toEqual(['SVG_NO_OUTLINE']);
    expect(performance.now() - before).toBeLessThan(2000);
  });

  it.each([
    ['', ['SVG_UNREADABLE']],
    ['hello', ['SVG_UNREADABLE']],
    ['<svg><rect></svg>', ['SVG_UNREADABLE']],
    ['<html></html>', ['SVG_UNREADABLE']],
    [svg('<text>only words</text>'), ['SVG_NO_OUTLINE']],
    [svg(`<g display="none">${RECT}</g><g style="display: none">${RECT}</g>`), ['SVG_NO_OUTLINE']],
    [svg('<path d="M0 0 L50 50 L50 0 L0 50 Z"/>'), ['OUTLINE_CROSSES']],
    [svg('<path d="M0 0 L50 0 L50 50"/>'), ['OUTLINE_OPEN']],
    [svg('<path d="M0 0 L50 0 L20 0 Z"/>'), ['OUTLINE_EMPTY']],
    [svg('<path d="M0 0 L50 zero"/>'), ['SVG_UNREADABLE']],
    [
      svg('<path transform="scale(1e200) scale(1e200)" d="M0 0h10v10z"/>'),
      ['OUTLINE_NOT_NUMBERS', 'OUTLINE_NOT_NUMBERS', 'OUTLINE_NOT_NUMBERS'],
    ],
    [svg('<rect width="200" height="100"/>', 'width="20m" viewBox="0 0 200 100"'), []],
    [svg('<rect width="20000" height="100"/>'), ['OUTLINE_TOO_LARGE']],
  ])('refuses %# with a code', (text, wanted) => {
    expect(codes(text)).toEqual(wanted);
  });

  it('names the place: the crossing, the gap, the line of the file', () => {
    const text = (t: string): string => {
      const got = readSvgOutlines(t);
      return got.ok ? '' : JSON.stringify(got.issues);
    };
    expect(text(svg('<path id="leaf" d="M0 0 L50 50 L50 0 L0 50 Z"/>'))).toContain(
      'crosses itself at 2.5 cm lengthwise, 2.5 cm crosswise',
    );
    expect(text(svg('<path id="leaf" d="M0 0 L50 50 L50 0 L0 50 Z"/>'))).toContain('leaf');
    expect(text(svg('<path d="M0 0 L50 0 L50 50"/>'))).toContain('7.1 cm apart');
    expect(text('<svg>\n\n<rect>\n</svg>')).toContain('line');
  });

  it('keeps the good outline of a file that also holds bad ones, and says so', () => {
    const { outlines, notices } = read(svg(`${RECT}<path d="M0 0 L50 50 L50 0 L0 50 Z"/>`));
    expect(outlines).toHaveLength(1);
    expect(notices.join()).toContain('crosses itself');
  });

  it('thins ten thousand points to what can be edited, and stays within a twentieth of a millimetre', () => {
    const n = 10_000;
    const d = Array.from({ length: n }, (_, i) => {
      const a = (2 * Math.PI * i) / n;
      const r = 80 + 10 * Math.sin(7 * a);
      return `${100 + r * Math.cos(a)} ${100 + r * Math.sin(a)}`;
    }).join('L');
    const points = first(svg(`<path d="M${d}Z"/>`));
    expect(points.length).toBeLessThan(1000);
    // Exact: ½∫r² = π(80² + 10²/2).
    expect(polygonArea(points) / (Math.PI * (6400 + 50))).toBeCloseTo(1, 3);
  });
});
