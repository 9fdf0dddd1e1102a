import { isOfAll, takenUpBy } from '../acts/act';
import type { PieceMark } from '../acts/pieceMark';
import { entriesInForce } from './entriesInForce';
import type { LogEntry } from './entry';

type Log = readonly LogEntry[];

/** Many alike that are worked one after the other, as the log has them. */
export interface ManyAlike {
  /** Which is in the hands, from 1. */
  readonly inHand: number;
  /** Those that are through, in the order they were. */
  readonly through: readonly number[];
  /** Those put aside, and why. */
  readonly aside: ReadonlyMap<number, PieceMark>;
  /** What stands in the log of each that was taken up: what was done to it alone, and to all at once. */
  readonly logs: ReadonlyMap<number, Log>;
  /** How many are through since the water was renewed. */
  readonly sinceWater: number;
  /** When each was through, ISO 8601, in the same order. */
  readonly throughAt: readonly string[];
}

const FIRST = 1;
const known = new WeakMap<Log, ManyAlike>();

const readMany = (entries: Log): ManyAlike => {
  const logs = new Map<number, LogEntry[]>();
  const ofAll: LogEntry[] = [];
  const through = new Map<number, string>();
  const aside = new Map<number, PieceMark>();
  let inHand = FIRST;
  let sinceWater = 0;
  const logOf = (piece: number): LogEntry[] => {
    const log = logs.get(piece);
    if (log) return log;
    const begun = [...ofAll];
    logs.set(piece, begun);
    return begun;
  };
  logOf(inHand);
  for (const entry of entries) {
    const { act, at } = entry;
    if (isOfAll(act.kind)) {
      ofAll.push(entry);
      for (const log of logs.values()) log.push(entry);
    } else logOf(inHand).push(entry);
    if (act.kind === 'water') sinceWater = 0;
    if (act.kind === 'pieceDone') {
      through.set(act.piece, at);
      aside.delete(act.piece);
      sinceWater += 1;
    }
    if (act.kind === 'mark') {
      aside.set(act.piece, act.as);
      through.delete(act.piece);
    }
    inHand = takenUpBy(act) ?? inHand;
    logOf(inHand);
  }
  return {
    inHand,
    through: [...through.keys()],
    aside,
    logs,
    sinceWater,
    throughAt: [...through.values()],
  };
};

/** How many alike stand. Undone entries do not count. Linear in the log. */
export const manyAlike = (log: Log): ManyAlike => {
  const entries = entriesInForce(log);
  const was = known.get(entries);
  if (was) return was;
  const many = readMany(entries);
  known.set(entries, many);
  return many;
};

/** What stands in the log of the piece in the hands; all of it where there is only one. */
export const entriesInHand = (log: Log): Log => {
  const entries = entriesInForce(log);
  if (!entries.some(e => takenUpBy(e.act) !== null)) return entries;
  const { logs, inHand } = manyAlike(log);
  return logs.get(inHand) ?? entries;
};

/**
 * The one to take up next: the first that is neither through nor put aside, then those put aside; null where none is left.
 * @param of how many there are  @param but one that is not meant: the one in the hands
 */
export const nextOfMany = ({ through, aside }: ManyAlike, of: number, but: number): number | null => {
  const isLeft = (piece: number): boolean => piece !== but && !through.includes(piece);
  const all = Array.from({ length: of }, (_, i) => i + 1).filter(isLeft);
  return all.find(piece => !aside.has(piece)) ?? all[0] ?? null;
};

/** A pause as long as this ends a sitting, ms. Common practice. */
const SITTING_ENDS_MS = 30 * 60_000;

/**
 * How many were through in this sitting: without a long pause between them, or since.
 * @param msOf a stored time in ms since 1970
 */
export const inThisSitting = (
  { throughAt }: ManyAlike,
  nowMs: number,
  msOf: (at: string) => number,
): number => {
  let count = 0;
  let later = nowMs;
  for (const at of throughAt.map(msOf).toReversed()) {
    if (later - at > SITTING_ENDS_MS) break;
    count += 1;
    later = at;
  }
  return count;
};
