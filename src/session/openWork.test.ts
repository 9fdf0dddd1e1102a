import { describe, expect, it } from 'vitest';
import { beadString } from '../core/forms/kinds/beadString';
import { ball } from '../core/forms/kinds/ball';
import { bag } from '../core/forms/kinds/bag';
import type { FormKind } from '../core/forms/formKind';
import { newPlan } from '../core/plan/newPlan';
import { planWork } from '../core/schedule/planWork';
import { readinessOf } from '../core/schedule/readinessOf';
import { type LedgerEntry, stockByProduct } from '../core/stock/ledger';
import { ENTRY_VERSION, type Entry } from '../records/entry';
import { newClass } from '../records/feltClass';
import { newLine, newOrder, type Order } from '../records/order';
import { newPiece, type Piece } from '../records/piece';
import { newProduct } from '../records/product';
import { newProject } from '../records/project';
import { usualWorkplace } from '../records/workplace';
import { classTimes, openLines, openWorkOf, type WorkshopBook } from './openWork';
import { freshWater, handsNeed, lineWants, rackNeed } from './orderNeeds';

const NOW = '2026-11-28T09:00:00.000Z';
const nowMs = Date.parse(NOW);

const piece = (id: string, kind: FormKind, more: Partial<Piece> = {}): Piece => ({
  ...newPiece({ id, name: id, now: NOW, plan: newPlan(kind), woolId: 'oat' }),
  ...more,
});
const pieces = (count: number, of: Piece): Piece => ({ ...of, plan: { ...of.plan, pieces: count } });

const entriesOf = (
  pieceId: string,
  acts: ReadonlyArray<readonly [minute: number, act: Entry['act']]>,
): Entry[] =>
  acts.map(([minute, act], i) => ({
    kind: 'entry',
    version: ENTRY_VERSION,
    id: `${pieceId}-${i}`,
    pieceId,
    seq: i + 1,
    at: new Date(nowMs + minute * 60_000).toISOString(),
    act,
  }));

const order = (lines: Order['lines'], more: Partial<Order> = {}): Order => ({
  ...newOrder({ id: 'shop', name: 'Shop', sort: 'order', now: NOW, lines }),
  due: '2026-12-20',
  ...more,
});
const made = (productId: string, count: number, of: Partial<LedgerEntry> = {}): LedgerEntry => ({
  id: `m-${productId}-${count}`,
  productId,
  at: NOW,
  move: 'made',
  count,
  paid: null,
  orderId: null,
  pieceId: null,
  of: null,
  ...of,
});

const bookOf = (more: Partial<WorkshopBook> & { readonly ledger?: readonly LedgerEntry[] }): WorkshopBook => {
  const { ledger = [], ...rest } = more;
  return {
    pieces: [],
    logs: new Map(),
    nowMs,
    projects: [],
    products: [],
    orders: [],
    classes: [],
    stock: stockByProduct(ledger),
    workplace: usualWorkplace(NOW),
    ...rest,
  };
};

const BALL = piece('ball', ball);
const PRODUCT = newProduct({ id: 'balls', name: 'Ball', now: NOW, pieceId: 'ball' });

