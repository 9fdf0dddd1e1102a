import { describe, expect, it } from 'vitest';
import { enoughFor, spareOf, substituteFor, sufficientShare, woolCost, woolSupply } from './woolSupply';
import { pileList } from './pileList';
import { gramsLeft } from './shelfLedger';
import { weigh } from './weigh';

const face = (name: string, weight = 1) => ({ name, weight, layers: 3, equal: 1 });

describe('enough', () => {
  const needs = [{ woolId: 'kelp', grams: 60 }];

  it('is what must still be weighed against what is left', () => {
    expect(woolSupply(needs, [], () => 45)[0]).toMatchObject({ open: 60, left: 45, short: 15 });
    // Twenty were weighed, and are gone from the shelf.
    expect(woolSupply(needs, [{ woolId: 'kelp', grams: 20 }], () => 25)[0]).toMatchObject({
      open: 40,
      short: 15,
    });
    expect(woolSupply(needs, [{ woolId: 'fog', grams: 20 }], () => 60)[0]?.short).toBe(0);
  });

  it('is not doubted where nobody counted, nor for less than a scale sees', () => {
    expect(woolSupply(needs, [], () => null)[0]?.short).toBe(0);
    expect(woolSupply(needs, [], () => 59.97)[0]?.short).toBe(0);
    expect(woolSupply(needs, [{ woolId: 'kelp', grams: 90 }], () => 0)[0]).toMatchObject({
      open: 0,
      short: 0,
    });
  });
});

describe('where a wool runs out', () => {
  const four = weigh({
    grams: 80,
    times: 1,
    piles: [
      { ...face('side 1'), layers: 4 },
      { ...face('side 2'), layers: 4 },
    ],
    reserveShare: 0,
    stepG: 0.5,
  });
  const piles = pileList(four, { colours: [], woolId: 'kelp' });
  const spare = [
    { woolId: 'kelp', grams: 500 },
    { woolId: 'fog', grams: 60 },
    { woolId: 'brick', grams: 90 },
  ];

  it('another takes hidden layers only, as few as make up for it', () => {
    expect(substituteFor({ woolId: 'kelp', short: 12 }, piles, spare)).toEqual({
      layers: [1],
      grams: 20,
      woolId: 'brick',
    });
    expect(substituteFor({ woolId: 'kelp', short: 25 }, piles, spare)).toMatchObject({
      layers: [1, 2],
      grams: 40,
    });
  });

  it('none does where the hidden layers, or the shelf, do not suffice', () => {
    expect(substituteFor({ woolId: 'kelp', short: 45 }, piles, spare)).toBeNull();
    expect(substituteFor({ woolId: 'kelp', short: 25 }, piles, spare.slice(0, 1))).toBeNull();
    expect(substituteFor({ woolId: 'kelp', short: 25 }, piles, [{ woolId: 'fog', grams: 30 }])).toBeNull();
    const two = pileList(
      weigh({ grams: 40, times: 1, piles: [{ ...face('face'), layers: 2 }], reserveShare: 0, stepG: 1 }),
      { colours: [], woolId: 'kelp' },
    );
    expect(substituteFor({ woolId: 'kelp', short: 2 }, two, spare)).toBeNull();
  });

  it('a piece keeps the share of what there is', () => {
    const [row] = woolSupply([{ woolId: 'kelp', grams: 60 }], [], () => 45);
    expect(row && sufficientShare(row)).toBeCloseTo(0.75, 12);
    expect(sufficientShare({ woolId: null, grams: 5, open: 5, left: null, short: 0 })).toBe(1);
  });

  it('what it costs is said to be of those with a price only', () => {
    expect(
      woolCost([
        { grams: 150, per100g: 8 },
        { grams: 50, per100g: null },
      ]),
    ).toEqual({
      sum: 12,
      isWhole: false,
    });
    expect(
      woolCost([
        { grams: 150, per100g: 8 },
        { grams: 50, per100g: undefined },
      ]).isWhole,
    ).toBe(true);
  });
});

describe('what is left of a wool', () => {
  const wool = { id: 'kelp', gramsCounted: 640, countedMs: Date.parse('2026-03-01T10:00:00.000Z') };
  const taking = (grams: number, at: string, woolId = 'kelp') => ({
    woolId,
    grams,
    atMs: Date.parse(at),
  });

  it('is what was counted less what was weighed since', () => {
    const all = [
      taking(40, '2026-03-02T10:00:00.000Z'),
      taking(15.5, '2026-03-03T10:00:00+02:00'),
      taking(99, '2026-02-01T10:00:00.000Z'),
      taking(99, '2026-03-05T10:00:00.000Z', 'fog'),
    ];
    expect(gramsLeft(wool, all)).toBeCloseTo(584.5, 9);
    expect(gramsLeft({ ...wool, gramsCounted: null }, all)).toBeNull();
    expect(gramsLeft({ ...wool, gramsCounted: 10 }, all)).toBe(0);
  });
});

describe('what would be enough', () => {
  const row = { woolId: 'kelp', grams: 100, open: 100, left: 64, short: 36 };

  it('a sheet goes with the square of its size, a solid with the cube', () => {
    expect(enoughFor(row, false)).toEqual({ smaller: expect.closeTo(0.2, 9), thicknessShare: 0.64 });
    expect(enoughFor(row, true)?.smaller).toBeCloseTo(1 - 0.64 ** (1 / 3), 9);
    expect(enoughFor({ ...row, left: 5, short: 95 }, false)).toBeNull();
  });

  it('other wools give what this plan does not need of them', () => {
    const rows = [{ woolId: 'oat', grams: 30, open: 20, left: 50, short: 0 }];
    expect(
      spareOf(
        [
          { woolId: 'oat', left: 50 },
          { woolId: 'fog', left: null },
        ],
        rows,
      ),
    ).toEqual([
      { woolId: 'oat', grams: 30 },
      { woolId: 'fog', grams: 0 },
    ]);
  });
});
