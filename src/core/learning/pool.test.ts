import fc from 'fast-check';
import { inverse, Matrix } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { quickest } from '../numeric/testing/quickest';
import { GENERAL_SHRINKAGE, SHARES, shrinkageLearner, type ShrinkageReading } from './expectedShrinkage';
import { type Evidence, pool, type Trust, trustIn } from './pool';

const S0 = 0.0144;
const asked = (evidence: readonly Evidence[]) => {
  const known = { priorVariance: S0, shares: SHARES, evidence };
  const trust = trustIn(known);
  return { ...pool(known, { woolId: 'w', breedId: 'b' }, trust), trust };
};
const reading = (
  id: string,
  woolId: string,
  breedId: string,
  shift: number,
  variance = 0.0004,
): Evidence => ({
  id,
  woolId,
  breedId,
  shift,
  variance,
});

/** The same by the whole covariance at once: no tree, one matrix. Trust is as it was found. */
const byMatrix = (evidence: readonly Evidence[], trust: Trust) => {
  const shared = (a: { woolId: string; breedId: string }, b: { woolId: string; breedId: string }): number => {
    const sameWool = a.woolId === b.woolId;
    const sameBreed = sameWool || (a.breedId !== '' && a.breedId === b.breedId);
    return S0 * (SHARES.maker + (sameBreed ? SHARES.breed : 0) + (sameWool ? SHARES.wool : 0));
  };
  const target = { woolId: 'w', breedId: 'b' };
  const cov = new Matrix(
    evidence.map((a, i) =>
      evidence.map(
        (b, j) => shared(a, b) + (i === j ? S0 * SHARES.piece + a.variance / (trust.get(a.id) ?? 1) : 0),
      ),
    ),
  );
  const cross = new Matrix([evidence.map(e => shared(target, e))]);
  const gain = cross.mmul(inverse(cov));
  const shift = gain.mmul(Matrix.columnVector(evidence.map(e => e.shift))).get(0, 0);
  const wool = S0 * (1 - SHARES.piece) - gain.mmul(cross.transpose()).get(0, 0);
  return { shift, variance: wool + S0 * SHARES.piece };
};

describe('pooling', () => {
  it('one reading, by hand: normal prior times normal reading', () => {
    // Prior of the wool 0.65·S0 = 0.00936; the piece and its reading add 0.35·S0 + 0.0004 = 0.00544.
    // Mean 0.05 · 0.00936/(0.00936 + 0.00544) = 0.031622; variance 1/(1/0.00936 + 1/0.00544) = 0.0034404, and the next piece's own.
    const one = asked([{ ...reading('p', 'w', 'b', 0.05) }]);
    const trust = one.trust.get('p') ?? 0;
    const width = 0.35 * S0 + 0.0004 / trust;
    expect(one.shift).toBeCloseTo((0.05 * 0.00936) / (0.00936 + width), 12);
    expect(one.variance).toBeCloseTo(1 / (1 / 0.00936 + 1 / width) + 0.35 * S0, 12);
    expect(trust).toBeGreaterThan(0.95);
    expect(one.shift).toBeCloseTo(0.0316, 3);
  });

  it('knows nothing before the first', () => {
    expect(asked([])).toMatchObject({ shift: 0, ownShare: 0 });
    expect(asked([]).variance).toBeCloseTo(S0, 12);
  });

  it('agrees with the whole covariance, whatever was finished of whichever wool', () => {
    const any = fc.record({
      woolId: fc.constantFrom('w', 'v', 'u', 't'),
      shift: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
      variance: fc.double({ min: 0.0001, max: 0.01, noNaN: true }),
    });
    // Wool u is of a breed that is not known; v of the same breed as w.
    const breedOf: Record<string, string> = { w: 'b', v: 'b', u: '', t: 'c' };
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 12 }), all => {
        const evidence = all.map((e, i) => ({ ...e, id: `e${i}`, breedId: breedOf[e.woolId] ?? '' }));
        const pooled = asked(evidence);
        const whole = byMatrix(evidence, pooled.trust);
        expect(pooled.shift).toBeCloseTo(whole.shift, 9);
        expect(pooled.variance).toBeCloseTo(whole.variance, 9);
      }),
      { numRuns: 200 },
    );
  });

  it('its own wool counts most, then its breed, then any other of the maker', () => {
    const [own, breed, other] = [
      asked([reading('a', 'w', 'b', 0.1)]),
      asked([reading('a', 'v', 'b', 0.1)]),
      asked([reading('a', 't', 'c', 0.1)]),
    ].map(p => p.shift);
    expect(own).toBeGreaterThan(breed ?? 0);
    expect(breed).toBeGreaterThan(other ?? 0);
    expect(other).toBeGreaterThan(0);
  });

  it('a piece far out among many counts little', () => {
    const sound = [0.02, 0.03, 0.01, 0.025].map((shift, i) => reading(`s${i}`, 'w', 'b', shift));
    const pooled = asked([...sound, reading('odd', 'w', 'b', 0.9)]);
    expect(pooled.trust.get('odd')).toBeLessThan(0.1);
    expect(pooled.shift).toBeLessThan(0.06);
  });
});