describe('the work of a workshop', () => {
  it('what a line asks for beyond what is on hand is laid in like its piece', () => {
    const book = bookOf({
      pieces: [{ ...BALL, result: { ...BALL.result, finishedAt: NOW } }],
      products: [PRODUCT],
      orders: [order([newLine({ id: 'l', productId: 'balls', count: 30 })])],
      ledger: [made('balls', 9)],
    });
    const { open, lines } = openWorkOf(book);
    expect(lines[0]).toMatchObject({ toMake: 21, isOpen: false });
    expect(open.works).toHaveLength(1);
    expect(open.works[0]).toMatchObject({
      id: 'shop.l',
      name: 'Ball',
      count: 21,
      way: 'palms',
      isSolid: true,
    });
    // Six in the evening of its day, in minutes from now.
    expect(open.promises).toEqual([
      { id: 'shop', due: (new Date(2026, 11, 20, 18).getTime() - nowMs) / 60_000, of: ['shop.l'] },
    ]);
    expect(open.works[0]?.due).toBe(open.promises[0]?.due);
  });

  it('what was handed over for it is not asked for again, and nothing of a past order is', () => {
    const sold = made('balls', 12, { id: 's', move: 'sold', orderId: 'shop' });
    const line = newLine({ id: 'l', productId: 'balls', count: 30 });
    const stock = stockByProduct([made('balls', 12), sold]);
    expect(openLines([order([line])], stock)).toMatchObject([{ id: 'shop.l', open: 18 }]);
    expect(openLines([order([line], { doneAt: NOW })], stock)).toEqual([]);
    expect(openLines([order([line], { deletedAt: NOW })], stock)).toEqual([]);
  });

  it('a piece that is promised itself waits for its own work', () => {
    const slippers = piece('slippers', bag);
    const book = bookOf({ pieces: [slippers], orders: [order([newLine({ id: 'l', pieceId: 'slippers' })])] });
    const { open } = openWorkOf(book);
    expect(open.works.map(w => [w.id, w.due])).toEqual([['slippers', open.promises[0]?.due]]);
    expect(open.promises[0]?.of).toEqual(['slippers']);
    const planned = planWork(open);
    expect(planned.unplaced).toEqual([]);
    const [ready] = readinessOf(open, planned.rank);
    expect(ready?.chance).toBeGreaterThan(0.9);
  });

  it('a piece that is promised itself is there once it is finished; one that is gone is not waited for', () => {
    const lines = [newLine({ id: 'l', pieceId: 'slippers' })];
    const slippers = piece('slippers', bag);
    const leftOf = (of: Piece) => openWorkOf(bookOf({ pieces: [of], orders: [order(lines)] })).lines[0];
    expect(leftOf(slippers)).toMatchObject({ toMake: 1, waitsFor: ['slippers'] });
    const result = { ...slippers.result, finishedAt: NOW };
    expect(leftOf({ ...slippers, result })).toMatchObject({ toMake: 0, waitsFor: [] });
    expect(leftOf({ ...slippers, deletedAt: NOW })).toMatchObject({ toMake: 1, waitsFor: [], isOpen: true });
  });

  it('what was made for a line is not made again: before it is put into stock, and after', () => {
    const batch = pieces(24, piece('batch', ball));
    const finished = { ...batch, result: { ...batch.result, finishedAt: NOW } };
    const lines = [newLine({ id: 'l', productId: 'balls', pieceId: 'batch', count: 30 })];
    const leftOf = (of: Piece, ledger: readonly LedgerEntry[]) =>
      openWorkOf(bookOf({ pieces: [BALL, of], products: [PRODUCT], orders: [order(lines)], ledger }))
        .lines[0];
    expect(leftOf(batch, [])).toMatchObject({ toMake: 30, waitsFor: ['batch'] });
    expect(leftOf(finished, [])).toMatchObject({ toMake: 6, waitsFor: [] });
    expect(leftOf(finished, [made('balls', 24, { pieceId: 'batch' })])).toMatchObject({ toMake: 6 });
  });

  it('says so where nothing tells how a line is made', () => {
    const book = bookOf({
      products: [newProduct({ id: 'p', name: 'P', now: NOW })],
      orders: [order([newLine({ id: 'a', productId: 'p', count: 2 }), newLine({ id: 'b' })])],
    });
    const { open, lines } = openWorkOf(book);
    expect(lines.map(l => l.isOpen)).toEqual([true, true]);
    expect(open.works).toEqual([]);
    // A piece whose grams are open is as if it were not there.
    const open1 = openWorkOf(
      bookOf({ products: [PRODUCT], orders: [order([newLine({ id: 'l', productId: 'balls' })])] }),
    );
    expect(open1.lines[0]?.isOpen).toBe(true);
  });

  it('what is put together is made of its pieces, and joined when all of them are dry', () => {
    const kind = {
      id: 'k',
      title: 'Pair of earrings',
      pieces: [{ what: 'bead', count: 2 }],
      parts: [{ sort: 'glue', count: 1 }],
      steps: ['one', 'two'],
    } as const;
    let n = 0;
    const project = newProject(kind, { newId: () => `x${(n += 1)}`, now: NOW });
    const earrings = {
      ...project,
      pieces: project.pieces.map(p => ({ ...p, pieceId: 'ball' })),
      parts: project.parts.map(p => ({ ...p, partId: 'glue' })),
      doneAt: NOW,
    };
    const product = newProduct({ id: 'e', name: 'Earrings', now: NOW, projectId: earrings.id });
    const book = bookOf({
      pieces: [{ ...BALL, result: { ...BALL.result, finishedAt: NOW } }],
      projects: [earrings],
      products: [product],
      orders: [order([newLine({ id: 'l', productId: 'e', count: 6 })])],
    });
    const { open, lines } = openWorkOf(book);
    expect(open.works[0]).toMatchObject({ count: 12 });
    // Two steps of six minutes for each, and a day for the glue.
    expect(open.joinings[0]).toMatchObject({ minutes: 6 * 2 * 6, setsMin: 1440, of: [open.works[0]?.id] });
    const { placed, tasks } = planWork(open);
    const join = placed.find(p => p.id.endsWith(':join'));
    const dry = placed.filter(p => tasks.find(t => t.id === p.id)?.does === 'dry');
    expect(join?.spans[0]?.start).toBeGreaterThanOrEqual(Math.max(...dry.map(p => p.overAt)));
    const [line] = lines;
    if (!line) throw new Error('no line');
    expect(lineWants(line, book).parts).toEqual([{ id: 'glue', amount: 6, of: 'Earrings' }]);
  });

  it('what is begun is gone on with: laid, felted, drying, done', () => {
    const work = (acts: Parameters<typeof entriesOf>[1]) => {
      const p = piece('bag', bag);
      const logs = new Map([['bag', entriesOf('bag', acts)]]);
      return openWorkOf(bookOf({ pieces: [p], logs })).open.works[0];
    };
    const wet: Entry['act'] = { kind: 'wet', face: 1, water: 'hot' };
    const rub: Entry['act'] = { kind: 'rub', face: 1, count: 40 };
    const finish = (step: 'rinse' | 'dry', how: 'done' | 'begun'): Entry['act'] => ({
      kind: 'finish',
      step,
      how,
      air: 'room',
    });
    expect(work([])).toMatchObject({ phase: 'lay', spentMin: 0 });
    expect(
      work([
        [-30, wet],
        [-26, rub],
      ]),
    ).toMatchObject({ phase: 'felt', spentMin: 4 });
    expect(
      work([
        [-30, wet],
        [-20, finish('rinse', 'done')],
      ]),
    ).toMatchObject({ phase: 'finish' });
    const drying = work([
      [-30, wet],
      [-20, finish('rinse', 'done')],
      [-10, finish('dry', 'begun')],
    ]);
    expect(drying).toMatchObject({ phase: 'after' });
    expect(drying?.dryAt).toBeGreaterThan(60);
    expect(openWorkOf(bookOf({ pieces: [piece('x', bag, { deletedAt: NOW })] })).open.works).toEqual([]);
  });

  it('many at once: those that are through have their own way', () => {
    const beads = pieces(24, piece('beads', beadString));
    const done = (n: number): readonly [number, Entry['act']] => [
      -60 + n,
      { kind: 'pieceDone', piece: n, next: n + 1 },
    ];
    const logs = new Map([['beads', entriesOf('beads', [1, 2, 3, 4, 5].map(done))]]);
    const [work] = openWorkOf(bookOf({ pieces: [beads], logs })).open.works;
    expect(work?.count).toBe(24);
    expect(work?.felted).toBe(5);
  });

  it('a day that is past, no hours, and more than ever fits: told, and nothing lost', () => {
    const line = newLine({ id: 'l', productId: 'balls', count: 400 });
    const base = { pieces: [{ ...BALL, result: { ...BALL.result, finishedAt: NOW } }], products: [PRODUCT] };
    const past = openWorkOf(bookOf({ ...base, orders: [order([line], { due: '2026-11-01' })] })).open;
    const late = planWork(past);
    expect(late.placed.length + late.unplaced.length).toBe(late.tasks.length);
    expect(late.breaks.some(b => b.is === 'late')).toBe(true);
    expect(readinessOf(past, late.rank)[0]).toMatchObject({ chance: 0, most: 0 });
    const none = openWorkOf(
      bookOf({
        ...base,
        orders: [order([line])],
        workplace: { ...usualWorkplace(NOW), hours: Array.from({ length: 7 }, () => []) },
      }),
    ).open;
    expect(planWork(none).unplaced).toHaveLength(planWork(none).tasks.length);
    expect(readinessOf(none, planWork(none).rank)[0]).toMatchObject({ chance: 0, likelyBy: null });
  });

  it('backwards, all is as late as it may be; what should have begun before now is told and laid in forwards', () => {
    const line = newLine({ id: 'l', productId: 'balls', count: 24 });
    const base = {
      pieces: [{ ...BALL, result: { ...BALL.result, finishedAt: NOW } }],
      products: [PRODUCT],
      workplace: { ...usualWorkplace(NOW), direction: 'late' as const },
    };
    const far = openWorkOf(bookOf({ ...base, orders: [order([line], { due: '2027-03-01' })] })).open;
    const late = planWork(far);
    const early = planWork({ ...far, direction: 'early' });
    expect(late.shortMin).toBe(0);
    expect(late.placed[0]?.spans[0]?.start).toBeGreaterThan(early.placed[0]?.spans[0]?.start ?? 0);
    expect(late.breaks).toEqual([]);
    const near = openWorkOf(bookOf({ ...base, orders: [order([line], { due: '2026-11-29' })] })).open;
    const forwards = planWork(near);
    expect(forwards.shortMin).toBeGreaterThan(0);
    expect(forwards.placed).toEqual(planWork({ ...near, direction: 'early' }).placed);
  });

  it('does not shuffle a maker’s week from one minute to the next', () => {
    const base = {
      pieces: [
        { ...BALL, result: { ...BALL.result, finishedAt: NOW } },
        piece('bag', bag),
        piece('bag2', bag),
      ],
      products: [PRODUCT],
      orders: [order([newLine({ id: 'l', productId: 'balls', count: 24 })])],
    };
    const startsAt = (ms: number) => {
      const { placed } = planWork(openWorkOf(bookOf({ ...base, nowMs: ms })).open);
      return placed.map(p => [p.id, ms + (p.spans[0]?.start ?? 0) * 60_000] as const);
    };
    const tomorrow = nowMs + 86_400_000;
    const first = startsAt(nowMs);
    for (const minutes of [1, 2, 5]) {
      const later = startsAt(nowMs + minutes * 60_000);
      expect(later.map(([id]) => id)).toEqual(first.map(([id]) => id));
      expect(later.filter(([, at]) => at > tomorrow)).toEqual(first.filter(([, at]) => at > tomorrow));
    }
  });

  it('what was put by hand stays, but for what slid into the past', () => {
    const slippers = piece('slippers', bag);
    const put = (at: string) => ({ ...usualWorkplace(NOW), moved: [{ task: 'slippers:1:lay', at }] });
    const later = planWork(
      openWorkOf(bookOf({ pieces: [slippers], workplace: put('2026-12-02T10:00:00.000Z') })).open,
    );
    expect(later.placed.find(p => p.id === 'slippers:1:lay')?.spans[0]?.start).toBe(4 * 1440 + 60);
    // A Wednesday morning is none of the maker's hours.
    expect(later.breaks.some(b => b.is === 'out-of-hours')).toBe(true);
    const slid = planWork(
      openWorkOf(bookOf({ pieces: [slippers], workplace: put('2026-11-20T10:00:00.000Z') })).open,
    );
    expect(slid.breaks).toEqual([]);
  });
});

