import { amountOf } from '../acts/act';
import type { Judge } from '../acts/vocabulary';
import { BATCH_PRACTICE } from '../batch/batchOf';
import { type ManyAlike, nextOfMany } from '../log/manyAlike';
import { measuredPieces } from '../log/pair';
import type { Way } from '../ways/way';
import type { ProposedAct } from './proposedAct';

/** Whether many alike are worked one after the other, each from its beginning; a few flat ones go side by side. */
export const isOneByOne = ({ bySide, hasBack }: Way, pieces: number): boolean =>
  pieces > 1 && ((!bySide && !hasBack) || measuredPieces(pieces) === 1);

/** How much of an act each that is through had, in its own unit, the least first. */
const hadEach = ({ through, logs }: ManyAlike, kind: string): readonly number[] =>
  through
    .map(piece =>
      (logs.get(piece) ?? []).reduce(
        (sum, { act }) => (act.kind === kind ? sum + (amountOf(act)?.count ?? 0) : sum),
        0,
      ),
    )
    .toSorted((a, b) => a - b);

/**
 * What many alike ask for beside what the one in the hands does: new water, and going on to the next.
 * @param next what would be done to the one in the hands  @param of.pieces how many there are
 */
export const manyAct = (
  next: ProposedAct,
  many: ManyAlike,
  of: { readonly pieces: number; readonly way: Way; readonly judge: Judge },
): ProposedAct => {
  const { inHand, through, sinceWater, logs } = many;
  const isThrough = through.includes(inHand);
  const following = nextOfMany(many, of.pieces, inHand);
  if (isThrough)
    return following === null
      ? finish(next, of.way, many)
      : { act: 'other', kind: 'takeUp', piece: following, reason: 'next-of-many' };
  const isBegun = (logs.get(inHand) ?? []).some(e => e.act.kind === of.way.skin.kind);
  if (sinceWater >= BATCH_PRACTICE.perWater && !isBegun)
    return { act: 'other', kind: 'water', water: 'hot', reason: 'water-foul' };
  const done: ProposedAct = {
    act: 'other',
    kind: 'pieceDone',
    piece: inHand,
    next: following,
    reason: 'one-is-through',
  };
  // What firms all of them at once waits until all are there.
  const isForAll = next.act === 'other' && next.kind === of.way.firms.kind && of.way.firms.kind === 'machine';
  if (next.act === 'stop' || isForAll) return done;
  const had = hadEach(many, of.way.shrink.kind);
  const usual = had[Math.floor(had.length / 2)] ?? 0;
  const own = (logs.get(inHand) ?? []).reduce(
    (sum, { act }) => (act.kind === of.way.shrink.kind ? sum + (amountOf(act)?.count ?? 0) : sum),
    0,
  );
  return of.judge === 'feel' && usual > 0 && own >= usual ? { ...done, reason: 'like-the-others' } : next;
};

/** All are through: what firms them all at once, where it was not done since, and then the end. */
const finish = (next: ProposedAct, way: Way, { logs, inHand }: ManyAlike): ProposedAct => {
  const isWashed = (logs.get(inHand) ?? []).some(e => e.act.kind === 'machine');
  if (way.firms.kind === 'machine' && !isWashed)
    return { act: 'other', kind: 'machine', count: way.firms.count, reason: 'all-at-once' };
  return next.act === 'stop' ? next : { act: 'stop', reason: 'all-through' };
};
