import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { divide, roundToStep } from './divide';
import type { Habits } from '../ways/habits';
import type { LayBuild } from '../ways/layBuild';
import { fibreDirection, type LayOrder, laySteps } from './layOrder';
import { splitScheme } from './splitScheme';
import { weigh } from './weigh';

const step = fc.constantFrom(0.1, 0.5, 1, 2, 5);
const sum = (parts: readonly number[]): number => parts.reduce((a, b) => a + b, 0);

describe('layers', () => {
  it('each crosses the one before, the first along (common practice)', () => {
    expect([0, 1, 2, 3].map(i => fibreDirection('crossed', i))).toEqual([0, 90, 0, 90]);
    expect([0, 1].map(i => fibreDirection('single', i))).toEqual([0, 0]);
    expect(fibreDirection('radial', 1)).toBe('radial');
  });

  it('over a resist: a face is laid, wetted, covered, flipped, and its spill folded over, by school', () => {
    const acts = (order: LayOrder): string =>
      laySteps({ faces: 2, layers: 3, order })
        .map(s => (s.layer === undefined ? (s.act[0] ?? '') : String(s.layer)) + s.face)
        .join(' ');
    expect(acts('all')).toBe('11 21 31 w1 c1 f1 f1 12 22 32 w2 c2 f2 f2');
    expect(acts('two')).toBe('11 21 w1 c1 f1 f1 12 22 w2 c2 f2 f2 31 w1 c1 f1 f1 32 w2 c2 f2 f2');
    expect(acts('one').match(/w/g)).toHaveLength(6);
    // Mixed: two a flip, then one.
    expect(acts('two-one')).toBe('11 21 w1 c1 f1 f1 12 22 w2 c2 f2 f2 31 w1 c1 f1 f1 32 w2 c2 f2 f2');
    expect(laySteps({ faces: 2, layers: 4, order: 'two-one' }).filter(s => s.act === 'flip')).toHaveLength(6);
    // Laid wide on one side only, and closed over the resist: the wool of both sides at once, and nothing is turned.
    const wide = laySteps({ faces: 2, layers: 2, order: 'wide' });
    expect(wide.map(s => s.act)).toEqual(['lay', 'lay', 'place', 'close', 'wet', 'cover']);
    expect(wide[0]).toMatchObject({ isWide: true });
  });

  it('every way has its own making: dabbed on in rounds with rubbing between, wrapped, on plastic for a tube, twisted', () => {
    const acts = (build: LayBuild, faces: number, layers: number, habits: Habits = {}): string =>
      laySteps({ build, faces, layers, order: 'all', habits })
        .map(s => (s.act === 'lay' ? String(s.layer) : s.act))
        .join(' ');
    expect(acts('dabbed', 1, 4)).toBe('blow 1 wet felt 2 wet felt 3 4 loop wet');
    expect(acts('wrapped', 2, 1)).toBe('wad wrap bag');
    expect(acts('wound', 1, 1, { needle: 'first' })).toBe('wind tack');
    expect(acts('strip', 1, 2)).toBe('plastic 1 2 wet cover roll-up');
    expect(acts('twisted', 1, 1)).toBe('twist tip');
    // In a basin nothing lies on it; with bare hands nothing does either.
    expect(acts('bare', 1, 2)).toBe('1 2 wet');
    expect(acts('turned', 1, 2, { cover: 'hands' })).toBe('1 2 wet');
    for (const build of ['dabbed', 'wrapped', 'strip', 'twisted', 'bare', 'stacked'] as const) {
      const steps = laySteps({ build, faces: 2, layers: 3, order: 'all' });
      expect(new Set(steps.map(s => s.id)).size).toBe(steps.length);
    }
  });

  it('a stem is made first, what lies face down is laid before the wool, and the rest on the last layer', () => {
    const decoration = (id: string, kind: 'motif' | 'silk' | 'stem', first: boolean, face = 1) => ({
      id,
      kind,
      name: id,
      face,
      first,
      woolId: null,
      grams: null,
    });
    const steps = laySteps({
      faces: 2,
      layers: 2,
      order: 'one',
      decorations: [
        decoration('moon', 'motif', true),
        decoration('silk', 'silk', false, 2),
        decoration('stalk', 'stem', false),
      ],
    });
    const at = (id: string): number => steps.findIndex(s => s.id === id);
    expect(steps[0]).toMatchObject({ act: 'make', what: { id: 'stalk' } });
    expect(at('decorate.1.moon')).toBeLessThan(at('lay.1.1'));
    expect(at('decorate.1.stalk')).toBe(at('lay.1.2') + 1);
    expect(at('decorate.2.silk')).toBe(at('lay.2.2') + 1);
    expect(new Set(steps.map(s => s.id)).size).toBe(steps.length);
  });

  it('a sheet is laid, wetted and covered; every layer of every face is laid once, and no step is named twice', () => {
    // A grid between two sheets is laid on, and nothing is turned or folded.
    expect(
      laySteps({ build: 'stacked', faces: 2, layers: 2, order: 'one' }).map(s => `${s.act} ${s.face}`),
    ).toEqual(['lay 1', 'lay 1', 'grid 1', 'lay 2', 'lay 2', 'wet 2', 'cover 2']);
    // A body has no layers: the core is wound up, and the cover wrapped around it.
    expect(laySteps({ build: 'wound', faces: 2, layers: 1, order: 'all' }).map(s => s.act)).toEqual([
      'wind',
      'wrap',
    ]);
    expect(laySteps({ faces: 1, layers: 2, order: 'all' }).map(s => s.act)).toEqual([
      'lay',
      'lay',
      'wet',
      'cover',
    ]);
    for (const order of ['all', 'two', 'one', 'two-one'] as const) {
      const steps = laySteps({ faces: 2, layers: 5, order });
      expect(steps.filter(s => s.act === 'lay')).toHaveLength(10);
      expect(new Set(steps.map(s => s.id)).size).toBe(steps.length);
    }
  });
});

