import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import type { LogEntry } from '../log/entry';
import { roll } from '../log/testing/logs';
import { diaryOf } from './diaryOf';
import { handsMinutes } from './handsMinutes';

const BEGIN = Date.parse('2026-03-01T10:00:00.000Z');
/** A log of acts at minutes after ten. */
const at = (...all: ReadonlyArray<readonly [minute: number, act: Act]>): LogEntry[] =>
  all.map(([minute, act], i) => ({
    id: `e${i + 1}`,
    seq: i + 1,
    at: new Date(BEGIN + minute * 60_000).toISOString(),
    act,
  }));

describe('minutes of hands', () => {
  it('are what passed between entries, without rests of over five minutes', () => {
    // 3 + 5 + (6 is rest) + 2.
    const log = at(
      [0, roll(0, 30)],
      [3, roll(0, 30)],
      [8, roll(0, 30)],
      [14, roll(0, 30)],
      [16, roll(0, 30)],
    );
    expect(handsMinutes(log, Date.parse)).toBe(10);
  });

  it('count after a gap what an act says that it took, and no more than the gap', () => {
    const palms = (minutes: number): Act => ({ kind: 'palms', minutes });
    expect(handsMinutes(at([0, roll(0, 30)], [12, palms(10)]), Date.parse)).toBe(10);
    expect(handsMinutes(at([0, roll(0, 30)], [12, palms(30)]), Date.parse)).toBe(12);
    expect(handsMinutes(at([0, palms(8)]), Date.parse)).toBe(8);
  });

  it('are none for a clock that was set back', () => {
    expect(handsMinutes(at([10, roll(0, 30)], [4, roll(0, 30)]), Date.parse)).toBe(0);
  });
});

describe('the diary of a piece', () => {
  const picture: Act = {
    kind: 'picture',
    hash: 'a'.repeat(64),
    small: 'b'.repeat(64),
    widthPx: 4,
    heightPx: 3,
  };

  it('adds up what is alike between what was measured, seen and noted', () => {
    const [sitting] = diaryOf(
      at(
        [0, roll(0, 30)],
        [1, roll(90, 20)],
        [2, { ...roll(0, 40), face: 2 }],
        [3, { kind: 'measure', readings: { A: 300 } }],
        [4, { kind: 'note', text: 'Soft at the rim.' }],
        [5, roll(0, 10)],
      ),
      Date.parse,
    );
    expect(sitting?.lines.map(l => l.is)).toEqual(['work', 'measured', 'note', 'work']);
    expect(sitting?.lines[0]).toMatchObject({
      acts: [
        { kind: 'roll', directionDeg: 0, rolls: 70 },
        { kind: 'roll', directionDeg: 90, rolls: 20 },
      ],
    });
    expect(sitting?.handsMin).toBe(5);
  });

  it('begins a new sitting after half an hour, and leaves out what was undone', () => {
    const log = at([0, roll(0, 30)], [30, roll(0, 31)], [61, roll(0, 32)], [62, { kind: 'undo', of: 'e1' }]);
    const sittings = diaryOf(log, Date.parse);
    expect(sittings.map(s => (s.fromMs - BEGIN) / 60_000)).toEqual([30, 61]);
  });

  it('puts words about a picture under it, and says what was mended', () => {
    const [sitting] = diaryOf(
      at(
        [0, picture],
        [1, { kind: 'note', text: 'The rim.', of: 'e1' }],
        [2, { kind: 'fault', fault: 'thin', at: null }],
        [3, { kind: 'mended', of: 'e3' }],
      ),
      Date.parse,
    );
    expect(sitting?.lines).toMatchObject([
      { is: 'picture', entryId: 'e1', notes: ['The rim.'] },
      { is: 'fault', isMended: true },
    ]);
  });

  it('of a log of nothing but ticks is empty', () => {
    expect(diaryOf(at([0, { kind: 'step', step: 's', how: 'done' }]), Date.parse)).toEqual([]);
  });
});
