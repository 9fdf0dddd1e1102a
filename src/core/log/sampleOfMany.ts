import type { Gauge } from '../forms/formKind';
import type { ManyAlike } from './manyAlike';

/** One that is far from the others. */
interface OddOne {
  readonly piece: number;
  readonly mm: number;
}

/** What some of many measured, of one line. */
export interface SampleOfMany {
  readonly gaugeId: string;
  /** How many were measured. */
  readonly count: number;
  readonly meanMm: number;
  /** Standard deviation, n − 1; null of fewer than two. */
  readonly sdMm: number | null;
  readonly odd: readonly OddOne[];
}

/** So many are too few to call one of them odd. */
const FEW = 3;
/** A normal spread from the median of deviations, and how many of them are odd; and never within this share of the median. */
const ODD = { scale: 1.4826, times: 3, share: 0.05 } as const;

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b);
  const half = sorted.length / 2;
  return ((sorted[Math.ceil(half) - 1] ?? 0) + (sorted[Math.floor(half)] ?? 0)) / 2;
};

/** The last length of each piece that was measured. */
const lastRead = ({ logs }: ManyAlike, gaugeId: string): readonly OddOne[] =>
  [...logs]
    .flatMap(([piece, log]): OddOne[] => {
      const mm = log.reduce<number | null>(
        (was, { act }) => (act.kind === 'measure' ? (act.readings[gaugeId] ?? was) : was),
        null,
      );
      return mm === null ? [] : [{ piece, mm }];
    })
    .toSorted((a, b) => a.piece - b.piece);

/**
 * Mean, spread and odd ones of what was measured of some of many, line by line. An odd one is more than three times the spread from
 * the median, the spread taken from the median deviation so that the odd one does not widen it, and more than 5 % from it (common
 * practice).
 */
export const sampleOfMany = (many: ManyAlike, gauges: readonly Gauge[]): readonly SampleOfMany[] =>
  gauges.flatMap(({ id }): SampleOfMany[] => {
    const read = lastRead(many, id);
    if (read.length === 0) return [];
    const values = read.map(r => r.mm);
    const meanMm = values.reduce((a, b) => a + b, 0) / values.length;
    const squares = values.reduce((sum, v) => sum + (v - meanMm) ** 2, 0);
    const middle = median(values);
    const usual = ODD.times * ODD.scale * median(values.map(v => Math.abs(v - middle)));
    const far = Math.max(usual, ODD.share * middle);
    return [
      {
        gaugeId: id,
        count: values.length,
        meanMm,
        sdMm: values.length < 2 ? null : Math.sqrt(squares / (values.length - 1)),
        odd: values.length > FEW ? read.filter(r => Math.abs(r.mm - middle) > far) : [],
      },
    ];
  });
