import { planOf } from '../core/plan/planOf';
import { withoutSpans } from '../core/schedule/withoutSpans';
import type { Joining, Work } from '../core/schedule/work';
import type { OpenWork, OpenPromise } from '../core/schedule/planWork';
import { deliveredOf, type StockState } from '../core/stock/ledger';
import { type PromisedLine, toMake } from '../core/stock/promised';
import type { FeltClass } from '../records/feltClass';
import type { Order, OrderLine } from '../records/order';
import type { Piece } from '../records/piece';
import type { Product } from '../records/product';
import type { Project } from '../records/project';
import type { Workplace } from '../records/workplace';
import { classSheet } from './classSheet';
import { dueMs, hoursBefore, hoursFrom, minutesTo, momentOf } from './workHours';
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
  readonly classes: readonly FeltClass[];
  readonly workplace: Workplace;
}

/** A class that is held: hands are at nothing else then. */
export interface ClassTime {
  readonly id: string;
  readonly name: string;
  readonly startMs: number;
  readonly endMs: number;
}

/** How long a class is taken to be where its times are not known, min. Common practice. */
const CLASS_MIN = 180;

/** Classes that are still to be held, with when they begin and end. */
export const classTimes = (book: PieceBook & Pick<WorkshopBook, 'classes'>): readonly ClassTime[] =>
  book.classes.flatMap((held): ClassTime[] => {
    if (held.day === null || held.startsAt === null || held.back !== null || held.deletedAt !== null)
      return [];
    const piece = book.pieces.find(p => p.id === held.pieceId);
    const plan = piece && planOf(piece.plan);
    const sheet = piece && plan?.ok ? classSheet(held, { piece, plan: plan.value, book }) : null;
    const startMs = momentOf(held.day, held.startsAt);
    const endMs = startMs + (sheet?.minutes ?? CLASS_MIN) * 60_000;
    return endMs > book.nowMs ? [{ id: held.id, name: held.name, startMs, endMs }] : [];
  });

/** How many of one line of a promise are still to be made. */
export interface LineLeft {
  readonly orderId: string;
  readonly line: OrderLine;
  readonly toMake: number;
  /** Pieces of the table that it waits for. */
  readonly waitsFor: readonly string[];
}

/** What one line of a promise asks for, and what cannot be laid in of it. */
export interface LineWork extends LineLeft {
  readonly works: readonly Work[];
  readonly joinings: readonly Joining[];
  /** Why nothing can be said of it: no piece to go by, or its grams are open. */
  readonly isOpen: boolean;
}

const joiningMinutes = (project: Project, count: number): number =>
  count * Math.max(1, project.steps.filter(s => !s.isDone).length) * JOIN_STEP_MIN;

const setsMin = (project: Project): number =>
  project.parts.some(p => p.sort === 'glue') ? GLUE_SETS_MIN : 0;

const isOpenOrder = (order: Order): boolean => order.doneAt === null && order.deletedAt === null;

