import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../numeric/random';
import { pileList, partsOf, pilesOfStep, woolNeeds } from './pileList';
import { isStill, scaleLine } from './scaleLine';
import { simulatedScale } from './simulatedScale';
import { weigh } from './weigh';
import { weighState } from './weighState';

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
const face = (name: string, weight = 1) => ({ name, weight, layers: 3, equal: 1 });
const plan = (times = 1, grams = 60) =>
  weigh({ grams, times, piles: [face('side 1'), face('side 2')], reserveShare: 0.05, stepG: 0.5 });
const TWO_COLOURS = [
  [],
  [
    { woolId: 'fog', share: 1 },
    { woolId: 'kelp', share: 2 },
  ],
];
const OF = { colours: TWO_COLOURS, woolId: 'kelp' };

describe('piles', () => {
  it('a layer that is not named is of the piece’s wool; shares need not sum to one', () => {
    expect(partsOf(TWO_COLOURS, 0, 'kelp')).toEqual([{ woolId: 'kelp', share: 1 }]);
    expect(partsOf(TWO_COLOURS, 1, 'kelp').map(p => p.share)).toEqual([1 / 3, 2 / 3]);
    expect(partsOf([[{ woolId: 'fog', share: 0 }]], 0, null)).toEqual([{ woolId: null, share: 1 }]);
  });

  it('60 g over two faces and three layers, the middle one of two colours: eight piles that sum', () => {
    const piles = pileList(plan(), OF);
    expect(piles.map(p => p.grams)).toEqual([10, 3.5, 6.5, 10, 10, 3.5, 6.5, 10]);
    expect(piles.map(p => p.layer)).toEqual([1, 2, 2, 3, 1, 2, 2, 3]);
    expect(new Set(piles.map(p => p.id)).size).toBe(8);
  });

  it('sum exactly, whatever the colours', () => {
    const part = fc.record({
      woolId: fc.constantFrom('a', 'b', null),
      share: fc.double({ min: 0, max: 5, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.array(part, { maxLength: 3 }), { maxLength: 4 }),
        fc.double({ min: 1, max: 900, noNaN: true }),
        (colours, grams) => {
          const whole = plan(1, grams);
          expect(sum(pileList(whole, { ...OF, colours }).map(p => p.grams))).toBeCloseTo(whole.total, 6);
          expect(sum(woolNeeds(whole, { ...OF, colours }).map(n => n.grams))).toBeCloseTo(whole.take, 6);
        },
      ),
    );
  });

  it('of a pair are listed twice; needs are for both', () => {
    const pair = plan(2, 120);
    expect(pileList(pair, OF)).toHaveLength(16);
    expect(sum(woolNeeds(pair, OF).map(n => n.grams))).toBeCloseTo(pair.take, 6);
    expect(woolNeeds(pair, OF).find(n => n.woolId === 'fog')?.grams).toBeCloseTo(14 * (pair.take / 120), 6);
  });
});

describe('what is laid beside the layers', () => {
  const moon = {
    id: 'm',
    kind: 'motif',
    name: 'moon',
    face: 1,
    first: false,
    woolId: 'kelp',
    grams: 4,
  } as const;
  const laidOf = { ...OF, colours: [], decorations: [moon, { ...moon, id: 'n', grams: null }] };

  it('is a pile of its own where it is weighed; it has no part of the reserve', () => {
    const piles = pileList(plan(2, 120), laidOf);
    expect(piles.filter(p => p.decoration === 'moon').map(p => [p.id, p.piece, p.grams])).toEqual([
      ['1.d.m', 1, 4],
      ['2.d.m', 2, 4],
    ]);
    const [kelp] = woolNeeds(plan(), laidOf);
    expect(kelp?.grams).toBeCloseTo(plan().take + 4, 9);
  });

  it('takes nothing of what is re-divided, and gives nothing', () => {
    const state = weighState(pileList(plan(), laidOf), [{ pile: '1.1.1.1', grams: 15 }], 0.5);
    expect(state.piles.at(-1)).toMatchObject({ decoration: 'moon', wanted: 4 });
    const heavy = weighState(pileList(plan(), laidOf), [{ pile: '1.d.m', grams: 9 }], 0.5);
    expect(heavy.piles[0]?.wanted).toBe(10);
  });
});

describe('a step of laying', () => {
  it('takes the piles of its layer on its face, or of its decoration, and wetting takes none', () => {
    const piles = pileList(plan(), OF);
    const of = (side: number, layer: number) =>
      pilesOfStep({ id: 'x', act: 'lay', face: side, layer }, piles).map(p => [p.woolId, p.grams]);
    expect(of(2, 2)).toEqual([
      ['fog', 3.5],
      ['kelp', 6.5],
    ]);
    expect(of(1, 1)).toEqual([['kelp', 10]]);
    expect(pilesOfStep({ id: 'x', act: 'wet', face: 1 }, piles)).toEqual([]);
  });
});

describe('weighing out', () => {
  const piles = pileList(plan(), { ...OF, colours: [] });

  it('goes pile by pile; what was over is taken from what is left, and the sum stays', () => {
    const state = weighState(piles, [{ pile: '1.1.1.1', grams: 12.5 }], 0.5);
    expect(state.next?.id).toBe('1.1.2.1');
    expect(state.piles[0]).toMatchObject({ weighed: 12.5, isOff: true });
    expect(state.piles.slice(1).map(p => p.wanted)).toEqual([9.5, 9.5, 9.5, 9.5, 9.5]);
    expect(12.5 + sum(state.piles.slice(1).map(p => p.wanted))).toBe(60);
  });

  it('weighed again, a pile counts as it was weighed last; one that is no longer planned does not', () => {
    const twice = [
      { pile: '1.1.1.1', grams: 12 },
      { pile: '1.1.1.1', grams: 10 },
      { pile: '9.9.9.9', grams: 50 },
    ];
    expect(weighState(piles, twice, 0.5).piles[1]?.wanted).toBe(10);
  });

  it('never wants less than nothing, and ends', () => {
    const far = weighState(piles, [{ pile: '1.1.1.1', grams: 500 }], 0.5);
    expect(far.piles[5]?.wanted).toBe(0);
    const all = weighState(
      piles,
      piles.map(p => ({ pile: p.id, grams: p.grams })),
      0.5,
    );
    expect(all.next).toBeNull();
    expect(all.piles.some(p => p.isOff)).toBe(false);
  });

  it('alarms where the piles of a pair differ', () => {
    const pair = pileList(plan(2, 120), { ...OF, colours: [] });
    const weighed = [
      { pile: '1.1.1.1', grams: 10 },
      { pile: '2.1.1.1', grams: 11.5 },
    ];
    expect(weighState(pair, weighed, 0.5).unequal).toEqual([{ face: 'side 1', layer: 1, byG: 1.5 }]);
    expect(weighState(pair, [...weighed, { pile: '2.1.1.1', grams: 10.5 }], 0.5).unequal).toEqual([]);
  });
});

describe('a scale', () => {
  it.each([
    ['12.3 g', 12.3],
    ['ST,GS,+   12,3g', 12.3],
    ['  -0.2 g', -0.2],
    ['US - 4 g', -4],
    ['0.5 oz', 14.174_761_562_5],
    ['1.2 kg', 1200],
    ['17.5', 17.5],
    ['', null],
    ['Err', null],
    ['\u0000\u00ff\u0012', null],
    ['overload', null],
  ])('says %j, which is %s g', (line, grams) => {
    expect(scaleLine(line)?.toFixed(6)).toBe(grams?.toFixed(6));
  });

  it('without a unit says what it was set to', () => {
    expect(scaleLine('2.0', 'oz')).toBeCloseTo(56.699, 3);
  });

  it('reads any line without throwing', () => {
    fc.assert(
      fc.property(fc.string(), line => {
        const grams = scaleLine(line);
        expect(grams === null || Number.isFinite(grams)).toBe(true);
      }),
    );
  });

  it('stands still when its last readings agree within a step', () => {
    expect(isStill([9, 10, 10.1, 10.1, 10], 0.1)).toBe(true);
    expect(isStill([10, 10, 10], 0.1)).toBe(false);
    expect(isStill([10, 10.3, 10, 10], 0.1)).toBe(false);
  });

  it('simulated, settles on its load within two seconds, through the same lines', () => {
    const scale = simulatedScale({ stepG: 0.1, random: seeded(4) });
    scale.put(25);
    const first = scaleLine(scale.after(100)) ?? 0;
    expect(first).toBeLessThan(20);
    const later = Array.from({ length: 20 }, () => scaleLine(scale.after(150)) ?? 0);
    expect(later.at(-1)).toBeGreaterThan(24.7);
    expect(later.at(-1)).toBeLessThan(25.3);
    expect(isStill(later, 0.2)).toBe(true);
    scale.put(-5);
    expect(scale.load()).toBe(0);
  });
});
