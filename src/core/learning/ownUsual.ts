import { type Act, amountOf, controlOf } from '../acts/act';

/**
 * How much of an act a maker does at once, and how fast: both are taken as log-normal, and pooled with common practice as with one
 * more maker. All of it common practice; nothing was measured.
 */
const SPREAD = {
  /** Log-deviation of what is usual, from maker to maker. */
  makers: 0.5,
  /** Log-deviation of what one maker does from turn to turn. */
  turns: 0.4,
} as const;
/** More turns than these say no more, and make what is new slow to be learnt. */
const MOST_TURNS = 60;

/**
 * A mean of logs, pooled with what is usual among makers.
 * @param usual what is taken where nothing is known, > 0  @param own what this maker did, each > 0
 * @example pooled(2, []) // 2
 */
export const pooled = (usual: number, own: readonly number[]): number => {
  const last = own.slice(-MOST_TURNS);
  const weight = SPREAD.makers ** 2 / (SPREAD.makers ** 2 + SPREAD.turns ** 2 / Math.max(1, last.length));
  if (last.length === 0) return usual;
  const mean = last.reduce((sum, v) => sum + Math.log(v), 0) / last.length;
  return Math.exp((1 - weight) * Math.log(usual) + weight * mean);
};

/** What this maker does of each act at once, by its kind, from acts that were counted or timed. Of what is not named, what is usual. */
export const ownAmounts = (acts: Iterable<Act>): Readonly<Record<string, number>> => {
  const counted = new Map<string, number[]>();
  for (const act of acts) {
    const amount = amountOf(act);
    // By feel, or guessed, it says nothing of what is usual.
    if (!amount || amount.spread > 0 || amount.count <= 0) continue;
    const own = counted.get(act.kind);
    if (own) own.push(amount.count);
    else counted.set(act.kind, [amount.count]);
  }
  return Object.fromEntries(
    [...counted].flatMap(([kind, own]) => {
      const usual = controlOf(kind)?.counts?.usual;
      return usual === undefined ? [] : [[kind, pooled(usual, own)] as const];
    }),
  );
};

/** A gap between two acts of a log that is work: longer it was a pause, shorter two were logged together. Minutes. */
const WORKED = { least: 0.1, most: 5 } as const;

/**
 * How much of an act this maker does in a minute, from how long one took after the act before it in the same log.
 * @param logs of pieces, each in its order  @param usual a minute, common practice
 */
export const ownPace = (
  kind: string,
  logs: Iterable<ReadonlyArray<{ readonly atMs: number; readonly act: Act }>>,
  usual: number,
): number => {
  const paces: number[] = [];
  for (const log of logs)
    log.forEach(({ atMs, act }, i) => {
      const before = log[i - 1];
      const amount = act.kind === kind ? amountOf(act) : null;
      if (!before || !amount || amount.spread > 0) return;
      const minutes = (atMs - before.atMs) / 60_000;
      if (minutes >= WORKED.least && minutes <= WORKED.most) paces.push(amount.count / minutes);
    });
  return pooled(usual, paces);
};
