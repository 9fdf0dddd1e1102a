import type { Joining, Work } from '../core/schedule/workTasks';
import type { OpenWork, OpenPromise } from '../core/schedule/planWork';
import { deliveredOf, type StockState } from '../core/stock/ledger';
import { type PromisedLine, toMake } from '../core/stock/promised';
import type { Order, OrderLine } from '../records/order';
import type { Product } from '../records/product';
import type { Project } from '../records/project';
import type { Workplace } from '../records/workplace';
import { dueMs, hoursBefore, hoursFrom, minutesTo } from './workHours';
import { type PieceBook, pacedPieces, workReader } from './worksOf';

/** Hands' time of one step of joining, min, and how long glue sets. Common practice; the glue's own label says better. */
const JOIN_STEP_MIN = 6;
const GLUE_SETS_MIN = 24 * 60;

/** Everything that a workshop has promised and has on its table. */
export interface WorkshopBook extends PieceBook {
  readonly projects: readonly Project[];
  readonly products: readonly Product[];
  readonly orders: readonly Order[];
  readonly stock: ReadonlyMap<string, StockState>;
  readonly workplace: Workplace;
}

/** What one line of a promise asks for, and what cannot be laid in of it. */
export interface LineWork {
  readonly orderId: string;
  readonly line: OrderLine;
  /** How many are still to be made. */
  readonly toMake: number;
  readonly works: readonly Work[];
  readonly joinings: readonly Joining[];
  /** Pieces or projects of the table that it waits for. */
  readonly waitsFor: readonly string[];
  /** Why nothing can be said of it: no piece to go by, or its grams are open. */
  readonly isOpen: boolean;
}

const joiningMinutes = (project: Project, count: number): number =>
  count * Math.max(1, project.steps.filter(s => !s.isDone).length) * JOIN_STEP_MIN;

const setsMin = (project: Project): number =>
  project.parts.some(p => p.sort === 'glue') ? GLUE_SETS_MIN : 0;

/** Lines that are still to be handed over, of all open promises. */
export const openLines = (
  orders: readonly Order[],
  stock: ReadonlyMap<string, StockState>,
): readonly PromisedLine[] =>
  orders
    .filter(o => o.doneAt === null && o.deletedAt === null)
    .flatMap(order =>
      order.lines.flatMap(({ id, productId, count }): PromisedLine[] =>
        productId === null
          ? []
          : [
              {
                id: `${order.id}.${id}`,
                productId,
                open: Math.max(0, count - deliveredOf(stock, order.id, productId)),
                due: order.due,
              },
            ],
      ),
    );

/** Work of so many of a product. */
export const productWork = (
  product: Product,
  of: { readonly id: string; readonly name: string; readonly count: number },
  book: { readonly projects: readonly Project[]; readonly like: ReturnType<typeof workReader>['like'] },
): Pick<LineWork, 'works' | 'joinings' | 'isOpen'> => {
  const project = book.projects.find(p => p.id === product.projectId && p.deletedAt === null);
  if (project) {
    const slots = project.pieces.map(slot => ({
      slot,
      work:
        slot.pieceId === null
          ? null
          : book.like(slot.pieceId, {
              id: `${of.id}.${slot.id}`,
              name: `${of.name}: ${slot.what}`,
              count: of.count * slot.count,
            }),
    }));
    const works = slots.flatMap(s => s.work ?? []);
    return {
      works,
      joinings: [
        {
          id: of.id,
          name: of.name,
          minutes: joiningMinutes(
            { ...project, steps: project.steps.map(s => ({ ...s, isDone: false })) },
            of.count,
          ),
          setsMin: setsMin(project),
          of: works.map(w => w.id),
          due: null,
        },
      ],
      isOpen: works.length < slots.length,
    };
  }
  const work = product.pieceId === null ? null : book.like(product.pieceId, of);
  return { works: work ? [work] : [], joinings: [], isOpen: work === null };
};

