import { describe, expect, it } from 'vitest';
import { bottleSleeve } from '../core/forms/kinds/bottleSleeve';
import { cosy } from '../core/forms/kinds/cosy';
import { disc } from '../core/forms/kinds/disc';
import { makePlan } from '../core/plan/makePlan';
import { loadRecord } from './migrate';
import { newWool, woolKind } from './wool';
import { pieceKind } from './piece';
import { DEFAULT_SETTINGS, settingsSpec } from './settings';

const NOW = '2026-03-01T10:00:00.000Z';

/** A piece as version 1 kept it. */
const old = (
  kind: string,
  measures: Record<string, number>,
  chain: Record<string, number> = {},
  given = ['size'],
) => ({
  kind: 'piece',
  version: 1,
  id: 'old-piece',
  createdAt: '2026-01-01T10:00:00.000Z',
  updatedAt: '2026-01-01T10:00:00.000Z',
  revision: 3,
  deletedAt: null,
  sample: false,
  name: 'Old piece',
  notes: '',
  woolId: null,
  shrinkageFrom: 'practice',
  plan: {
    form: { kind, measures },
    shrinkage: { along: 0.36, across: 0.33 },
    pinned: [],
    given: [...given, 'shrinkage', 'layers', 'thickness', 'firmness'],
    chain: { layers: 3, thickness: 3.5, firmness: 0.22, ...chain },
    foldOverMm: 15,
    resistMm: 0,
    keptShare: 0.97,
    reserveShare: 0.05,
    scaleStepG: 1,
  },
  result: { readings: {}, grams: null, thicknessMm: null, finishedAt: null },
});
const loaded = (raw: unknown) => {
  const got = loadRecord(pieceKind, raw, '');
  if (got.status !== 'ok') throw new Error(JSON.stringify(got));
  const plan = makePlan(got.value.plan);
  if (!plan.ok) throw new Error(JSON.stringify(plan.issues));
  return { piece: got.value, plan: plan.value };
};

describe('a drop and an egg from before they had a cap', () => {
  it('are made to their own size, as they were', () => {
    const given = { length: 60, width: 40 };
    expect(loaded(old('egg', { ...given, lean: 0.1 })).plan.measures).toMatchObject({ ...given, over: 0 });
    expect(loaded(old('drop', given)).plan.measures).toMatchObject({ ...given, over: 0 });
  });
});

describe('a cone and a flap pocket from before their edges could be folded in', () => {
  it('have none, and are laid as they were', () => {
    const cone = loaded(old('cone', { base: 120, height: 200 })).plan;
    expect(cone.measures).toMatchObject({ base: 120, height: 200, hem: 0 });
    expect(cone.form.folds).toEqual([]);
    const pocket = { height: 140, width: 200, flap: 100, corner: 20, flapCorner: 50 };
    expect(loaded(old('flap-pocket', pocket)).plan.measures).toMatchObject({ ...pocket, hem: 0 });
  });
});