/** Lines that are still to be handed over, of all open promises. */
export const openLines = (
  orders: readonly Order[],
  stock: ReadonlyMap<string, StockState>,
): readonly PromisedLine[] =>
  orders.filter(isOpenOrder).flatMap(order =>
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

/**
 * What is left of each line of the open promises: what is on hand is taken first, for the earliest day first. A piece that is made for a
 * line, or promised itself, is there once it is finished; one that was deleted is not waited for.
 */
export const linesLeft = (of: {
  readonly orders: readonly Order[];
  readonly stock: ReadonlyMap<string, StockState>;
  readonly pieces: readonly Piece[];
}): readonly LineLeft[] => {
  const { orders, stock, pieces } = of;
  const left = toMake(openLines(orders, stock), id => stock.get(id)?.onHand ?? 0);
  return orders.filter(isOpenOrder).flatMap(order =>
    order.lines.map((line): LineLeft => {
      const piece = pieces.find(p => p.id === line.pieceId && p.deletedAt === null);
      const isFinished = piece !== undefined && piece.result.finishedAt !== null;
      const wanted = left.get(`${order.id}.${line.id}`) ?? line.count;
      const isStocked = (stock.get(line.productId ?? '')?.lines ?? []).some(
        l => l.entry.pieceId === line.pieceId,
      );
      // What was finished for this line is there, before it is put into stock too.
      const there = isFinished && !isStocked ? piece.plan.pieces : 0;
      return {
        orderId: order.id,
        line,
        toMake: Math.max(0, wanted - there),
        waitsFor: piece && !isFinished ? [piece.id] : [],
      };
    }),
  );
};

/** What each line of the open promises asks for. */
const lineWorks = (book: WorkshopBook): readonly LineWork[] => {
  const { like } = workReader(book);
  return linesLeft(book).map((left): LineWork => {
    const nothing = { ...left, works: [], joinings: [], isOpen: false };
    if (left.waitsFor.length > 0 || left.toMake === 0) return nothing;
    const product = book.products.find(p => p.id === left.line.productId);
    if (!product) return { ...nothing, isOpen: true };
    const of = { id: `${left.orderId}.${left.line.id}`, name: product.name, count: left.toMake };
    return { ...nothing, ...productWork(product, of, { projects: book.projects, like }) };
  });
};

/** Work of the table: pieces that are not finished, and projects that are not put together. */
export const tableWork = (
  book: PieceBook & Pick<WorkshopBook, 'projects'>,
): { works: readonly Work[]; joinings: readonly Joining[] } => {
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

/** The hours there are, from now on and of the last weeks; hands are at nothing else while a class is held. */
export const hoursOf = ({
  workplace,
  nowMs,
  classTimes: held,
}: Pick<WorkshopBook, 'nowMs'> & {
  readonly workplace: Pick<Workplace, 'hours' | 'daysOff'>;
  readonly classTimes: readonly ClassTime[];
}): Pick<OpenWork, 'hours' | 'pastHours'> => ({
  hours: withoutSpans(
    hoursFrom(workplace, nowMs),
    held.map(c => ({ start: minutesTo(c.startMs, nowMs), end: minutesTo(c.endMs, nowMs) })),
  ),
  pastHours: hoursBefore(workplace, nowMs),
});

/** What the work of a workshop is put together from, each of them from a part of the book: what has not changed is not worked out again. */
export interface WorkParts {
  readonly table: ReturnType<typeof tableWork>;
  readonly paced: OpenWork['paced'];
  readonly hours: ReturnType<typeof hoursOf>;
}

const workParts = (book: WorkshopBook): WorkParts => ({
  table: tableWork(book),
  paced: pacedPieces(book),
  hours: hoursOf({ ...book, classTimes: classTimes(book) }),
});

/** All the work of a workshop: what is on the table and what was promised, with its days. */
export const openWorkOf = (
  book: WorkshopBook,
  { table, paced, hours }: WorkParts = workParts(book),
): { readonly open: OpenWork; readonly lines: readonly LineWork[] } => {
  const { nowMs, workplace } = book;
  const lines = lineWorks(book);
  const dueOf = new Map<string, number | null>();
  const promises: OpenPromise[] = [];
  const promise = (id: string, ms: number | null, of: readonly string[]): void => {
    const due = ms === null ? null : minutesTo(ms, nowMs);
    promises.push({ id, due, of });
    for (const work of of) dueOf.set(work, earlier(dueOf.get(work) ?? null, due));
  };
  for (const order of book.orders.filter(isOpenOrder)) {
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
      paced,
      ...hours,
      sittingMin: workplace.sittingMin,
      restMin: workplace.restMin,
      basins: workplace.basins,
      rackPlaces: workplace.rackPlaces,
      moved: workplace.moved.map(({ task, at }) => ({ task, at: minutesTo(Date.parse(at), nowMs) })),
      direction: workplace.direction,
    },
  };
};
