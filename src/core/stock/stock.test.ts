import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  deliveredOf,
  dozensOf,
  type LedgerEntry,
  soldFor,
  STOCK_MOVES,
  stockByProduct,
  stockOf,
} from './ledger';
import { freeStock, type PromisedLine, toMake } from './promised';

const at = (n: number): string => new Date(Date.UTC(2026, 2, 1) + n * 60_000).toISOString();
const line = (
  n: number,
  move: LedgerEntry['move'],
  count: number,
  of: Partial<LedgerEntry> = {},
): LedgerEntry => ({
  id: `l${String(n).padStart(4, '0')}`,
  productId: 'mat',
  at: at(n),
  move,
  count,
  paid: null,
  orderId: null,
  pieceId: null,
  of: null,
  ...of,
});

describe('the ledger', () => {
  it('made, sold, given, spoilt and counted', () => {
    const state = stockOf([
      line(1, 'made', 24),
      line(2, 'sold', 12, { paid: 7900 }),
      line(3, 'given', 1),
      line(4, 'spoilt', 2),
      line(5, 'counted', 8),
      line(6, 'sold', 3, { paid: 2160 }),
    ]);
    expect(state).toMatchObject({ onHand: 5, made: 24, sold: 15, given: 1, spoilt: 2, paid: 10_060 });
    expect(state.lines.map(l => [l.change, l.onHand])).toEqual([
      [24, 24],
      [-12, 12],
      [-1, 11],
      [-2, 9],
      [-1, 8],
      [-3, 5],
    ]);
  });

  it('goes below nought only in sight: the line stands, and so does what is missing', () => {
    const state = stockOf([line(1, 'made', 2), line(2, 'sold', 5)]);
    expect(state.lines.map(l => l.onHand)).toEqual([2, -3]);
    expect(stockOf([line(1, 'made', 2), line(2, 'sold', 5), line(3, 'counted', 0)]).onHand).toBe(0);
  });

  it('a line is taken back by another, and that one too, whatever the clock says', () => {
    const made = line(1, 'made', 9);
    const undo = line(2, 'undo', 0, { of: made.id });
    const redo = line(3, 'undo', 0, { of: undo.id });
    expect(stockOf([made, undo]).onHand).toBe(0);
    expect(stockOf([made, undo, redo]).onHand).toBe(9);
    // A clock set back between them.
    const early = { ...redo, at: at(-500) };
    expect(stockOf([early, made, undo]).onHand).toBe(9);
  });

  it('a damaged file in which lines take each other back is read to its end', () => {
    const a = line(1, 'undo', 0, { of: 'l0002' });
    const b = line(2, 'undo', 0, { of: 'l0001' });
    expect(stockOf([a, b, line(3, 'made', 1)]).onHand).toBe(1);
  });

  it('a thousand random ledgers against a plain model', () => {
    const moves = fc.array(
      fc.record({
        move: fc.constantFrom(...STOCK_MOVES, 'undo'),
        count: fc.integer({ min: 0, max: 200 }),
        paid: fc.option(fc.integer({ min: 0, max: 99_999 })),
        back: fc.nat({ max: 12 }),
      }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(moves, fc.integer(), (drawn, shuffle) => {
        const entries = drawn.map((d, i) =>
          line(i, d.move, d.move === 'undo' ? 0 : d.count, {
            paid: d.move === 'sold' ? d.paid : null,
            of: d.move === 'undo' ? `l${String(Math.max(0, i - 1 - d.back)).padStart(4, '0')}` : null,
          }),
        );
        // Plain: who is taken back by somebody who stands, decided from the last to the first.
        const stands = entries.map(() => true);
        for (let i = entries.length - 1; i >= 0; i -= 1) {
          const e = entries[i];
          const target = e?.move === 'undo' && stands[i] ? entries.findIndex(x => x.id === e.of) : -1;
          if (target >= 0 && target < i) stands[target] = false;
        }
        let onHand = 0;
        let paid = 0;
        entries.forEach((e, i) => {
          if (!stands[i] || e.move === 'undo') return;
          paid += e.paid ?? 0;
          if (e.move === 'made') onHand += e.count;
          else if (e.move === 'counted') onHand = e.count;
          else onHand -= e.count;
        });
        const order = entries.map((e, i) => [((i + 1) * (Math.abs(shuffle % 997) + 3)) % 1009, e] as const);
        const state = stockOf(order.toSorted((a, b) => a[0] - b[0]).map(([, e]) => e));
        expect([state.onHand, state.paid]).toEqual([onHand, paid]);
        expect(state.lines.at(-1)?.onHand ?? 0).toBe(onHand);
      }),
      { numRuns: 1000 },
    );
  });

  it('keeps products apart, and knows what went to which order', () => {
    const states = stockByProduct([
      line(1, 'made', 9),
      line(2, 'made', 4, { productId: 'ball' }),
      line(3, 'sold', 2, { orderId: 'quay' }),
      line(4, 'sold', 1),
      line(5, 'given', 1, { orderId: 'quay' }),
    ]);
    expect([...states].map(([id, s]) => [id, s.onHand])).toEqual([
      ['mat', 5],
      ['ball', 4],
    ]);
    expect(deliveredOf(states, 'quay', 'mat')).toBe(3);
    expect(deliveredOf(states, 'quay', 'ball')).toBe(0);
  });
});

describe('dozens and singles', () => {
  it('are parts of a count', () => {
    expect(dozensOf(40)).toEqual({ dozens: 3, singles: 4 });
    expect(dozensOf(11)).toEqual({ dozens: 0, singles: 11 });
  });

  it('are sold at their own prices', () => {
    const ball = { price: 720, dozenPrice: 7900 };
    expect(soldFor(ball, 40)).toBe(3 * 7900 + 4 * 720);
    expect(soldFor({ ...ball, dozenPrice: null }, 24)).toBe(24 * 720);
    expect(soldFor({ price: null, dozenPrice: null }, 24)).toBeNull();
  });
});

describe('what is promised', () => {
  const promise = (id: string, open: number, due: string | null): PromisedLine => ({
    id,
    productId: 'mat',
    open,
    due,
  });

  it('is taken from what is on hand, the earliest day first', () => {
    const lines = [
      promise('fair', 5, '2026-12-20'),
      promise('shop', 4, '2026-12-10'),
      promise('any', 3, null),
    ];
    expect([...toMake(lines, () => 6)]).toEqual([
      ['shop', 0],
      ['fair', 3],
      ['any', 3],
    ]);
    // What is below nought is nothing to give away.
    expect([...toMake(lines, () => -4).values()]).toEqual([4, 5, 3]);
  });

  it('leaves free what is on hand and not promised; short where more is promised', () => {
    expect(freeStock(9, [promise('a', 4, null)])).toEqual({ onHand: 9, promised: 4, free: 5 });
    expect(freeStock(1, [promise('a', 4, null)]).free).toBe(-3);
  });

  it('what is to be made and what is taken sum to what is promised', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 40 }), { maxLength: 8 }),
        fc.integer({ min: -20, max: 200 }),
        (opens, onHand) => {
          const lines = opens.map((open, i) => promise(`p${i}`, open, null));
          const made = [...toMake(lines, () => onHand).values()].reduce((a, b) => a + b, 0);
          const all = opens.reduce((a, b) => a + b, 0);
          expect(made).toBe(Math.max(0, all - Math.max(0, onHand)));
        },
      ),
    );
  });
});