describe('a piece from version 1', () => {
  const SLEEVE = { body: 255, height: 205, shoulder: 45, neck: 135, collar: 30 };

  it('is one piece, measured inside, without the allowances that came later: its plan stays as it was', () => {
    const { piece, plan } = loaded(old('bottle-sleeve', SLEEVE));
    expect(piece.version).toBe(11);
    expect(piece.finishing).toBeNull();
    expect(piece.habits).toEqual({});
    expect([piece.way, piece.judge]).toEqual([null, 'tape']);
    expect(piece.recipe).toBeNull();
    expect(piece.colours).toEqual([]);
    expect(piece.laying).toEqual({ order: 'all', fibres: 'crossed', decorations: [] });
    expect(piece.plan).toMatchObject({
      pieces: 1,
      form: { outline: null, measuredOn: 'inside', measures: { ...SLEEVE, ease: 0 } },
    });
    // Length on the wall: a base of 255/2π, then wall, shoulder and collar; laid at 0.36 and 0.33.
    const length = 255 / (2 * Math.PI) + 205 + 45 + 30;
    expect(plan.form.gauges[0]?.laidMm).toBeCloseTo(length / 0.64, 6);
    expect(plan.form.gauges[1]?.laidMm).toBeCloseTo(255 / 2 / 0.67, 6);
  });

  it('keeps a laid size that was held, as the length it now speaks of', () => {
    const height = 205;
    const { plan } = loaded(old('bottle-sleeve', SLEEVE, { laidSize: height / 0.64 }, ['laidSize']));
    expect(plan.measures['height']).toBeCloseTo(height, 6);
    const cosyPlan = loaded(
      old('cosy', { girth: 540, crown: 130, height: 110, hem: 580 }, { laidSize: 110 / 0.64 }, ['laidSize']),
    ).plan;
    expect(cosyPlan.measures['height']).toBeCloseTo(110, 6);
    expect(cosyPlan.measures['crown']).toBeCloseTo(130, 6);
  });

  it('has every measure that its form asks for now', () => {
    for (const [kind, measures] of [
      [bottleSleeve, SLEEVE],
      [cosy, { girth: 540, crown: 130, height: 110, hem: 580 }],
      [disc, { diameter: 380, strip: 0 }],
    ] as const)
      expect(Object.keys(loaded(old(kind.kind, measures)).piece.plan.form.measures).toSorted()).toEqual(
        Object.keys(kind.defaults).toSorted(),
      );
  });

  it('had decorations of no wool on the shelf until version 4', () => {
    const third = {
      ...loaded(old('disc', { diameter: 380, strip: 0 })).piece,
      version: 3,
      laying: {
        order: 'two',
        fibres: 'radial',
        decorations: [{ id: 'd1', kind: 'silk', name: 'veil', face: 1, first: true }],
      },
    };
    const { laying } = loaded(third).piece;
    expect(laying).toMatchObject({
      order: 'two',
      decorations: [{ name: 'veil', woolId: null, grams: null }],
    });
    expect(loadRecord(pieceKind, { ...third, laying: { decorations: [5] } }, '').status).toBe('invalid');
  });

  it('that is damaged is refused, not mended in silence', () => {
    const { plan: _, ...without } = old('disc', { diameter: 380 });
    expect(loadRecord(pieceKind, without, 'pieces[0]').status).toBe('invalid');
    expect(loadRecord(pieceKind, { ...without, plan: 3 }, 'pieces[0]').status).toBe('invalid');
  });
});

describe('settings from version 1', () => {
  it('keep what was chosen; paper lies as takes fewest sheets', () => {
    const { orientation: _o, snap: _s, hand: _h, pace: _p, pacer: _q, ...first } = DEFAULT_SETTINGS;
    const got = loadRecord(settingsSpec, { ...first, version: 1, page: 'letter', units: 'imperial' }, '');
    expect(got).toMatchObject({
      status: 'ok',
      value: {
        page: 'letter',
        units: 'imperial',
        orientation: 'auto',
        snap: 'half',
        hand: null,
        pacer: 'tick',
      },
    });
  });
});

describe('a wool from version 1', () => {
  const first = (gramsLeft: number | null) => {
    const {
      sort: _s,
      micron: _m,
      per100g: _p,
      gramsCounted: _g,
      countedAt: _c,
      ropeGPerM: _r,
      ...rest
    } = newWool({
      id: 'w1',
      name: 'Fog',
      fibre: 'Suffolk',
      form: 'batt',
      colour: '#b9bfc2',
      now: NOW,
    });
    return { ...rest, version: 1, gramsLeft };
  };

  it('keeps its grams, counted when it was last changed; it is wool', () => {
    expect(loadRecord(woolKind, first(640), '')).toMatchObject({
      status: 'ok',
      value: { gramsCounted: 640, countedAt: NOW, sort: 'wool', micron: null },
    });
    expect(loadRecord(woolKind, first(null), '')).toMatchObject({
      status: 'ok',
      value: { gramsCounted: null, countedAt: null },
    });
  });
});
