import { type ActOf, waterAfter, workOfAct } from '../acts/act';
import type { LogEntry } from '../log/entry';
import type { DrawingMark, Water } from '../acts/vocabulary';
import { drawingRange, type LogRange, meanRange } from './drawingRange';
import { meanReading } from '../log/pair';
import { entriesInHand } from '../log/manyAlike';
import type { FormPlan, Gauge } from '../forms/formKind';
import { gaugeAxis } from '../forms/gaugeAxis';
import { addWork, type Prior, FELTING, guessedWork, NO_WORK, withoutBias } from './feltingModel';

import type { FeltingRecord } from './likelihood';

/** A reading shorter or longer than this many times what was laid is no length of this piece. */
const BELIEVABLE = { least: 0.05, most: 3 } as const;

/** A piece as its form has it. */
export interface FormForModel {
  readonly gauges: readonly Gauge[];
  /** A ball, a bead, an egg: its rolls have no direction. */
  readonly isSolid: boolean;
  /** True where nothing marks the edge of what is laid: then where it begins is known only within a per cent or two. */
  readonly isFuzzy: boolean;
}

/** Forms whose laid edge nothing marks. */
const FUZZY: ReadonlySet<FormPlan['outlineIs']> = new Set(['layout', 'cloth']);

/** What the model needs to know of a form; @param gauges its lines, where those of now are others than those it was laid with */
export const formForModel = (form: FormPlan, gauges: readonly Gauge[] = form.gauges): FormForModel => ({
  gauges,
  isSolid: Boolean(form.solid),
  isFuzzy: FUZZY.has(form.outlineIs),
});

/** What a look says of the lines: all round, or each way by itself where there are lines both ways. */
const seenEachWay = (
  gauges: readonly Gauge[],
  { at, across }: ActOf<'compare'>,
): ReadonlyArray<LogRange & { readonly of?: readonly number[] }> => {
  const range = (mark: DrawingMark, lines: readonly Gauge[]): LogRange =>
    meanRange(lines.map(g => drawingRange(mark, g)));
  const way = (axis: 'along' | 'across'): readonly number[] =>
    gauges.flatMap((g, i) => (gaugeAxis(g.directionDeg) === axis ? [i] : []));
  const ways = { along: way('along'), across: way('across') };
  if (across === undefined || ways.along.length === 0 || ways.across.length === 0) return [range(at, gauges)];
  return (
    [
      [at, ways.along],
      [across, ways.across],
    ] as const
  ).map(([mark, of]) => ({
    ...range(
      mark,
      gauges.filter((_, g) => of.includes(g)),
    ),
    of,
  }));
};

/** Deviation of a reading that says within how much it is, of the logarithm: half of that, as a share. */
const ownSd = (mm: number | null, within: number | undefined): number | null =>
  mm === null || within === undefined || mm <= 0 ? null : within / 2 / mm;

/** What was done to one piece, in order, as the model reads it; of many alike, to one of them. Linear in the entries. */
export const feltingRecordOfOne = (
  entries: readonly LogEntry[],
  formed: FormForModel,
  belief: Prior,
): FeltingRecord => {
  const { gauges, isSolid, isFuzzy } = formed;
  const intervals: Array<FeltingRecord['intervals'][number]> = [];
  let since = NO_WORK;
  let water: Water = 'hot';
  for (const { act } of entries) {
    water = waterAfter(act) ?? water;
    const done = workOfAct(act, water);
    if (done) {
      since = addWork(since, done.rolls, isSolid ? null : done.directionDeg);
      since = guessedWork(since, done.spread);
    }
    if (act.kind === 'compare') {
      for (const [n, seen] of seenEachWay(gauges, act).entries())
        intervals.push({ work: n === 0 ? since : NO_WORK, read: gauges.map(() => null), within: seen });
      since = NO_WORK;
    }
    if (act.kind !== 'measure') continue;
    const read = gauges.map(({ id, laidMm }) => {
      const share = (meanReading(act.readings, id) ?? 0) / laidMm;
      return share >= BELIEVABLE.least && share <= BELIEVABLE.most ? Math.log(share) : null;
    });
    if (read.every(r => r === null)) continue;
    const { within } = act;
    const own = within && gauges.map(({ id }) => ownSd(act.readings[id] ?? null, within[id]));
    intervals.push({ work: since, read, ...(own ? { own } : {}) });
    since = NO_WORK;
  }
  return {
    gaugesDeg: gauges.map(g => g.directionDeg),
    intervals,
    since,
    belief: isSolid ? withoutBias(belief) : belief,
    startSd: isFuzzy ? FELTING.startSd : 0,
  };
};

/** The log as the model reads it, of many alike that of the one in the hands. Undone entries do not count. Linear in the log. */
export const feltingRecordOf = (
  log: readonly LogEntry[],
  formed: FormForModel,
  belief: Prior,
): FeltingRecord => feltingRecordOfOne(entriesInHand(log), formed, belief);
