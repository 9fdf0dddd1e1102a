import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHAIN, type ChainContext, type ChainValues, type PartialChain } from './quantities';
import { solveChain } from './solveChain';

/** A round pad: laid area of the ellipse it is laid as. */
const pad = (acrossRatio = 1): ChainContext => ({
  acrossRatio,
  body: 'sheet',
  pieces: 1,
  faces: 1,
  volumeCm3: () => Number.NaN,
  volumeNeedsShrinkage: false,
  keptShare: 0.97,
  nominalSizeMm: 400,
  laidAreaM2: (size, s) => (Math.PI / 4) * (size / (1 - s.along)) * (size / (1 - s.across)) * 1e-6,
});

const PAD: PartialChain = { size: 400, shrinkage: 0.33, thickness: 8, firmness: 0.25, layers: 4 };

const solved = (pins: PartialChain, ctx = pad()): ChainValues => {
  const solution = solveChain(pins, ctx);
  if (solution.status !== 'solved') throw new Error(JSON.stringify(solution));
  return solution.values;
};

const pick = (values: ChainValues, links: ReadonlyArray<keyof ChainValues>): PartialChain =>
  Object.fromEntries(links.map(link => [link, values[link]]));

describe('the chain, forwards', () => {
  // Exact: laid 400/0.67; g1 = t·1000·ρ = 2000; g0 = 2000·0.67²/0.97; G = g0·π·0.597²/4.
  it('pad ⌀ 400 mm, s 0.33, t 8 mm, ρ 0.25 is laid 597.0 mm and takes 259.1 g', () => {
    const values = solved(PAD);
    expect(values.laidSize).toBeCloseTo(597.0, 1);
    expect(values.arealLaid).toBeCloseTo(925.6, 1);
    expect(values.grams).toBeCloseTo(259.1, 1);
    expect(values.gramsPerLayer).toBeCloseTo(259.1 / 4, 1);
  });

  it('grams are density × volume ÷ the share that stays, whatever the shrinkage', () => {
    const volumeCm3 = (Math.PI / 4) * 40 * 40 * 0.8;
    for (const shrinkage of [0, 0.2, 0.5])
      expect(solved({ ...PAD, shrinkage }).grams).toBeCloseTo((0.25 * volumeCm3) / 0.97, 6);
  });
});

describe('the chain, backwards', () => {
  it('from 259.1 g back to ⌀ 400 mm', () => {
    const { grams } = solved(PAD);
    const { size } = solved({ grams, shrinkage: 0.33, thickness: 8, firmness: 0.25, layers: 4 });
    expect(size).toBeCloseTo(400, 3);
  });

  it('a resist already cut and the wool you have left tell the shrinkage and the size', () => {
    const all = solved(PAD);
    const back = solved(pick(all, ['laidSize', 'grams', 'thickness', 'firmness', 'layers']));
    expect(back.shrinkage).toBeCloseTo(0.33, 5);
    expect(back.size).toBeCloseTo(400, 2);
  });

  const SETS: ReadonlyArray<ReadonlyArray<keyof ChainValues>> = [
    ['size', 'shrinkage', 'layers', 'thickness', 'grams'],
    ['size', 'shrinkage', 'layers', 'firmness', 'grams'],
    ['size', 'laidSize', 'layers', 'firmness', 'thickness'],
    ['laidSize', 'shrinkage', 'gramsPerLayer', 'layers', 'firmness'],
    ['size', 'shrinkage', 'gramsPerLayer', 'thickness', 'firmness'],
    ['laidSize', 'arealLaid', 'thickness', 'firmness', 'layers'],
    ['arealLaid', 'thickness', 'firmness', 'grams', 'layers'],
    ['laidSize', 'gramsPerLayer', 'layers', 'thickness', 'firmness'],
  ];

  it.each(SETS.map(s => [s.join(', '), s] as const))(
    'any full set of pins gives the rest back: %s',
    (_, links) => {
      const piece = fc.record({
        size: fc.double({ min: 60, max: 1500, noNaN: true }),
        shrinkage: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
        thickness: fc.double({ min: 1, max: 15, noNaN: true }),
        firmness: fc.double({ min: 0.08, max: 0.4, noNaN: true }),
        layers: fc.integer({ min: 1, max: 12 }),
        ratio: fc.double({ min: 0.7, max: 1.3, noNaN: true }),
      });
      fc.assert(
        fc.property(piece, ({ ratio, ...pins }) => {
          const ctx = pad(ratio);
          const all = solved(pins, ctx);
          const back = solved(pick(all, links), ctx);
          for (const link of CHAIN) expect((back[link] ?? 0) / (all[link] ?? 1)).toBeCloseTo(1, 4);
        }),
        { numRuns: 60 },
      );
    },
  );
});