describe('a class', () => {
  it('takes its time out of the maker’s hours, until it was held', () => {
    const held = {
      ...newClass({ id: 'c', name: 'Class', now: NOW }),
      day: '2026-12-05',
      startsAt: '10:00',
    };
    const book = bookOf({ classes: [held] });
    const day = classTimes(book)[0];
    expect(day?.startMs).toBe(new Date(2026, 11, 5, 10).getTime());
    // Three hours where nothing says how long; the rest of that Saturday is free.
    expect((day?.endMs ?? 0) - (day?.startMs ?? 0)).toBe(180 * 60_000);
    const minutes = (b: WorkshopBook) =>
      openWorkOf(b).open.hours.reduce((sum, h) => sum + h.end - h.start, 0);
    // Of ten to one, the maker would have worked until half past twelve.
    expect(minutes(bookOf({})) - minutes(book)).toBe(150);
    expect(minutes(bookOf({ classes: [{ ...held, back: { kits: 0, at: NOW } }] }))).toBe(minutes(bookOf({})));
    expect(classTimes(bookOf({ classes: [{ ...held, day: '2026-11-01' }] }))).toEqual([]);
  });
});

describe('what an order needs', () => {
  const book = bookOf({
    pieces: [{ ...BALL, result: { ...BALL.result, finishedAt: NOW } }],
    products: [PRODUCT],
    orders: [order([newLine({ id: 'l', productId: 'balls', count: 24 })])],
  });
  const { open, lines } = openWorkOf(book);
  const planned = planWork(open);

  it('wool with its reserve, for as many as are to be made', () => {
    const [line] = lines;
    if (!line) throw new Error('no line');
    const [oat] = lineWants(line, book).wools;
    expect(oat?.id).toBe('oat');
    const grams = open.works[0]?.gramsEach ?? 0;
    expect(oat?.amount).toBeGreaterThanOrEqual(24 * grams);
    expect(oat?.amount).toBeLessThan(1.2 * 24 * grams);
  });

  it('hands against the hours until its day, the rack at its fullest, and fresh water', () => {
    const hands = handsNeed(planned, open.hours, {
      ids: new Set(['shop.l']),
      due: open.promises[0]?.due ?? null,
    });
    expect(hands.needMin).toBe(planned.tasks.reduce((sum, t) => sum + t.minutes, 0));
    // From Saturday morning to Sunday three weeks on, eight weekend days of five hours but for what is past, fifteen evenings of two;
    // nothing else is laid in.
    expect(hands.freeMin).toBeGreaterThan(60 * 60);
    expect(hands.freeMin).toBeLessThanOrEqual((8 * 5 + 15 * 2) * 60);
    expect(hands.shortMin).toBe(0);
    const rack = rackNeed(planned, lines, open.rackPlaces);
    expect(rack.atOnce).toBeGreaterThan(0);
    expect(rack.atOnce).toBeLessThanOrEqual(24);
    expect(rack.isFull).toBe(false);
    // Two sittings of twelve, each with clean water, changed twice within.
    expect(lines.map(freshWater)).toEqual([6]);
  });
});
