import { describe, expect, it } from 'vitest';
import { PAD } from '../plan/testing/pad';
import { findRows, RECORD_SORTS, type RecordQuery } from './findRows';
import { type RecordedPiece, type RecordRow, recordRowsKept } from './recordRow';

const piece = (id: string, more: Partial<RecordedPiece> = {}): RecordedPiece => ({
  id,
  updatedAt: '2026-03-01T10:00:00.000Z',
  deletedAt: null,
  name: `Pad ${id}`,
  notes: '',
  woolId: 'w1',
  plan: PAD,
  result: {
    readings: { A: 400, B: 405 },
    grams: 200,
    thicknessMm: 6,
    finishedAt: '2026-03-01T10:00:00.000Z',
  },
  ...more,
});
const row = (id: string, more: Partial<RecordRow> = {}): RecordRow => ({
  id,
  kind: 'piece',
  name: `Pad ${id}`,
  form: 'Flat disc',
  woolId: 'w1',
  finishedAt: '2026-03-01T10:00:00.000Z',
  grams: 200,
  along: 0.3,
  across: 0.28,
  density: 0.2,
  sizeMm: [400, 405],
  notes: '',
  ...more,
});
const QUERY: RecordQuery = { text: '', woolId: null, form: null, sort: 'finished', isReversed: false };
const BESIDE = { woolName: (id: string | null) => (id === 'w2' ? 'Kêlp' : 'Oat'), hands: () => null };
const ids = (rows: readonly RecordRow[]): readonly string[] => rows.map(r => r.id);

describe('rows of the record', () => {
  it('are what is finished, the last first, with what came of it', () => {
    const swatch = {
      id: 's1',
      updatedAt: '2026-03-01T10:00:00.000Z',
      deletedAt: null,
      woolId: 'w1',
      notes: '',
      laid: { along: 200, across: 200, grams: 20 },
      result: { along: 140, across: 150, grams: 19, thicknessMm: 5, finishedAt: '2026-03-02T10:00:00.000Z' },
    };
    const open = piece('p2', { result: { ...piece('p2').result, finishedAt: null } });
    const rows = recordRowsKept()({
      pieces: [piece('p1'), open, piece('p3', { deletedAt: '2026-03-03' })],
      swatches: [swatch],
    });
    expect(ids(rows)).toEqual(['s1', 'p1']);
    // 1 − 140/200 and 1 − 150/200; laid 400/0.67 mm of the pad.
    expect(rows[0]).toMatchObject({ kind: 'swatch', sizeMm: [140, 150] });
    expect(rows[0]?.along).toBeCloseTo(0.3, 12);
    expect(rows[1]?.along).toBeCloseTo(1 - 400 / (400 / 0.67), 6);
  });

  it('are worked out anew only for what changed', () => {
    const ask = recordRowsKept();
    const [first] = ask({ pieces: [piece('p1')], swatches: [] });
    expect(ask({ pieces: [piece('p1')], swatches: [] })[0]).toBe(first);
    const changed = piece('p1', { name: 'Mat', updatedAt: '2026-03-02T10:00:00.000Z' });
    expect(ask({ pieces: [changed], swatches: [] })[0]?.name).toBe('Mat');
  });

  it('hold what was put together as one, with the weight of its pieces', () => {
    const project = {
      id: 'j1',
      updatedAt: '',
      deletedAt: null,
      name: 'Two pads',
      notes: '',
      doneAt: '2026-05-01T10:00:00.000Z',
      pieces: [{ pieceId: 'p1', count: 2 }],
    };
    const open = { ...project, id: 'j2', doneAt: null };
    const half = { ...project, id: 'j3', pieces: [...project.pieces, { pieceId: null, count: 1 }] };
    const rows = recordRowsKept()({ pieces: [piece('p1')], swatches: [], projects: [project, open, half] });
    expect(rows.map(r => [r.id, r.grams])).toEqual([
      ['j3', null],
      ['j1', 400],
      ['p1', 200],
    ]);
  });

  it('are kept where the plan cannot be made any more', () => {
    const gone = piece('p1', { plan: { ...PAD, form: { ...PAD.form, kind: 'nonsense' } } });
    expect(recordRowsKept()({ pieces: [gone], swatches: [] })[0]).toMatchObject({
      form: 'nonsense',
      grams: 200,
      along: null,
    });
  });
});

describe('finding in the record', () => {
  const rows = [
    row('a', { name: 'Élan scarf', woolId: 'w2', grams: 40, notes: 'thin at the rim' }),
    row('b', { grams: 300, finishedAt: '2026-04-01T10:00:00.000Z' }),
    row('c', { form: 'Ball', grams: null, along: null }),
  ];

  it('looks for every word in name, form, wool and notes, large or small, with accents or without', () => {
    const find = (text: string): readonly string[] => ids(findRows(rows, { ...QUERY, text }, BESIDE));
    expect(find('elan RIM')).toEqual(['a']);
    expect(find('kelp')).toEqual(['a']);
    expect(find('pad')).toEqual(['b', 'c']);
    expect(find('pad rim')).toEqual([]);
  });

  it('filters by wool and form, and sorts either way with what is not known last', () => {
    expect(ids(findRows(rows, { ...QUERY, woolId: 'w1' }, BESIDE))).toEqual(['b', 'c']);
    expect(ids(findRows(rows, { ...QUERY, form: 'Ball' }, BESIDE))).toEqual(['c']);
    expect(ids(findRows(rows, { ...QUERY, sort: 'grams' }, BESIDE))).toEqual(['b', 'a', 'c']);
    expect(ids(findRows(rows, { ...QUERY, sort: 'grams', isReversed: true }, BESIDE))).toEqual([
      'a',
      'b',
      'c',
    ]);
    expect(ids(findRows(rows, { ...QUERY, sort: 'name' }, BESIDE))).toEqual(['a', 'b', 'c']);
  });

  it('takes no longer than 50 ms over 2 000', () => {
    const many = Array.from({ length: 2000 }, (_, i) =>
      row(`p${i}`, {
        name: `Piece ${(i * 7919) % 2000}`,
        grams: (i * 31) % 997,
        notes: 'thin '.repeat(i % 30),
      }),
    );
    const times = RECORD_SORTS.map(sort => {
      const began = performance.now();
      const found = findRows(many, { ...QUERY, text: 'piece thin', sort }, BESIDE);
      expect(found.length).toBeGreaterThan(1900);
      return performance.now() - began;
    });
    // Half of them at the least: what else the machine does makes one slower, never quicker.
    expect(times.toSorted((a, b) => a - b)[4]).toBeLessThan(50);
  });
});
