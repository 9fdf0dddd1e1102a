import { describe, expect, it } from 'vitest';
import { normal, seeded } from '../numeric/random';
import { type DriedPiece, dryingRange, ownDrying } from './ownDrying';

const dried = (n: number, ratio: number, more: Partial<DriedPiece> = {}): DriedPiece => ({
  id: `d${n}`,
  air: 'room',
  predictedH: 20,
  tookH: 20 * ratio,
  wetAtH: null,
  ...more,
});

describe('how long drying takes at a maker’s', () => {
  it('is common practice before anything was dried', () => {
    expect(ownDrying([], 'room')).toEqual({ factor: 1, sd: 0.5, learntFrom: 0 });
  });

  it('hardly moves for one that was found dry late, and does not jump', () => {
    const { factor, learntFrom } = ownDrying([dried(1, 3)], 'room');
    expect(learntFrom).toBe(1);
    expect(factor).toBeGreaterThan(1.05);
    expect(factor).toBeLessThan(1.6);
    // One after another, whatever they were, no step is larger than half as much again.
    const ratios = [3, 0.4, 2, 2, 0.5, 1.5];
    let before = 1;
    ratios.forEach((_, n) => {
      const now = ownDrying(
        ratios.slice(0, n + 1).map((r, i) => dried(i, r)),
        'room',
      ).factor;
      expect(Math.abs(Math.log(now / before))).toBeLessThan(Math.log(1.5));
      before = now;
    });
  });

  it('believes a weighing more than a glance the next morning', () => {
    const found = ownDrying([dried(1, 2)], 'room');
    const weighed = ownDrying([dried(1, 2, { wetAtH: 36 })], 'room');
    expect(Math.log(weighed.factor)).toBeGreaterThan(Math.log(found.factor) * 1.3);
    expect(weighed.sd).toBeLessThan(found.sd);
  });

  it('says something of another air, and less than of its own', () => {
    const all = [1, 2, 3].map(n => dried(n, 1.8));
    const [own, other] = [ownDrying(all, 'room').factor, ownDrying(all, 'warm').factor];
    expect(own).toBeGreaterThan(other);
    expect(other).toBeGreaterThan(1.02);
  });

  it('passes over what was forgotten for weeks', () => {
    expect(ownDrying([dried(1, 40)], 'room').learntFrom).toBe(0);
  });

  it('comes to the truth of a made-up maker, and its ranges hold four in five', () => {
    let held = 0;
    const makers = 300;
    for (let m = 0; m < makers; m += 1) {
      const random = seeded(9000 + m);
      const maker = Math.sqrt(0.35) * 0.5 * normal(random);
      const room = maker + Math.sqrt(0.35) * 0.5 * normal(random);
      const piece = (): number => Math.exp(room + Math.sqrt(0.3) * 0.5 * normal(random));
      const all = Array.from({ length: 6 }, (_, n) => {
        const ratio = piece();
        return dried(n, ratio * 1.05, { wetAtH: 20 * ratio * 0.9 });
      });
      const { leastH, mostH } = dryingRange(20, ownDrying(all, 'room'));
      const came = 20 * piece();
      if (came >= leastH && came <= mostH) held += 1;
    }
    expect(held / makers).toBeGreaterThan(0.74);
    expect(held / makers).toBeLessThan(0.88);
  });
});