describe('the expected shrinkage of a wool', () => {
  const shown = (id: string, along: number, across: number | null, isSwatch = false): ShrinkageReading => ({
    id,
    name: id,
    woolId: 'w',
    breedId: '',
    felts: null,
    isSwatch,
    along,
    across,
  });
  const of = (all: readonly ShrinkageReading[]) =>
    shrinkageLearner(all)({ woolId: 'w', breedId: '', felts: null });

  it('is 33 %, 22 to 43, before anything was finished (common practice)', () => {
    const { along, ownShare } = of([]);
    expect(along.mean).toBeCloseTo(0.33, 12);
    expect(along.least).toBeCloseTo(
      1 - Math.exp(-GENERAL_SHRINKAGE.mean + 1.2816 * GENERAL_SHRINKAGE.sd),
      12,
    );
    expect([along.least, along.most].map(v => Math.round(100 * v))).toEqual([22, 43]);
    expect(ownShare).toBe(0);
  });

  it('moves towards what was shown, narrows, and says how much of it is the maker’s own', () => {
    const few = of([shown('a', 0.42, 0.4)]);
    const many = of(['a', 'b', 'c', 'd', 'e'].map(id => shown(id, 0.42, 0.4)));
    expect(few.along.mean).toBeGreaterThan(0.33);
    expect(many.along.mean).toBeGreaterThan(few.along.mean);
    expect(many.along.mean).toBeLessThan(0.42);
    expect(many.along.most - many.along.least).toBeLessThan(few.along.most - few.along.least);
    expect(many.ownShare).toBeGreaterThan(few.ownShare);
    expect(many.ownShare).toBeLessThan(1);
  });

  it('a swatch says a little less than a piece; a direction not measured says nothing', () => {
    expect(of([shown('a', 0.42, 0.4, true)]).along.mean).toBeLessThan(of([shown('a', 0.42, 0.4)]).along.mean);
    expect(of([shown('a', 0.42, null)]).across.mean).toBeCloseTo(0.33, 12);
  });

  it('names the pieces that were too odd', () => {
    const usual = ['a', 'b', 'c', 'd'].map(id => shown(id, 0.33, 0.33));
    expect(of([...usual, shown('strange', 0.8, 0.33)]).odd).toEqual(['strange']);
  });

  it('a fibre that hardly felts is expected to shrink little (common practice)', () => {
    const { along } = shrinkageLearner([])({ woolId: 'w', breedId: 'suffolk', felts: 'hardly' });
    expect(along.mean).toBeLessThan(0.15);
  });

  it('from five hundred swatches answers for any wool without a hitch', () => {
    const all = Array.from({ length: 500 }, (_, i) => ({
      ...shown(`s${i}`, 0.3 + (0.1 * ((i * 7919) % 97)) / 97, 0.33, true),
      woolId: `w${i % 200}`,
      breedId: `b${i % 12}`,
    }));
    const WOOLS = 500;
    // Learnt once for every change; the shelf asks for the wool that is looked at only.
    expect(quickest(() => shrinkageLearner(all), 2)).toBeLessThan(3000);
    const askedOfAll = (): void => {
      const ask = shrinkageLearner(all);
      for (let i = 0; i < WOOLS; i += 1) ask({ woolId: `w${i}`, breedId: `b${i % 12}`, felts: null });
    };
    expect(quickest(askedOfAll, 3) / WOOLS).toBeLessThan(4);
  });
});
