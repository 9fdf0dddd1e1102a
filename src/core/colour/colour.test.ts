import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blendColour, colourDifference, type Fibre, lightAndDark, blendsFor, shades } from './blend';
import { blendFunction, blendReflectance, reflectanceOf } from './stearnsNoechel';

const share = (reflectance: number, of: number) => ({ reflectance, share: of });

describe('blended reflectance', () => {
  // Stearns and Noechel, American Dyestuff Reporter 33 (1944), M = 0.15 for wool, from memory.
  it('.80 and .05 half and half is 0.1330; .60 (0.3) with .20 (0.7) is 0.2574', () => {
    expect(blendReflectance([share(0.8, 1), share(0.05, 1)])).toBeCloseTo(0.133, 4);
    expect(blendReflectance([share(0.6, 0.3), share(0.2, 0.7)])).toBeCloseTo(0.2574, 4);
  });

  it('its function and the inverse undo each other', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), r => {
        expect(reflectanceOf(blendFunction(r))).toBeCloseTo(r, 9);
      }),
    );
  });

  it('lies between the darkest and the lightest, and dark fibre weighs more than its share', () => {
    const part = fc.record({
      reflectance: fc.double({ min: 0, max: 1, noNaN: true }),
      share: fc.double({ min: 0.01, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 4 }), parts => {
        const r = blendReflectance(parts);
        const all = parts.map(p => p.reflectance);
        expect(r).toBeGreaterThan(Math.min(...all) - 1e-9);
        expect(r).toBeLessThan(Math.max(...all) + 1e-9);
        const even =
          parts.reduce((s, p) => s + p.share * p.reflectance, 0) / parts.reduce((s, p) => s + p.share, 0);
        expect(r).toBeLessThan(even + 1e-9);
      }),
    );
  });
});

const SHELF: readonly Fibre[] = [
  { id: 'white', colour: '#f2efe6' },
  { id: 'black', colour: '#22201f' },
  { id: 'red', colour: '#a8332f' },
  { id: 'blue', colour: '#2f5d86' },
  { id: 'yellow', colour: '#d9b13b' },
  { id: 'green', colour: '#4f6b4a' },
];
const named = (id: string): Fibre => SHELF.find(f => f.id === id) ?? { id, colour: '#000000' };

/** The nearest blend of given fibres by trying every share on a fine grid. */
const bruteForce = (wanted: string, fibres: readonly Fibre[], steps: number): number => {
  const walk = (
    left: number,
    rest: readonly Fibre[],
    parts: ReadonlyArray<{ colour: string; share: number }>,
  ): number => {
    const [first, ...more] = rest;
    if (!first) return Number.POSITIVE_INFINITY;
    if (more.length === 0)
      return colourDifference(
        blendColour([...parts, { colour: first.colour, share: left }].filter(p => p.share > 0)),
        wanted,
      );
    return Math.min(
      ...Array.from({ length: left + 1 }, (_, n) =>
        walk(left - n, more, [...parts, { colour: first.colour, share: n }]),
      ),
    );
  };
  return walk(steps, fibres, []);
};

describe('a blend of wools', () => {
  it('of one colour is that colour, to what eight bits can say', () => {
    for (const { colour } of SHELF)
      expect(colourDifference(blendColour([{ colour, share: 3 }]), colour)).toBeLessThan(0.6);
  });

  it('is found again from the colour it gives', () => {
    const wanted = blendColour([
      { colour: named('blue').colour, share: 0.6 },
      { colour: named('white').colour, share: 0.4 },
    ]);
    const [best] = blendsFor(wanted, SHELF);
    expect(best?.difference).toBeLessThan(1);
    expect(best?.parts.find(p => p.id === 'blue')?.share).toBeGreaterThan(0.5);
  });

  it('comes as near as every share tried one by one, for two and for three wools', () => {
    const colour = fc
      .tuple(...(['r', 'g', 'b'] as const).map(() => fc.integer({ min: 30, max: 230 })))
      .map(rgb => `#${rgb.map(v => v.toString(16).padStart(2, '0')).join('')}`);
    const three = ['blue', 'yellow', 'white'].map(named);
    fc.assert(
      fc.property(colour, wanted => {
        // Within a quarter of a unit; of a colour far out of reach, within a fiftieth of how far off it is.
        const most = (tried: number): number => 1.02 * tried + 0.25;
        const [best] = blendsFor(wanted, three);
        expect(best?.difference).toBeLessThan(most(bruteForce(wanted, three, 25)));
        const [pair] = blendsFor(wanted, three.slice(0, 2));
        expect(pair?.difference).toBeLessThan(most(bruteForce(wanted, three.slice(0, 2), 50)));
      }),
      { numRuns: 25 },
    );
  });

  it('never holds more than four wools, shares sum to one, and a recipe is named once', () => {
    const all = blendsFor('#7a6a8a', SHELF);
    for (const recipe of all) {
      expect(recipe.parts.length).toBeLessThanOrEqual(4);
      expect(recipe.parts.reduce((s, p) => s + p.share, 0)).toBeCloseTo(1, 9);
    }
    const keys = all.map(r =>
      r.parts
        .map(p => p.id)
        .toSorted()
        .join(),
    );
    expect(new Set(keys).size).toBe(keys.length);
    expect(all.map(r => r.difference)).toEqual(all.map(r => r.difference).toSorted((a, b) => a - b));
  });

  it('of an empty shelf is none; of a shelf of two thousand wools some are found within three seconds', () => {
    expect(blendsFor('#7a6a8a', [])).toEqual([]);
    const many = Array.from({ length: 2000 }, (_, i) => ({
      id: `w${i}`,
      colour: `#${((i * 8191) % 0xffffff).toString(16).padStart(6, '0')}`,
    }));
    const times = [1, 2].map(() => {
      const before = performance.now();
      expect(blendsFor('#7a6a8a', many)[0]?.difference).toBeLessThan(6);
      return performance.now() - before;
    });
    expect(Math.min(...times)).toBeLessThan(3000);
  });

  it('shades run from light to dark', () => {
    const run = shades('#a8332f', '#f2efe6', '#22201f').map(c => colourDifference(c, '#ffffff'));
    expect(run).toEqual(run.toSorted((a, b) => a - b));
  });
});

describe('light and dark', () => {
  it('are as the eye has them: yellow is lighter than a blue with as much light in its bands', () => {
    const of = ['#2020ff', '#ffd800', '#801010'].map(colour => ({ colour }));
    expect(lightAndDark(of)).toEqual({ light: { colour: '#ffd800' }, dark: { colour: '#801010' } });
    expect(lightAndDark([])).toBeNull();
  });
});
