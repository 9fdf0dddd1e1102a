import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boundsOf } from '../outline/polygon';
import { bottleSleeve } from './kinds/bottleSleeve';
import { cosy } from './kinds/cosy';
import { disc } from './kinds/disc';
import { planByGirths } from './envelopeByGirths';
import type { Station } from './station';
import { type FormPlan, type LayingTransform, measure } from './formKind';
import { laid, laying, netMm2 } from './testing/laying';
import { gaugeAxis } from './gaugeAxis';
import { checkMeasures, formKind } from './kinds/registry';
import { rectangle } from './kinds/rectangle';

const byGirths = (stations: readonly Station[], how: LayingTransform): FormPlan =>
  planByGirths({ stations, handles: [], alongOnTable: 'up' }, how);
const size = (plan: FormPlan) => {
  const b = boundsOf(plan.laid.points);
  return { along: b.maxX - b.minX, across: b.maxY - b.minY };
};

/** A round form of profile r(z), its girths met along the wall in n steps. */
const roundForm = (n: number, radius: (part: number) => number, wallLength: number): Station[] =>
  Array.from({ length: n + 1 }, (_, i) => ({
    along: (wallLength * i) / n,
    girth: 2 * Math.PI * radius(i / n),
  }));

describe('measuring lines', () => {
  it.each([
    [0, 'along'],
    [22, 'along'],
    [45, null],
    [90, 'across'],
    [135, null],
    [170, 'along'],
  ])('at %i° speak for %s', (deg, axis) => {
    expect(gaugeAxis(deg)).toBe(axis);
  });
});

describe('flat pieces', () => {
  it('a rectangle is scaled by each direction’s own factor', () => {
    const plan = laid(rectangle, { length: 300, width: 200 }, laying(0.4, 0.2));
    expect(size(plan).along).toBeCloseTo(500, 9);
    expect(size(plan).across).toBeCloseTo(250, 9);
    expect(netMm2(plan)).toBeCloseTo(125_000, 6);
    expect(plan.gauges.map(g => [g.id, g.laidMm, g.wantedMm])).toEqual([
      ['A', expect.closeTo(500, 9), 300],
      ['B', expect.closeTo(250, 9), 200],
    ]);
  });

  it('a folded-in edge adds its strip twice to each measure', () => {
    const plan = laid(rectangle, { length: 300, width: 200, strip: 12 }, laying(0.5, 0.5));
    expect(size(plan)).toEqual({ along: 624, across: 424 });
    expect(plan.finishedMm2).toBe(60_000);
  });

  it('a disc is laid as an ellipse of the exact area', () => {
    const plan = laid(disc, { diameter: 400 }, laying(0.36, 0.3));
    expect(netMm2(plan)).toBeCloseTo((Math.PI / 4) * (400 / 0.64) * (400 / 0.7), 3);
    expect(plan.finishedMm2).toBeCloseTo(Math.PI * 200 * 200, 3);
  });
});

