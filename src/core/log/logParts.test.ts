import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { benchLog, weighings } from './logParts';
import { logOf as log, undo, wet as wetted } from './testing/logs';
import { nextUndo } from './entriesInForce';

const pile = (id: string, grams: number): Act => ({
  kind: 'weigh',
  pile: id,
  woolId: 'kelp',
  grams,
  plannedG: 10,
  tareG: 0,
});
const wet = wetted();

describe('the log of the bench', () => {
  it('knows nothing of weighing, nor of what took it back', () => {
    const all = log(pile('1', 10), wet, pile('2', 11), undo('e3'), undo('e4'));
    expect(benchLog(all).map(e => e.id)).toEqual(['e2']);
    expect(nextUndo(benchLog(all))?.id).toBe('e2');
  });

  it('keeps its own undos', () => {
    expect(benchLog(log(wet, pile('1', 10), undo('e1'))).map(e => e.id)).toEqual(['e1', 'e3']);
  });
});

describe('the weighings', () => {
  it('of a pile weighed twice are the last; taken back, the first counts again', () => {
    const twice = log(pile('1', 13), pile('2', 9), pile('1', 10));
    expect(weighings(twice).map(e => [e.act.pile, e.act.grams])).toEqual([
      ['2', 9],
      ['1', 10],
    ]);
    const back = [...twice, ...log(wet, wet, wet, undo('e3')).slice(3)];
    expect(weighings(back).map(e => e.act.grams)).toEqual([13, 9]);
  });

  it('are those that were not taken back; one brought again counts again', () => {
    const all = log(pile('1', 10), pile('2', 11), undo('e2'));
    expect(weighings(all).map(e => e.act.grams)).toEqual([10]);
    expect(weighings([...all, ...log(wet, wet, wet, undo('e3')).slice(3)]).map(e => e.act.grams)).toEqual([
      10, 11,
    ]);
  });
});
