import { describe, expect, it } from 'vitest';
import { ENTRY_VERSION, type Entry } from '../records/entry';
import { logsSince } from './logsSince';

const entry = (id: string, pieceId: string, at: string): Entry => ({
  kind: 'entry',
  version: ENTRY_VERSION,
  id,
  pieceId,
  seq: 1,
  at,
  act: { kind: 'note', text: id },
});

describe('logs since a time', () => {
  it('are by piece, in order, and hold nothing older', () => {
    const all = [
      entry('a', 'p', '2026-03-01T10:00:00Z'),
      entry('b', 'q', '2026-03-02T10:00:00Z'),
      entry('c', 'p', '2026-03-02T11:00:00+02:00'),
      entry('d', 'p', '2026-03-02T12:00:00Z'),
    ];
    const logs = logsSince(all, Date.parse('2026-03-02T00:00:00Z'));
    expect([...logs].map(([id, log]) => [id, log.map(e => e.id)])).toEqual([
      ['q', ['b']],
      ['p', ['c', 'd']],
    ]);
    const early = [
      entry('e', 'p', '2026-03-03T01:00:00+14:00'),
      entry('f', 'p', '2026-03-01T23:00:00-12:00'),
    ];
    expect([...logsSince(early, Date.parse('2026-03-02T11:00:00Z'))].map(([, log]) => log)).toEqual([early]);
    expect(logsSince([], 0).size).toBe(0);
  });
});
