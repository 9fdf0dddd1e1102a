import type { StoredRecord } from '../records/common';
import { type FeltClass, newClass } from '../records/feltClass';
import { newLine, newOrder, type Order } from '../records/order';
import { newProduct, type Product } from '../records/product';
import { newStockEntry, type StockEntry } from '../records/stockEntry';
import { usualWorkplace, type Workplace } from '../records/workplace';

const DAY = 24;

/** Names the day so many days on; the class is on a Saturday. */
const days = (now: string) => {
  const ms = Date.parse(now);
  const dayOn = (count: number): string => new Date(ms + count * DAY * 3_600_000).toISOString().slice(0, 10);
  const weekday = new Date(ms).getUTCDay();
  return { dayOn, saturday: dayOn(6 - weekday + 7) };
};

/** What the made-up workshop sells, with its ledger: sums in cents. Every name and figure is invented. */
const products = (ago: (hours: number) => string): readonly StoredRecord[] => {
  const product = (id: string, of: Pick<Product, 'name' | 'pieceId' | 'price' | 'dozenPrice'>): Product => ({
    ...newProduct({ id, now: ago(1200), ...of }),
    ...of,
    sample: true,
  });
  let n = 0;
  const line = (
    productId: string,
    move: StockEntry['move'],
    of: readonly [count: number, hoursAgo: number, paid?: number],
  ): StockEntry => {
    const [count, hoursAgo, paid] = of;
    n += 1;
    const entry = { id: `stock-${n}`, productId, move, count, at: ago(hoursAgo), paid: paid ?? null };
    return { ...newStockEntry(entry), sample: true };
  };
  return [
    product('product-mat', {
      name: 'Galley mat',
      pieceId: 'sample-galley-mat',
      price: 3900,
      dozenPrice: 42_000,
    }),
    product('product-ball', {
      name: 'Drum ball',
      pieceId: 'sample-drum-balls',
      price: 720,
      dozenPrice: 7_900,
    }),
    product('product-sleeve', {
      name: 'Bottle sleeve, brick',
      pieceId: 'sample-brick-sleeve',
      price: 5200,
      dozenPrice: null,
    }),
    line('product-mat', 'made', [9, 1100]),
    line('product-mat', 'sold', [5, 760, 19_500]),
    line('product-mat', 'spoilt', [1, 700]),
    line('product-ball', 'counted', [31, 900]),
    line('product-ball', 'sold', [12, 520, 7900]),
    line('product-ball', 'given', [2, 340]),
    line('product-sleeve', 'made', [4, 820]),
    line('product-sleeve', 'sold', [3, 190, 15_600]),
  ];
};

/** What the made-up workshop has promised, whom it teaches, and what it works in. Every name and figure is invented. */
export const sampleTrade = (now: string, ago: (hours: number) => string): readonly StoredRecord[] => {
  const { dayOn, saturday } = days(now);
  const orders: readonly Order[] = [
    {
      ...newOrder({
        id: 'order-quay',
        name: 'Winter shelf at the quay shop',
        sort: 'order',
        now: ago(50),
        lines: [
          newLine({ id: 'quay-balls', productId: 'product-ball', count: 36, inDozens: true }),
          newLine({ id: 'quay-mats', productId: 'product-mat', count: 5 }),
        ],
      }),
      due: dayOn(27),
      notes: 'Balls in oat only, tied in threes. Mats with the hanging loop.',
      sample: true,
    },
    {
      ...newOrder({
        id: 'order-lantern',
        name: 'Lantern fair at the lock',
        sort: 'fair',
        now: ago(30),
        lines: [newLine({ id: 'lantern-sleeves', productId: 'product-sleeve', count: 6 })],
      }),
      due: dayOn(13),
      notes: 'Table by the second gate. Bring the small scale and change.',
      sample: true,
    },
  ];
  const held: FeltClass = {
    ...newClass({
      id: 'class-fern',
      name: 'Fern mats for beginners',
      now: ago(40),
      pieceId: 'sample-fern-mat',
    }),
    people: 10,
    day: saturday,
    startsAt: '13:30',
    notes: 'Two have sore wrists: give them the short sets.',
    sample: true,
  };
  const workplace: Workplace = {
    ...usualWorkplace(ago(1200)),
    hourRate: 1200,
    sittingCost: 45,
    overheadBp: 800,
    feeBp: 500,
    rackPlaces: 30,
    sample: true,
  };
  return [...products(ago), ...orders, held, workplace];
};