/** What each line of the open promises asks for: what is on hand is taken first, for the earliest day first. */
const lineWorks = (book: WorkshopBook): readonly LineWork[] => {
  const { like } = workReader(book);
  const left = toMake(openLines(book.orders, book.stock), id => book.stock.get(id)?.onHand ?? 0);
  return book.orders
    .filter(o => o.doneAt === null && o.deletedAt === null)
    .flatMap(order =>
      order.lines.map((line): LineWork => {
        const id = `${order.id}.${line.id}`;
        const nothing = { orderId: order.id, line, works: [], joinings: [], isOpen: false };
        if (line.pieceId !== null)
          return { ...nothing, toMake: left.get(id) ?? line.count, waitsFor: [line.pieceId] };
        const count = left.get(id) ?? line.count;
        if (count === 0) return { ...nothing, toMake: 0, waitsFor: [] };
        const product = book.products.find(p => p.id === line.productId);
        if (!product) return { ...nothing, toMake: count, waitsFor: [], isOpen: true };
        const made = productWork(
          product,
          { id, name: product.name, count },
          { projects: book.projects, like },
        );
        return { ...nothing, ...made, toMake: count, waitsFor: [] };
      }),
    );
};

/** Work of the table: pieces that are not finished, and projects that are not put together. */
const tableWork = (book: WorkshopBook): { works: readonly Work[]; joinings: readonly Joining[] } => {
  const reader = workReader(book);
  const works = book.pieces
    .filter(p => p.deletedAt === null && p.result.finishedAt === null)
    .flatMap(p => reader.of(p) ?? []);
  const joinings = book.projects
    .filter(p => p.deletedAt === null && p.doneAt === null)
    .map((p): Joining => ({
      id: p.id,
      name: p.name,
      minutes: joiningMinutes(p, 1),
      setsMin: setsMin(p),
      of: p.pieces.flatMap(s => s.pieceId ?? []),
      due: null,
    }));
  return { works, joinings };
};

/** The least of two days; null is none. */
const earlier = (a: number | null, b: number | null): number | null =>
  a === null ? b : b === null ? a : Math.min(a, b);

/** All the work of a workshop: what is on the table and what was promised, with its days. */
export const openWorkOf = (
  book: WorkshopBook,
): { readonly open: OpenWork; readonly lines: readonly LineWork[] } => {
  const { nowMs, workplace } = book;
  const lines = lineWorks(book);
  const table = tableWork(book);
  const dueOf = new Map<string, number | null>();
  const promises: OpenPromise[] = [];
  const promise = (id: string, ms: number | null, of: readonly string[]): void => {
    const due = ms === null ? null : minutesTo(ms, nowMs);
    promises.push({ id, due, of });
    for (const work of of) dueOf.set(work, earlier(dueOf.get(work) ?? null, due));
  };
  for (const order of book.orders.filter(o => o.doneAt === null && o.deletedAt === null)) {
    const own = lines.filter(l => l.orderId === order.id);
    promise(
      order.id,
      dueMs(order),
      own.flatMap(l => [...l.works.map(w => w.id), ...l.joinings.map(j => j.id), ...l.waitsFor]),
    );
  }
  for (const p of book.projects.filter(j => j.due !== null && j.doneAt === null && j.deletedAt === null))
    promise(p.id, dueMs({ sort: 'gift', due: p.due }), [p.id]);
  const withDue = <T extends Work | Joining>(of: T): T => ({ ...of, due: dueOf.get(of.id) ?? null });
  return {
    lines,
    open: {
      works: [...table.works, ...lines.flatMap(l => l.works)].map(withDue),
      joinings: [...table.joinings, ...lines.flatMap(l => l.joinings)].map(withDue),
      promises,
      paced: pacedPieces(book),
      hours: hoursFrom(workplace, nowMs),
      pastHours: hoursBefore(workplace, nowMs),
      sittingMin: workplace.sittingMin,
      restMin: workplace.restMin,
      basins: workplace.basins,
      rackPlaces: workplace.rackPlaces,
      moved: workplace.moved.map(({ task, at }) => ({ task, at: minutesTo(Date.parse(at), nowMs) })),
      direction: workplace.direction,
    },
  };
};
