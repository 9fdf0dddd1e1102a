import { batchOf } from '../core/batch/batchOf';
import { planOf } from '../core/plan/planOf';
import type { Need } from '../core/project/needs';
import type { PlannedWork } from '../core/schedule/planWork';
import type { Span } from '../core/schedule/task';
import { woolNeeds } from '../core/wool/pileList';
import { pieceWools, type Piece } from '../records/piece';
import type { Product } from '../records/product';
import type { Project } from '../records/project';
import type { LineLeft, LineWork, WorkshopBook } from './openWork';

/** Wool and parts that so many like a piece or a project need. */
interface Wants {
  readonly wools: readonly Need[];
  readonly parts: readonly Need[];
}
const NOTHING: Wants = { wools: [], parts: [] };

/** Grams of each wool that so many pieces like this one are laid of, reserve and all; what has no wool yet is left out. */
export const woolsLike = (piece: Piece, count: number, of: string): readonly Need[] => {
  const plan = planOf(piece.plan);
  if (!plan.ok || !plan.value.weigh) return [];
  return woolNeeds(plan.value.weigh, pieceWools(piece)).flatMap(({ woolId, grams }) =>
    woolId === null ? [] : [{ id: woolId, amount: (grams * count) / piece.plan.pieces, of }],
  );
};

const ofProject = (
  project: Project,
  count: number,
  { pieces, of }: { readonly pieces: readonly Piece[]; readonly of: string },
): Wants => ({
  wools: project.pieces.flatMap(slot => {
    const piece = pieces.find(p => p.id === slot.pieceId);
    return piece ? woolsLike(piece, count * slot.count, of) : [];
  }),
  parts: project.parts.flatMap(p =>
    p.partId === null ? [] : [{ id: p.partId, amount: p.count * count, of }],
  ),
});

/** What so many of a product need. */
export const productWants = (
  product: Product,
  count: number,
  book: Pick<WorkshopBook, 'pieces' | 'projects'>,
): Wants => {
  const project = book.projects.find(p => p.id === product.projectId);
  if (project) return ofProject(project, count, { pieces: book.pieces, of: product.name });
  const piece = book.pieces.find(p => p.id === product.pieceId);
  return piece ? { wools: woolsLike(piece, count, product.name), parts: [] } : NOTHING;
};

/**
 * What a line of an order needs that is not on the table yet. What a piece of the table needs is summed with all that is planned there.
 */
export const lineWants = (
  line: LineLeft,
  book: Pick<WorkshopBook, 'pieces' | 'projects' | 'products'>,
): Wants => {
  const product = book.products.find(p => p.id === line.line.productId);
  return product && line.waitsFor.length === 0 ? productWants(product, line.toMake, book) : NOTHING;
};

/** Hands' time that works and joinings take, and what hours there are for it. */
export interface HandsNeed {
  readonly needMin: number;
  /** The maker's hours until the day that no other work takes, as all is laid in, min; null without a day. */
  readonly freeMin: number | null;
  /** ≥ 0. */
  readonly shortMin: number;
}

const within = (spans: readonly Span[], until: number): number =>
  spans.reduce((sum, s) => sum + Math.max(0, Math.min(s.end, until) - s.start), 0);

/** Hands that a promise needs, against the hours until its day. @param of works and joinings of it */
export const handsNeed = (
  planned: PlannedWork,
  hours: readonly Span[],
  of: { readonly ids: ReadonlySet<string>; readonly due: number | null },
): HandsNeed => {
  const { ids, due } = of;
  const own = new Set(planned.tasks.filter(t => ids.has(t.of)).map(t => t.id));
  const needMin = planned.tasks.reduce((sum, t) => (own.has(t.id) ? sum + t.minutes : sum), 0);
  if (due === null) return { needMin, freeMin: null, shortMin: 0 };
  const othersMin = planned.placed
    .filter(p => !own.has(p.id))
    .reduce((sum, p) => sum + within(p.spans, due), 0);
  const freeMin = Math.max(0, within(hours, due) - othersMin);
  return { needMin, freeMin, shortMin: Math.max(0, needMin - freeMin) };
};

/** The most places of the rack that are taken at once, as all is laid in. */
const rackPeak = (planned: PlannedWork): number => {
  const keeps = new Map(planned.tasks.map(t => [t.id, t.keeps.reduce((sum, k) => sum + k.count, 0)]));
  const dried = planned.placed.flatMap(p => {
    const count = keeps.get(p.id) ?? 0;
    return count > 0 ? [{ from: p.spans.at(-1)?.end ?? 0, to: p.overAt, count }] : [];
  });
  return Math.max(
    0,
    ...dried.map(({ from }) =>
      dried.reduce((sum, d) => (d.from <= from && from < d.to ? sum + d.count : sum), 0),
    ),
  );
};

/** Places of the rack that lines want at once, and whether it is full at times because of them. */
export const rackNeed = (
  planned: PlannedWork,
  lines: readonly LineWork[],
  places: number,
): { readonly atOnce: number; readonly isFull: boolean } => {
  const dried = lines.flatMap(l => l.works).reduce((sum, w) => sum + w.count, 0);
  const peak = rackPeak(planned);
  return { atOnce: Math.min(dried, peak), isFull: peak >= places && dried > places };
};

/** How often water is drawn fresh for a line: once a sitting, and between where many go through it. Common practice. */
export const freshWater = (line: LineWork): number =>
  line.works.reduce((sum, work) => {
    const { sittings, waterChanges } = batchOf(work.count);
    return sum + (work.isSolid ? sittings + waterChanges : work.count);
  }, 0);
