import { converter, differenceCiede2000, formatHex } from 'culori';
import { blendReflectance } from './stearnsNoechel';

/** A fibre that a blend may hold: its colour as seen, sRGB `#rrggbb`. */
export interface Fibre {
  readonly id: string;
  readonly colour: string;
}

/** A blend: shares summing to 1, each above 0, the colour it gives, and how far that is from what was wanted. */
export interface Blend {
  readonly parts: ReadonlyArray<{ readonly id: string; readonly share: number }>;
  readonly colour: string;
  /** CIEDE2000; below about 2 the eye hardly tells them apart. */
  readonly difference: number;
}

const linear = converter('lrgb');
const distance = differenceCiede2000();
const BANDS = ['r', 'g', 'b'] as const;
const clamp = (v: number): number => Math.min(1, Math.max(0, v));

/**
 * The colour that a blend gives, in three bands of linear light: an approximation, since real fibres have a whole spectrum.
 * @param parts colours and shares ≥ 0, not all 0
 * @returns `#rrggbb`
 */
export const blendColour = (
  parts: ReadonlyArray<{ readonly colour: string; readonly share: number }>,
): string => {
  const lights = parts.map(p => ({ light: linear(p.colour), share: p.share }));
  const [r = 0, g = 0, b = 0] = BANDS.map(band =>
    clamp(blendReflectance(lights.map(l => ({ reflectance: clamp(l.light?.[band] ?? 0), share: l.share })))),
  );
  return formatHex({ mode: 'lrgb', r, g, b });
};

const oklab = converter('oklab');

/** Of several, the lightest and the darkest as the eye has it (OKLab): what any colour is shaded with. Null of none. */
export const lightAndDark = <T extends { readonly colour: string }>(
  of: readonly T[],
): { readonly light: T; readonly dark: T } | null => {
  const byLight = of.toSorted((a, b) => (oklab(b.colour)?.l ?? 0) - (oklab(a.colour)?.l ?? 0));
  const [light, dark] = [byLight[0], byLight.at(-1)];
  return light && dark ? { light, dark } : null;
};

/** CIEDE2000 between two colours. */
export const colourDifference = (a: string, b: string): number => distance(a, b);

/** Most wools in one recipe: more are not carded together evenly (common practice). */
const MOST_PARTS = 4;
/** A search looks at so many of the nearest and of the furthest apart, so that a large shelf is as quick as a small one. */
const NEAREST = 7;
const APART = 6;
/** Shares are found in steps that a scale can divide: first coarse, then fine. */
const STEPS = [0.1, 0.05, 0.025, 0.0125] as const;
/** Before a search begins, shares are tried as coarsely as this, and so many of the nearest are followed. */
const TRIED_AT = [0.02, 0.06, 0.12, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];
const FOLLOWED = 3;
/** Of two, every share in fiftieths is tried. */
const PAIR_STARTS = Array.from({ length: 49 }, (_, i) => [(i + 1) / 50, (49 - i) / 50]);
const LEAST_SHARE = 0.02;

const recipeOf = (fibres: readonly Fibre[], shares: readonly number[], wanted: string): Blend => {
  const parts = fibres.flatMap((f, i) => {
    const share = shares[i] ?? 0;
    return share >= LEAST_SHARE ? [{ id: f.id, colour: f.colour, share }] : [];
  });
  const sum = parts.reduce((all, p) => all + p.share, 0);
  const colour = blendColour(parts);
  return {
    parts: parts.map(p => ({ id: p.id, share: p.share / sum })),
    colour,
    difference: colourDifference(colour, wanted),
  };
};

/** Every way to move a step of the share from one fibre to another. */
const moves = (shares: readonly number[], step: number): number[][] =>
  shares.flatMap((held, from) => {
    const moved = Math.min(step, held);
    return moved > 0
      ? shares.flatMap((_, to) =>
          from === to ? [] : [shares.map((s, i) => (i === from ? s - moved : i === to ? s + moved : s))],
        )
      : [];
  });

/** Takes the best move as long as one comes nearer, step by step finer. */
const improve = (fibres: readonly Fibre[], start: readonly number[], wanted: string): Blend => {
  let shares = start;
  let best = recipeOf(fibres, shares, wanted);
  for (const step of STEPS)
    for (;;) {
      const tried = moves(shares, step).map(to => ({ to, recipe: recipeOf(fibres, to, wanted) }));
      const nearest = tried.toSorted((a, b) => a.recipe.difference - b.recipe.difference)[0];
      if (!nearest || nearest.recipe.difference >= best.difference - 1e-9) break;
      [shares, best] = [nearest.to, nearest.recipe];
    }
  return best;
};