describe('envelopes by girths', () => {
  it('ball of 50 mm: both faces are the surface of the sphere, 31 416 mm² (Pappus)', () => {
    const ball = roundForm(400, part => 50 * Math.sin(Math.PI * part), Math.PI * 50);
    const plan = byGirths(ball, laying(0, 0));
    expect(netMm2(plan)).toBeCloseTo(31_416, -1);
    expect(plan.edgeSurplus?.ratio).toBeCloseTo(1.464, 3);
  });

  it('cone r 60, height 200 at s 0.30: 269.3 wide at the mouth, 298.3 long, both faces 80 325 mm²', () => {
    const slant = Math.hypot(60, 200);
    expect(slant).toBeCloseTo(208.8, 1);
    const plan = byGirths(
      roundForm(1, part => 60 * part, slant),
      laying(0.3, 0.3),
    );
    expect(size(plan).across).toBeCloseTo(269.3, 1);
    expect(size(plan).along).toBeCloseTo(298.3, 1);
    expect(netMm2(plan)).toBeCloseTo(80_325, -1);
  });

  const VESSEL: readonly Station[] = [
    { along: 0, girth: 0 },
    { along: 38, girth: 240 },
    { along: 60, girth: 250 },
    { along: 180, girth: 250 },
    { along: 230, girth: 120 },
    { along: 270, girth: 105 },
  ];

  it('the six-station vessel: 53 700 mm² finished, 127 372 mm² laid, 435.5 long, 183.8 at the widest', () => {
    expect(byGirths(VESSEL, laying(0, 0)).finishedMm2).toBeCloseTo(53_700, 6);
    const plan = byGirths(VESSEL, laying(0.38, 0.32));
    expect(netMm2(plan)).toBeCloseTo(127_372, 0);
    expect(size(plan).along).toBeCloseTo(435.5, 1);
    expect(size(plan).across).toBeCloseTo(183.8, 1);
  });

  it('measures the width in the middle of the widest stretch, where no corner rounds it off', () => {
    const [, width, mouth] = byGirths(VESSEL, laying(0, 0)).gauges;
    // The stretch runs from 60 to 180 of 270 mm, drawn about the middle.
    expect(width?.from.x).toBeCloseTo(120 - 135, 9);
    expect(width?.wantedMm).toBe(125);
    expect(mouth?.from.x).toBeCloseTo(135, 9);
  });

  it('the thickness of the resist comes off its flat width and not off the gauge', () => {
    const thin = byGirths(VESSEL, laying(0.38, 0.32));
    const thick = byGirths(VESSEL, laying(0.38, 0.32, { resist: 6 }));
    expect(size(thin).across - size(thick).across).toBeCloseTo(6, 9);
    expect(thick.gauges[1]?.laidMm).toBe(thin.gauges[1]?.laidMm);
  });

  it('leaves one edge open, the mouth, and lays no fold-over past it', () => {
    const plan = byGirths(VESSEL, laying(0.38, 0.32, { foldOver: 15 }));
    expect(plan.laid.open.filter(Boolean)).toHaveLength(1);
    const mouthX = boundsOf(plan.laid.points).maxX;
    for (const face of plan.faces) {
      expect(face.woolMm2).toBeGreaterThan(face.netMm2 * 1.1);
      expect(boundsOf(face.wool.flat()).maxX).toBeLessThanOrEqual(mouthX + 0.001);
    }
  });

  it('two faces carry the same wool, whatever the girths', () => {
    const girths = fc.array(fc.double({ min: 20, max: 900, noNaN: true }), { minLength: 2, maxLength: 12 });
    fc.assert(
      fc.property(girths, fc.double({ min: 0, max: 0.6, noNaN: true }), (g, s) => {
        const stations = g.map((girth, i) => ({ along: i * 40, girth }));
        const plan = byGirths(stations, laying(s, s));
        const trapezia = g.slice(1).reduce((sum, girth, i) => sum + 20 * (girth + (g[i] ?? 0)), 0);
        expect(netMm2(plan) * (1 - s) ** 2).toBeCloseTo(trapezia, 3);
        expect(plan.faces[0]?.woolMm2).toBe(plan.faces[1]?.woolMm2);
      }),
      { numRuns: 60 },
    );
  });

  it('a bottle sleeve’s base spreads to a flat disc: its girth is 2π times its way from the middle', () => {
    const plan = laid(bottleSleeve, { ease: 0 }, laying(0, 0));
    const base = 260 / (2 * Math.PI);
    expect(plan.gauges[0]?.wantedMm).toBeCloseTo(base + 200 + 50 + 30, 9);
    // Area of wall, shoulder, collar and a flat base of girth·radius/2.
    expect(plan.finishedMm2).toBeCloseTo(260 * 200 + (50 * (260 + 140)) / 2 + 30 * 140 + (base * 260) / 2, 6);
  });

  it('a cosy’s crown is tessellated closely: twice the stations change its area by under 0.2 %', () => {
    const { finishedMm2 } = laid(cosy, { ease: 0 }, laying(0, 0));
    const girth = measure(cosy.defaults, 'girth');
    const crown = (girth * measure(cosy.defaults, 'crown') * 2) / Math.PI;
    const wall = ((girth + measure(cosy.defaults, 'hem')) / 2) * measure(cosy.defaults, 'height');
    expect(finishedMm2 / (crown + wall)).toBeCloseTo(1, 2);
  });
});

describe('the measures of a form', () => {
  it('refuses what cannot be, with the path of the measure', () => {
    const wide = checkMeasures(bottleSleeve, { ...bottleSleeve.defaults, neck: 400 });
    expect(wide.ok).toBe(false);
    const bad = checkMeasures(rectangle, { length: Number.NaN, width: 0, strip: 0 });
    expect(bad).toMatchObject({
      ok: false,
      issues: [
        { code: 'OUT_OF_RANGE', path: 'plan.form.measures.length' },
        { code: 'OUT_OF_RANGE', path: 'plan.form.measures.width' },
      ],
    });
    expect(checkMeasures(rectangle, { length: 100 })).toMatchObject({
      ok: false,
      issues: [{ code: 'MEASURE_MISSING' }, { code: 'MEASURE_MISSING' }],
    });
    expect(formKind('balloon')).toMatchObject({
      ok: false,
      issues: [{ code: 'UNKNOWN_FORM', got: 'balloon' }],
    });
  });

  it('refuses girth stations that run backwards', () => {
    const kind = formKind('girth-stations');
    if (!kind.ok) throw new Error('missing');
    const measures = { along1: 0, girth1: 100, along2: 80, girth2: 100, along3: 70, girth3: 90 };
    expect(checkMeasures(kind.value, measures)).toMatchObject({
      ok: false,
      issues: [{ detail: expect.stringContaining('Place 3') }],
    });
  });
});
