import { amountOf } from '../acts/act';
import type { TestName } from '../acts/vocabulary';
import type { FeltTruth } from './rehearse';
import { meanOfAxis, sharesNow } from './sharesNow';

/** What can be asked of a rehearsal at any moment of it; data, so that a lesson can be passed on. */
export type Goal =
  /** So much was done of an act, in its own unit; of one that is not counted, so often. */
  | { readonly is: 'done'; readonly act: string; readonly least: number }
  /** A test was written down with at least such a grade. */
  | { readonly is: 'tested'; readonly test: TestName | 'pinch'; readonly least: number }
  /** The skin of every side is so far: from 1 on it holds. */
  | { readonly is: 'skin'; readonly least: number }
  /** So far on the way from laid to wanted. */
  | { readonly is: 'way'; readonly least: number; readonly most: number }
  /** Length and width are no further apart than this, as shares of their ways. */
  | { readonly is: 'even'; readonly most: number }
  /** Its area is between such shares of what was laid. */
  | { readonly is: 'area'; readonly least: number; readonly most: number }
  /** Opened while it was so far, with a skin that held. */
  | { readonly is: 'opened'; readonly least: number; readonly most: number }
  /** Something that went wrong was noted before it was fast, or never came about. */
  | { readonly is: 'caught'; readonly fault: string }
  /** Nothing that went wrong is fast. */
  | { readonly is: 'sound' }
  | { readonly is: 'all'; readonly of: readonly Goal[] };

/** Mean share of the way of the lines of one axis; null where there are none. */
const wayOfAxis = (truth: FeltTruth, axis: 'along' | 'across'): number | null =>
  meanOfAxis(truth, axis, (l, share) => Math.log(share) / Math.min(-1e-9, Math.log(l.wantedMm / l.laidMm)));

/** Its area as a share of what was laid: about, from its lines. */
const areaShare = (truth: FeltTruth): number => {
  const { along, across } = sharesNow(truth);
  return along * across;
};

const within = (value: number, { least, most }: { readonly least: number; readonly most: number }): boolean =>
  value >= least && value <= most;

/** Whether a goal is met as the felt truly is. Pure. */
export const isMet = (goal: Goal, truth: FeltTruth): boolean => {
  const { entries, ways, state, faults } = truth;
  switch (goal.is) {
    case 'all':
      return goal.of.every(one => isMet(one, truth));
    case 'done':
      return (
        entries.reduce((n, { act }) => n + (act.kind === goal.act ? (amountOf(act)?.count ?? 1) : 0), 0) >=
        goal.least
      );
    case 'tested':
      return ((goal.test === 'pinch' ? state.pinch : state.tests[goal.test]) ?? -1) >= goal.least;
    case 'skin':
      return Math.min(...truth.skin.values()) >= goal.least;
    case 'way':
      return within(truth.progress, goal);
    case 'even': {
      const [along, across] = [wayOfAxis(truth, 'along'), wayOfAxis(truth, 'across')];
      return along === null || across === null || Math.abs(along - across) <= goal.most;
    }
    case 'area':
      return within(areaShare(truth), goal);
    case 'opened':
      return entries.some(({ act }, n) => {
        const before = ways[n - 1];
        return (
          act.kind === 'open' && before !== undefined && before.skin >= 1 && within(before.progress, goal)
        );
      });
    case 'caught':
      return faults.every(f => f.fault !== goal.fault || f.isMended);
    case 'sound':
      return faults.every(f => !f.isFast);
  }
};