/** The nearest of several starts: the difference of colours has more than one valley, and narrow ones. */
const nearestOf = (
  fibres: readonly Fibre[],
  starts: ReadonlyArray<readonly number[]>,
  wanted: string,
): Blend | undefined =>
  starts
    .map(start => ({ start, difference: recipeOf(fibres, start, wanted).difference }))
    .toSorted((a, b) => a.difference - b.difference)
    .slice(0, FOLLOWED)
    .map(({ start }) => improve(fibres, start, wanted))
    .toSorted((a, b) => a.difference - b.difference)[0];

/** Every way to put one fibre more to a blend, the others keeping their proportions or, of three, any. */
const startsOf = (shares: readonly number[]): ReadonlyArray<readonly number[]> =>
  TRIED_AT.flatMap(next =>
    shares.length === 2
      ? TRIED_AT.map(first => [first * (1 - next), (1 - first) * (1 - next), next])
      : [[...shares.map(s => s * (1 - next)), next]],
  );

/** The fibre that stands furthest from all that are chosen already. */
const furthest = (shelf: readonly Fibre[], chosen: readonly Fibre[]): Fibre | undefined => {
  const apart = (f: Fibre): number => Math.min(...chosen.map(c => colourDifference(c.colour, f.colour)));
  return shelf
    .filter(f => !chosen.includes(f))
    .map(f => ({ f, apart: apart(f) }))
    .toSorted((x, y) => y.apart - x.apart)[0]?.f;
};

/** The nearest colours, and a few that stand far apart: those can shade, dull and turn any other. */
const triedOf = (wanted: string, shelf: readonly Fibre[]): readonly Fibre[] => {
  const tried = shelf
    .map(f => ({ f, d: colourDifference(f.colour, wanted) }))
    .toSorted((x, y) => x.d - y.d)
    .slice(0, NEAREST)
    .map(x => x.f);
  for (let i = 0; i < APART; i += 1) {
    const next = furthest(shelf, tried);
    if (next) tried.push(next);
  }
  return tried;
};

/**
 * Blends of up to four fibres that come nearest to a wanted colour, the nearest first, no two of the same fibres.
 * @param wanted `#rrggbb`
 */
export const blendsFor = (wanted: string, shelf: readonly Fibre[]): readonly Blend[] => {
  const tried = triedOf(wanted, shelf);
  const single = tried.map(f => recipeOf([f], [1], wanted));
  const pairs = tried
    .flatMap((a, i) => tried.slice(i + 1).map(b => nearestOf([a, b], PAIR_STARTS, wanted)))
    .filter(recipe => recipe !== undefined)
    .toSorted((a, b) => a.difference - b.difference);
  // The best pairs are tried with every third, and the best of those with every fourth.
  let grown = pairs.slice(0, 8);
  const all = [...single, ...pairs];
  for (let size = 3; size <= MOST_PARTS; size += 1) {
    grown = grown
      .flatMap(recipe => {
        const own = recipe.parts.flatMap(p => tried.filter(f => f.id === p.id));
        return tried
          .filter(f => !own.includes(f))
          .map(f => nearestOf([...own, f], startsOf(recipe.parts.map(p => p.share)), wanted));
      })
      .filter(recipe => recipe !== undefined)
      .toSorted((a, b) => a.difference - b.difference)
      .slice(0, 4);
    all.push(...grown);
  }
  const seen = new Set<string>();
  return all
    .toSorted((a, b) => a.difference - b.difference || a.parts.length - b.parts.length)
    .filter(recipe => {
      const key = recipe.parts
        .map(p => p.id)
        .toSorted()
        .join();
      return seen.has(key) ? false : seen.add(key);
    });
};

/** A colour as it is shaded, light to dark: blends with the lightest and the darkest fibre of the shelf. */
export const shades = (colour: string, light: string, dark: string): readonly string[] => [
  blendColour([
    { colour, share: 1 },
    { colour: light, share: 1.5 },
  ]),
  blendColour([
    { colour, share: 1 },
    { colour: light, share: 0.5 },
  ]),
  colour,
  blendColour([
    { colour, share: 1 },
    { colour: dark, share: 0.15 },
  ]),
  blendColour([
    { colour, share: 1 },
    { colour: dark, share: 0.4 },
  ]),
];
