import { stretchesOf } from './strain';
import { HANDS, type Minute, type Placed, type Span, type Task, type WorkHours } from './task';

/** What a schedule breaks: told, never mended behind the maker's back. */
export type Break =
  /** Hands are at it outside the maker's hours, by so many minutes. */
  | { readonly is: 'out-of-hours'; readonly id: string; readonly minutes: Minute }
  /** It begins so many minutes before what it stands on is over. */
  | { readonly is: 'too-soon'; readonly id: string; readonly after: string; readonly minutes: Minute }
  /** More of something is taken than there is, at this moment. */
  | { readonly is: 'double'; readonly id: string; readonly resource: string; readonly at: Minute }
  /** Tiring work for longer at a stretch than hands stand. */
  | { readonly is: 'too-long'; readonly id: string; readonly minutes: Minute }
  /** It is over so many minutes after its day. */
  | { readonly is: 'late'; readonly id: string; readonly minutes: Minute };

const overlap = (a: Span, b: Span): Minute =>
  Math.max(0, Math.min(a.end, b.end) - Math.max(a.start, b.start));

interface Taking {
  readonly id: string;
  readonly span: Span;
  readonly count: number;
}

const takingsOf = (task: Task, placed: Placed): ReadonlyArray<Taking & { readonly resource: string }> => {
  const last = placed.spans.at(-1);
  return [
    ...placed.spans.flatMap(span => task.uses.map(u => ({ ...u, id: task.id, span }))),
    ...(last
      ? task.keeps.map(k => ({ ...k, id: task.id, span: { start: last.end, end: placed.overAt } }))
      : []),
  ];
};

/** Where more is taken at once than there is; each taking that goes over it is told once. */
const doubles = (takings: readonly Taking[], resource: string, capacity: number): readonly Break[] =>
  takings
    .filter(({ span }) => span.end > span.start)
    .flatMap((taking): Break[] => {
      const at = taking.span.start;
      const taken = takings.reduce(
        (sum, { span, count }) => (span.start <= at && at < span.end ? sum + count : sum),
        0,
      );
      return taken > capacity ? [{ is: 'double', id: taking.id, resource, at }] : [];
    });

/**
 * What a schedule breaks, whoever made it.
 * @param placed in any order; what is not placed breaks nothing
 */
export const breaksOf = (
  tasks: readonly Task[],
  placed: readonly Placed[],
  work: WorkHours,
): readonly Break[] => {
  const where = new Map(placed.map(p => [p.id, p]));
  const breaks: Break[] = [];
  const takings = new Map<string, Taking[]>();
  const tiring: Array<Span & { readonly id: string }> = [];
  for (const task of tasks) {
    const at = where.get(task.id);
    if (!at) continue;
    const begins = at.spans[0]?.start ?? 0;
    for (const id of task.after) {
      const over = where.get(id)?.overAt ?? Number.NEGATIVE_INFINITY;
      if (begins < over) breaks.push({ is: 'too-soon', id: task.id, after: id, minutes: over - begins });
    }
    if (task.due !== null && at.overAt > task.due)
      breaks.push({ is: 'late', id: task.id, minutes: at.overAt - task.due });
    for (const { resource, id, span, count } of takingsOf(task, at)) {
      const all = takings.get(resource) ?? [];
      all.push({ id, span, count });
      takings.set(resource, all);
      if (resource !== HANDS) continue;
      const inHours = work.hours.reduce((sum, h) => sum + overlap(h, span), 0);
      const outside = span.end - span.start - inHours;
      if (outside > 0) breaks.push({ is: 'out-of-hours', id, minutes: outside });
    }
    if (task.tires) tiring.push(...at.spans.map(s => ({ ...s, id: task.id })));
  }
  for (const [resource, all] of takings) breaks.push(...doubles(all, resource, work.capacity[resource] ?? 0));
  if (work.sittingMin !== null)
    for (const { start, worked } of stretchesOf(tiring, work.restMin))
      if (worked > work.sittingMin) {
        const id = tiring.find(t => t.start === start)?.id ?? '';
        breaks.push({ is: 'too-long', id, minutes: worked });
      }
  return breaks;
};
