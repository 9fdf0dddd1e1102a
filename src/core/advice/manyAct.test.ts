import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import type { Judge } from '../acts/vocabulary';
import { manyAlike } from '../log/manyAlike';
import { logOf } from '../log/testing/logs';
import type { WayId } from '../forms/wayId';
import { wayOf } from '../ways/register';
import type { Way } from '../ways/way';
import { isOneByOne, manyAct } from './manyAct';
import type { ProposedAct } from './proposedAct';

const wayNamed = (id: WayId): Way => wayOf({}, { outlineIs: 'resist', solid: null }, id);
const STOP: ProposedAct = { act: 'stop', reason: 'size-and-firm' };
const WORK: ProposedAct = { act: 'other', kind: 'palms', count: 2, reason: 'by-feel' };
const palms = (minutes: number): Act => ({ kind: 'palms', minutes });
const done = (piece: number, next: number | null): Act => ({ kind: 'pieceDone', piece, next });

const after = (
  of: { pieces?: number; way?: 'palms' | 'stocking'; judge?: Judge; next?: ProposedAct },
  ...acts: readonly Act[]
): ProposedAct => {
  const { pieces = 24, way = 'palms', judge = 'tape', next = STOP } = of;
  return manyAct(next, manyAlike(logOf(...acts)), { pieces, way: wayNamed(way), judge });
};

describe('many alike at the bench', () => {
  it('solids go one after the other; a pair of flat ones side by side, and a dozen of them not', () => {
    expect(isOneByOne(wayNamed('palms'), 2)).toBe(true);
    expect(isOneByOne(wayNamed('palms'), 1)).toBe(false);
    expect(isOneByOne(wayNamed('bundle'), 2)).toBe(false);
    expect(isOneByOne(wayNamed('bundle'), 12)).toBe(true);
  });

  it('where one would end, it is done and the next taken up; the last ends the work', () => {
    expect(after({}, palms(3))).toMatchObject({ kind: 'pieceDone', piece: 1, next: 2 });
    expect(after({ pieces: 2 }, palms(3), done(1, 2), palms(3))).toMatchObject({ piece: 2, next: null });
    expect(after({ pieces: 2 }, palms(3), done(1, 2), palms(3), done(2, null))).toMatchObject({
      act: 'stop',
    });
    expect(after({ next: WORK }, palms(3))).toBe(WORK);
  });

  it('those put aside come last; one that is taken up again and done already is left', () => {
    const aside: Act = { kind: 'mark', piece: 1, as: 'soft', next: 2 };
    expect(after({ pieces: 2 }, palms(2), aside, palms(3))).toMatchObject({ piece: 2, next: 1 });
    expect(after({ pieces: 3 }, done(1, 2), { kind: 'takeUp', piece: 1 })).toMatchObject({
      kind: 'takeUp',
      piece: 2,
    });
  });

  // Common practice: the water is foul after about five.
  it('new water after five, before the next is begun', () => {
    const five = [1, 2, 3, 4, 5].map(i => done(i, i + 1));
    expect(after({ next: WORK }, ...five)).toMatchObject({ kind: 'water', reason: 'water-foul' });
    expect(after({ next: WORK }, ...five, palms(1))).toBe(WORK);
    expect(after({ next: WORK }, ...five, { kind: 'water', water: 'hot' })).toBe(WORK);
    expect(after({ next: WORK }, ...five.slice(1))).toBe(WORK);
  });

  it('by feel, one that has had as much as the others is done', () => {
    const feel = { judge: 'feel', next: WORK } as const;
    const three = [palms(4), done(1, 2), palms(6), done(2, 3), palms(5), done(3, 4)];
    expect(after(feel, ...three, palms(4))).toBe(WORK);
    expect(after(feel, ...three, palms(5))).toMatchObject({ piece: 4, reason: 'like-the-others' });
    expect(after({ ...feel, judge: 'tape' }, ...three, palms(5))).toBe(WORK);
  });

  it('the machine takes all of them at once, when the last is there', () => {
    const wash: ProposedAct = { act: 'other', kind: 'machine', count: 1, reason: 'soft-inside' };
    const stocking = { way: 'stocking', pieces: 2, next: wash } as const;
    const rub: Act = { kind: 'stocking', minutes: 2 };
    expect(after(stocking, rub)).toMatchObject({ kind: 'pieceDone', piece: 1, next: 2 });
    const both = [rub, done(1, 2), rub, done(2, null)];
    expect(after(stocking, ...both)).toMatchObject({ kind: 'machine', reason: 'all-at-once' });
    expect(after({ ...stocking, next: STOP }, ...both, { kind: 'machine', cycles: 1 })).toBe(STOP);
  });
});
