import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { roll, rub } from '../log/testing/logs';
import { ownAmounts, ownPace, pooled } from './ownUsual';

const palms = (minutes: number, more: Partial<Act> = {}): Act => ({ kind: 'palms', minutes, ...more }) as Act;

describe('what a maker usually does', () => {
  it('is common practice until something is known, and the maker’s own after some turns', () => {
    expect(pooled(2, [])).toBe(2);
    // One turn weighs 0.25/(0.25 + 0.16) = 0.61 of the way, in logs.
    expect(Math.log(pooled(2, [8]) / 2) / Math.log(4)).toBeCloseTo(0.25 / 0.41, 9);
    expect(
      pooled(
        2,
        Array.from({ length: 60 }, () => 8),
      ),
    ).toBeGreaterThan(7.8);
  });

  it('stays between what is usual and what was done, and grows with it', () => {
    const amount = fc.double({ min: 0.1, max: 300, noNaN: true });
    fc.assert(
      fc.property(amount, fc.array(amount, { minLength: 1, maxLength: 80 }), (usual, own) => {
        const found = pooled(usual, own);
        expect(found).toBeGreaterThanOrEqual(Math.min(usual, ...own) * (1 - 1e-9));
        expect(found).toBeLessThanOrEqual(Math.max(usual, ...own) * (1 + 1e-9));
        expect(
          pooled(
            usual,
            own.map(v => 2 * v),
          ),
        ).toBeGreaterThan(found);
      }),
    );
  });

  it('is learnt for each act by itself, and from nothing that was done by feel', () => {
    const own = ownAmounts([
      palms(6),
      palms(6),
      rub(100),
      { kind: 'palms', minutes: 60, give: 30, feel: true },
    ]);
    expect(Object.keys(own)).toEqual(['palms', 'rub']);
    expect(own['palms']).toBeGreaterThan(3);
    expect(own['palms']).toBeLessThan(6);
    expect(ownAmounts([palms(6), palms(6)])['palms']).toBe(own['palms']);
  });

  it('a pace is what an act took after the one before it; pauses and what was logged at once say nothing', () => {
    const at = (seconds: number, act: Act) => ({ atMs: seconds * 1000, act });
    const every = (seconds: number) => Array.from({ length: 60 }, (_, i) => at(i * seconds, roll(0, 30)));
    // 30 rolls in 20 s: 90 a minute.
    expect(ownPace('roll', [every(20)], 60)).toBeCloseTo(90, 0);
    expect(ownPace('roll', [every(1), every(3600)], 60)).toBe(60);
    expect(ownPace('rub', [every(20)], 60)).toBe(60);
  });
});