describe('too many or too few pins', () => {
  it('says which links are still free', () => {
    const solution = solveChain({ size: 400, shrinkage: 0.33, layers: 4 }, pad());
    expect(solution).toMatchObject({
      status: 'free',
      free: ['grams', 'arealLaid', 'gramsPerLayer', 'thickness', 'firmness'],
      values: { laidSize: expect.closeTo(597.0, 1) },
    });
  });

  it('says which pins disagree, and what each would have to be', () => {
    const solution = solveChain({ ...PAD, grams: 200 }, pad());
    expect(solution.status).toBe('disagree');
    if (solution.status !== 'disagree') return;
    expect(solution.pins).toContain('grams');
    expect(solution.pins).not.toContain('layers');
    const needs = Object.fromEntries(solution.waysOut.map(w => [w.link, w.needs]));
    expect(needs['grams']).toBeCloseTo(259.1, 1);
    expect(needs['thickness']).toBeCloseTo((8 * 200) / 259.1004, 3);
    expect(needs['firmness']).toBeCloseTo((0.25 * 200) / 259.1004, 4);
    // Grams go with the square of the diameter at equal thickness.
    expect(needs['size']).toBeCloseTo(400 * Math.sqrt(200 / 259.1004), 2);
  });

  it('takes each way out: with it, the pins agree', () => {
    const pins = { ...PAD, grams: 200 };
    const solution = solveChain(pins, pad());
    if (solution.status !== 'disagree') throw new Error('expected a disagreement');
    expect(solution.waysOut.length).toBeGreaterThan(2);
    for (const way of solution.waysOut)
      expect(solveChain({ ...pins, [way.link]: way.needs }, pad()).status).toBe('solved');
  });

  it('does not call a rounding of the tape or scale a disagreement', () => {
    const all = solved(PAD);
    expect(solveChain({ ...all, grams: 259 }, pad()).status).toBe('solved');
    expect(solveChain({ ...all, grams: 265 }, pad()).status).toBe('disagree');
  });

  it('a laid size smaller than the finished one is a disagreement between those two', () => {
    const solution = solveChain({ size: 400, laidSize: 300, layers: 4, thickness: 8, firmness: 0.25 }, pad());
    expect(solution).toMatchObject({ status: 'disagree', pins: ['size', 'laidSize'] });
  });

  it('does not invent a shrinkage that cannot be read from the pins', () => {
    // Size, thickness, firmness and grams are tied whatever the shrinkage is.
    const tied = solveChain({ size: 400, grams: 200, thickness: 8, firmness: 0.25, layers: 4 }, pad());
    expect(tied.status).toBe('disagree');
  });

  it('never answers with NaN', () => {
    fc.assert(
      fc.property(
        fc.record(
          Object.fromEntries(
            CHAIN.map(link => [
              link,
              fc.option(fc.double({ min: 1e-6, max: 1e6, noNaN: true }), { nil: undefined }),
            ]),
          ),
        ),
        raw => {
          const pins: PartialChain =
            raw.shrinkage === undefined ? raw : { ...raw, shrinkage: raw.shrinkage / 1.2e6 };
          const { values } = solveChain(pins, pad());
          expect(Object.entries(values).filter(([, value]) => Number.isNaN(value))).toEqual([]);
        },
      ),
      { numRuns: 300 },
    );
  });
});