describe('dividing', () => {
  it('30 g over two faces, three layers and two colours is twelve parts of 2.5 g', () => {
    expect(
      divide(
        30,
        Array.from({ length: 12 }, () => 1),
        0.5,
      ),
    ).toEqual(Array.from({ length: 12 }, () => 2.5));
  });

  it('sums exactly to the total on the scale, and no part is further than a step from its share', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.array(fc.double({ min: 0.01, max: 10, noNaN: true }), { minLength: 1, maxLength: 30 }),
        step,
        (total, weights, stepG) => {
          const parts = divide(total, weights, stepG);
          const whole = roundToStep(total, stepG);
          expect(sum(parts)).toBeCloseTo(whole, 6);
          parts.forEach((part, i) => {
            expect(Math.abs(part - (whole * (weights[i] ?? 0)) / sum(weights))).toBeLessThan(stepG + 1e-6);
            expect(Math.abs(part / stepG - Math.round(part / stepG))).toBeLessThan(1e-6);
          });
        },
      ),
    );
  });

  it('of nothing, or by nothing, is nothing', () => {
    expect(divide(0, [1, 1], 1)).toEqual([0, 0]);
    expect(divide(30, [0, 0], 1)).toEqual([0, 0]);
  });
});

describe('splitting by hand', () => {
  it('twelve parts: halve, halve, thirds', () => {
    expect(splitScheme(12).map(s => s.into)).toEqual([2, 2, 3]);
    expect(splitScheme(12).every(s => s.byHand)).toBe(true);
  });

  it('fives and sevens want the scale', () => {
    expect(splitScheme(10)).toEqual([
      { into: 2, heaps: 2, byHand: true },
      { into: 5, heaps: 10, byHand: false },
    ]);
    expect(splitScheme(1)).toEqual([]);
  });

  it('always ends at the number of parts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 400 }), n => {
        expect(splitScheme(n).at(-1)?.heaps).toBe(n);
      }),
    );
  });
});

describe('weighing out', () => {
  const pile = (name: string, weight: number, layers: number) => ({ name, weight, layers, equal: 1 });
  const piles = [pile('side 1', 60_000, 3), pile('side 2', 60_000, 3)];

  it('gives faces and layers that sum, and a reserve that is never rounded away', () => {
    const plan = weigh({ grams: 42.6, times: 1, piles, reserveShare: 0.05, stepG: 1 });
    expect(plan.total).toBe(43);
    expect(sum(plan.faces.map(f => f.grams))).toBe(43);
    for (const face of plan.faces) expect(sum(face.layers)).toBe(face.grams);
    expect(plan.reserve).toBe(3);
    expect(plan.take).toBe(46);
    expect(plan.parts).toBe(6);
    expect(plan.partGrams).toBeCloseTo(7.1, 6);
  });

  it('gives a larger face its larger share', () => {
    const plan = weigh({
      grams: 90,
      times: 1,
      piles: [pile('back and flap', 20, 2), pile('front', 10, 2)],
      reserveShare: 0,
      stepG: 1,
    });
    expect(plan.faces.map(f => f.grams)).toEqual([60, 30]);
    expect(plan.reserve).toBe(0);
  });
});
