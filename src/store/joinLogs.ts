import type { Entry } from '../records/entry';
import { inLogOrder } from './reader';

/** An entry with a time that only rises along its log: a clock that was set back does not put it before what was done before it. */
interface Timed {
  readonly entry: Entry;
  readonly ms: number;
}

const timed = (log: readonly Entry[]): readonly Timed[] => {
  let ms = Number.NEGATIVE_INFINITY;
  return log.map(entry => {
    ms = Math.max(ms, Date.parse(entry.at));
    return { entry, ms };
  });
};

const isBefore = (a: Timed, b: Timed): boolean => a.ms < b.ms || (a.ms === b.ms && a.entry.id < b.entry.id);

/** Two stretches of a log, each in its own order, by when it was done. */
const byTime = (ours: readonly Timed[], theirs: readonly Timed[]): readonly Entry[] => {
  const out: Entry[] = [];
  let [i, j] = [0, 0];
  while (i < ours.length || j < theirs.length) {
    const [a, b] = [ours[i], theirs[j]];
    if (a && (!b || isBefore(a, b))) {
      out.push(a.entry);
      i += 1;
    } else if (b) {
      out.push(b.entry);
      j += 1;
    }
  }
  return out;
};

/** The log of one piece that grew on two devices: what both have stands where it stood, what each did since is put together by its time. */
const joined = (ours: readonly Timed[], theirs: readonly Timed[]): readonly Entry[] => {
  const places = new Map(ours.map(({ entry }, i) => [entry.id, i]));
  const out: Entry[] = [];
  let from = 0;
  let fresh: Timed[] = [];
  for (const there of theirs) {
    const place = places.get(there.entry.id);
    if (place === undefined) fresh.push(there);
    else if (place >= from) {
      out.push(...byTime(ours.slice(from, place), fresh));
      const here = ours[place];
      if (here) out.push(here.entry);
      fresh = [];
      from = place + 1;
    }
  }
  return [...out, ...byTime(ours.slice(from), fresh)];
};

const byPiece = (entries: readonly Entry[]): ReadonlyMap<string, Entry[]> => {
  const logs = new Map<string, Entry[]>();
  for (const e of entries) {
    const log = logs.get(e.pieceId);
    if (log) log.push(e);
    else logs.set(e.pieceId, [e]);
  }
  return logs;
};

/**
 * What has to be written so that the logs here hold what those of a file hold as well: entries that are new here, and those that come to
 * another place by it. Joined the other way round it comes to the same order.
 */
export const joinLogs = (have: readonly Entry[], incoming: readonly Entry[]): readonly Entry[] => {
  const known = new Set(have.map(e => e.id));
  const there = byPiece(incoming);
  const here = byPiece(have.filter(e => there.has(e.pieceId)));
  return [...there].flatMap(([pieceId, log]) => {
    if (log.every(e => known.has(e.id))) return [];
    let last = 0;
    return joined(timed(inLogOrder(here.get(pieceId) ?? [])), timed(inLogOrder(log))).flatMap(entry => {
      const seq = Math.max(last + 1, entry.seq);
      last = seq;
      if (seq === entry.seq) return known.has(entry.id) ? [] : [entry];
      return [{ ...entry, seq }];
    });
  });
};
