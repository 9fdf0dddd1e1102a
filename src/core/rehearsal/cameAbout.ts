import { workOfAct } from '../acts/act';
import { isHollow } from '../advice/faults';
import type { LogEntry } from '../log/entry';
import type { Random } from '../numeric/random';
import type { Point } from '../outline/polygon';
import { chanceAt } from './chanceAt';
import type { Hidden, Rehearsed } from './hidden';

/**
 * What can go wrong of itself, and how likely at each occasion. Common practice; nothing was counted. `docs/model-notes.md` says what each
 * occasion is.
 */
export const CHANCES = {
  /** A set of rolls, where the bundle was not looked into for a hundred: something lies crooked, and a fold begins. */
  fold: 0.12,
  /** What it was made over comes out before the skin holds: front and back touch and begin to stick. */
  stuck: 0.6,
  /** Cut before the skin holds: the edge ravels. */
  ravel: 0.8,
  /** Cut when most of the way is behind it: the edge stays hard. */
  hard: 0.5,
  /** A solid is squeezed, boarded or thrown before half of its skin is there: it cracks. */
  crack: 0.5,
  /** A side is wetted a third time before its skin holds: the layout floats, and a thin spot grows. */
  thin: 0.5,
  /** A solid is rolled one way under the board for more than six minutes on end: it grows long. */
  sausage: 0.4,
} as const;
export type CameAboutId = keyof typeof CHANCES;

/** Reference rolls after which what has begun is felted in, and cannot be mended; what is fast at once has 0. Common practice. */
const FAST_AFTER: Readonly<Record<CameAboutId, number>> = {
  fold: 90,
  stuck: 60,
  ravel: 120,
  hard: 0,
  crack: 80,
  thin: 150,
  sausage: 160,
};
/** Rolls after which a bundle is opened and looked into. Common practice. */
const LOOK_EVERY = 100;
/** Share of the way after which a cut does not heal. Common practice. */
const LATE = 0.7;
/** Minutes under the board that a solid stays round for. Common practice. */
const ROUND_MIN = 6;
/** Wettings of one side that a layout stands. Common practice. */
const MOST_WET = 2;

/** Something that went wrong. */
export interface CameAbout {
  readonly fault: CameAboutId;
  /** The act that brought it. */
  readonly entryId: string;
  /** Where, on the laid outline, mm; null where it has no place. */
  readonly at: Point | null;
  /** Felted in by now: it stays. */
  readonly isFast: boolean;
  /** It was seen in time, and mended. */
  readonly isMended: boolean;
}

/** What is known of a piece after each act: how far its skins are, least first, and how far it is on its way. */
export interface WayPoint {
  readonly skin: number;
  readonly progress: number;
}

/** Somewhere along the first line that is measured, seldom at its ends. */
const placeOf = ({ form }: Rehearsed, share: number): Point | null => {
  const gauge = form.gauges[0];
  if (!gauge) return null;
  const t = 0.15 + 0.7 * share;
  const { from, to } = gauge;
  return { x: from.x + t * (to.x - from.x), y: from.y + t * (to.y - from.y) };
};

interface Walk {
  readonly entries: readonly LogEntry[];
  /** After each entry. */
  readonly ways: readonly WayPoint[];
  readonly of: Rehearsed;
}

/** What each act is an occasion for, from what was before it. */
const occasions = ({
  entries,
  ways,
  of,
}: Walk): ReadonlyArray<{ readonly n: number; readonly fault: CameAboutId }> => {
  const { form, way } = of;
  const found: Array<{ n: number; fault: CameAboutId }> = [];
  let unseen = 0;
  let oneWay = 0;
  const wetted = new Map<number, number>();
  for (const [n, { act }] of entries.entries()) {
    const before = ways[n - 1] ?? { skin: 0, progress: 0 };
    const on = (is: boolean, fault: CameAboutId): void => {
      if (is) found.push({ n, fault });
    };
    if (act.kind === 'look' || act.kind === 'measure' || act.kind === 'compare' || act.kind === 'open')
      unseen = 0;
    if (act.kind === 'roll') {
      unseen += act.rolls;
      on(form.solid === null && way.hasDirections && unseen > LOOK_EVERY, 'fold');
    }
    if (act.kind === 'wet') {
      wetted.set(act.face, (wetted.get(act.face) ?? 0) + 1);
      on(form.solid === null && before.skin < 1 && (wetted.get(act.face) ?? 0) > MOST_WET, 'thin');
    }
    if (act.kind === 'open') {
      on(act.what === 'resist-out' && isHollow(form) && before.skin < 1, 'stuck');
      on(before.skin < 1, 'ravel');
      on(act.what === 'cut' && before.progress > LATE, 'hard');
    }
    const isHard = act.kind === 'squeeze' || act.kind === 'board' || act.kind === 'throw';
    oneWay = act.kind === 'board' ? oneWay + act.minutes : 0;
    on(form.solid !== null && oneWay > ROUND_MIN, 'sausage');
    on(form.solid !== null && isHard && before.skin < 0.5, 'crack');
  }
  return found;
};

/** Those that share one stream of chance: what is added has one of its own, so that lessons stay as they were written. */
const SHARED: readonly CameAboutId[] = ['fold', 'stuck', 'ravel', 'hard', 'crack', 'thin'];

/** The chance of an occasion, by its place in the log. */
const chanceOf = (fault: CameAboutId, n: number, { seed }: Hidden): Random =>
  SHARED.includes(fault)
    ? chanceAt(seed, 'fault', n * SHARED.length + SHARED.indexOf(fault))
    : chanceAt(seed, 'shape', n);

/** Work from one act to the end of the log, reference rolls. */
const workSince = (entries: readonly LogEntry[], n: number): number =>
  entries.slice(n + 1).reduce((sum, { act }) => sum + (workOfAct(act, 'hot')?.rolls ?? 0), 0);

/** Where in the log it was noted that this was seen, or an edge that sheds was rubbed; -1 where it never was. */
const seenAt = (entries: readonly LogEntry[], n: number, fault: CameAboutId): number =>
  entries.findIndex(
    ({ act }, i) =>
      i > n && ((act.kind === 'fault' && act.fault === fault) || (fault === 'ravel' && act.kind === 'edge')),
  );

/**
 * What went wrong by now, each with the act that brought it. The chance of each occasion is drawn for itself; each fault comes about once.
 * What is noted at the bench before it is fast is mended, and an edge that is rubbed.
 */
export const faultsOf = (walk: Walk, hidden: Hidden): readonly CameAbout[] => {
  const { entries, of } = walk;
  const begun = new Set<CameAboutId>();
  return occasions(walk).flatMap(({ n, fault }): CameAbout[] => {
    const isPossible = hidden.faults === undefined || hidden.faults.includes(fault);
    const entry = entries[n];
    // What was really done went as it went.
    const isReal = (entry?.seq ?? 0) <= (hidden.goesOn?.seq ?? 0);
    if (!isPossible || !entry || isReal || begun.has(fault)) return [];
    const random = chanceOf(fault, n, hidden);
    if (random() >= CHANCES[fault]) return [];
    begun.add(fault);
    const seen = seenAt(entries, n, fault);
    const isFastAt = (to: number): boolean => workSince(entries.slice(0, to), n) >= FAST_AFTER[fault];
    const isMended = seen >= 0 && !isFastAt(seen);
    return [
      {
        fault,
        entryId: entry.id,
        at: fault === 'fold' || fault === 'thin' ? placeOf(of, random()) : null,
        isFast: !isMended && isFastAt(entries.length),
        isMended,
      },
    ];
  });
};
