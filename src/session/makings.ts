import type { CostItem, CostRates } from '../core/cost/costOf';
import { diaryOf } from '../core/diary/diaryOf';
import { handsMinutes } from '../core/diary/handsMinutes';
import { entriesInForce } from '../core/log/entriesInForce';
import { weighings, woolAdded } from '../core/log/logParts';
import { placesOf } from '../core/money/currency';
import { pacesOf } from '../core/schedule/ownPace';
import { joiningTask, tasksOfWork } from '../core/schedule/workTasks';
import type { Work, WorkTask } from '../core/schedule/work';
import type { Need } from '../core/project/needs';
import type { Entry } from '../records/entry';
import type { Part } from '../records/part';
import type { Piece } from '../records/piece';
import type { Product } from '../records/product';
import type { Wool } from '../records/wool';
import type { Workplace } from '../records/workplace';
import { productWork, type WorkshopBook } from './openWork';
import { productWants, woolsLike } from './orderNeeds';
import { pacedPieces, workReader } from './worksOf';

/** What so many pieces are made of and take. */
export interface Making {
  readonly items: readonly CostItem[];
  /** Minutes of hands, whole. */
  readonly handsMin: number;
  readonly sittings: number;
  /** False where its wool was never weighed, and stands here as planned. */
  readonly isWeighed?: boolean;
  /** How many it makes, ≥ 1. */
  readonly pieces: number;
}

/** What wools and parts cost. */
export interface Prices {
  readonly wools: readonly Wool[];
  readonly parts: readonly Part[];
}

const woolItems = (needs: readonly Need[], { wools }: Prices): readonly CostItem[] => {
  const sums = new Map<string, number>();
  for (const { id, amount } of needs) sums.set(id, (sums.get(id) ?? 0) + amount);
  return [...sums].map(([id, amount]) => ({
    is: 'wool',
    id,
    // As a scale tells it, to the hundredth of a gram.
    amount: Math.round(100 * amount) / 100,
    price: wools.find(w => w.id === id)?.per100g ?? null,
    per: 100,
  }));
};

const partItems = (needs: readonly Need[], { parts }: Prices): readonly CostItem[] =>
  needs.map(({ id, amount }) => ({
    is: 'part',
    id,
    amount: Math.round(1000 * amount) / 1000,
    price: parts.find(p => p.id === id)?.price ?? null,
    per: 1,
  }));

/** Hands and sittings of tasks. */
const handsOf = (tasks: readonly WorkTask[]) => ({
  handsMin: tasks.reduce((sum, t) => sum + t.minutes, 0),
  sittings: tasks.filter(t => t.does === 'felt').length,
});

const tasksOf = (works: readonly Work[], book: WorkshopBook): readonly WorkTask[] => {
  const paceOf = pacesOf(pacedPieces(book));
  return works.flatMap(work => tasksOfWork(work, { paceOf, sittingMin: book.workplace.sittingMin }).tasks);
};

/** What a piece is planned to be made of and to take, all of its pieces alike together. */
export const plannedMaking = (piece: Piece, book: WorkshopBook, prices: Prices): Making => {
  const { pieces } = piece.plan;
  const work = workReader(book).like(piece.id, { id: piece.id, name: piece.name, count: pieces });
  return {
    items: woolItems(woolsLike(piece, pieces, piece.name), prices),
    ...handsOf(tasksOf(work ? [work] : [], book)),
    pieces,
  };
};

/**
 * What a piece took by its log: grams as they were weighed (as planned where they never were), hands by its minutes, soap by its
 * sittings. Null before anything was done.
 */
export const cameMaking = (piece: Piece, log: readonly Entry[], prices: Prices): Making | null => {
  const entries = entriesInForce(log);
  if (entries.length === 0) return null;
  const weighed = weighings(log);
  const grams = [...weighed, ...woolAdded(log)].flatMap(({ act }): Need[] =>
    act.woolId === null ? [] : [{ id: act.woolId, amount: act.grams, of: piece.name }],
  );
  const unweighed = weighed.length === 0 ? woolsLike(piece, piece.plan.pieces, piece.name) : [];
  return {
    items: woolItems([...unweighed, ...grams], prices),
    isWeighed: weighed.length > 0,
    handsMin: Math.round(handsMinutes(entries, Date.parse)),
    sittings: diaryOf(log, Date.parse).length,
    pieces: piece.plan.pieces,
  };
};

/** What so many of a product are made of and take; null where nothing says how one is made. */
export const productMaking = (
  product: Product,
  count: number,
  of: { readonly book: WorkshopBook; readonly prices: Prices },
): Making | null => {
  const { book, prices } = of;
  const id = product.id;
  const made = productWork(
    product,
    { id, name: product.name, count },
    {
      projects: book.projects,
      like: workReader(book).like,
    },
  );
  if (made.isOpen) return null;
  const wants = productWants(product, count, book);
  const tasks = [...tasksOf(made.works, book), ...made.joinings.map(j => joiningTask(j, []))];
  return {
    items: [...woolItems(wants.wools, prices), ...partItems(wants.parts, prices)],
    ...handsOf(tasks),
    pieces: count,
  };
};

/** What the maker counts beside wool and parts. */
export const ratesOf = ({ currency, hourRate, sittingCost, overheadBp }: Workplace): CostRates => ({
  places: placesOf(currency),
  hourMinor: hourRate,
  sittingMinor: sittingCost,
  overheadBp,
});
