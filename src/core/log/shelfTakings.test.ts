import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { gramsLeft } from '../wool/shelfLedger';
import { gramsWeighed, takingsOf } from './shelfTakings';
import { logOf } from './testing/logs';

const weighed = (pile: string, grams: number, woolId: string): Act => ({
  kind: 'weigh',
  pile,
  woolId,
  grams,
  plannedG: grams,
  tareG: 0,
});

describe('what the logs take off the shelf', () => {
  const entries = [
    ...logOf(weighed('1', 40, 'kelp'), weighed('2', 10, 'oat')).map(e => ({ ...e, pieceId: 'p1' })),
    ...logOf(weighed('1', 25, 'kelp')).map(e => ({ ...e, pieceId: 'p2' })),
  ];
  const take = (...abandoned: string[]) =>
    takingsOf(entries, { abandoned: new Set(abandoned), msOf: Date.parse });

  it('is what was weighed for each piece; what was deleted unfinished is on the shelf again', () => {
    expect(gramsWeighed(take(), { woolId: 'kelp', pieceId: 'p1' })).toBe(40);
    expect(take().map(t => t.grams)).toEqual([40, 10, 25]);
    expect(take('p1').map(t => t.pieceId)).toEqual(['p2']);
    const kelp = { id: 'kelp', gramsCounted: 100, countedMs: 0 };
    expect(gramsLeft(kelp, take())).toBe(35);
    expect(gramsLeft(kelp, take('p2'))).toBe(60);
  });

  it('and what was added at the bench, until that is taken back', () => {
    const added: Act = { kind: 'addWool', woolId: 'oat', grams: 2.5, at: null };
    const log = logOf(weighed('1', 40, 'kelp'), added, added, { kind: 'undo', of: 'e3' });
    const takings = takingsOf(
      log.map(e => ({ ...e, pieceId: 'p1' })),
      { abandoned: new Set(), msOf: Date.parse },
    );
    expect(gramsWeighed(takings, { woolId: 'oat', pieceId: 'p1' })).toBe(2.5);
    expect(gramsWeighed(takings, { woolId: 'kelp', pieceId: 'p1' })).toBe(40);
  });
});
