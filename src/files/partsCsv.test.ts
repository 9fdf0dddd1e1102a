import { describe, expect, it } from 'vitest';
import { newPart } from '../records/part';
import { readPartsCsv, writePartsCsv } from './partsCsv';

const NOW = '2026-03-01T10:00:00.000Z';
const cap = {
  ...newPart({ id: 'p1', name: 'Cap, brass "small"', sort: 'cap', now: NOW }),
  price: 0.4,
  sizeMm: 9.5,
};
const wire = { ...newPart({ id: 'p2', name: '=wire', sort: 'wire', now: NOW }), notes: 'soft' };

describe('parts as a table', () => {
  it('come back as they went, and run nothing', () => {
    const text = writePartsCsv([cap, wire], p => (p.id === 'p1' ? 12 : null));
    expect(text).toContain("'=wire");
    const read = readPartsCsv(text);
    expect(read.ok && read.value).toEqual({
      problems: [],
      rows: [
        {
          name: 'Cap, brass "small"',
          sort: 'cap',
          unit: 'pieces',
          counted: 12,
          price: 0.4,
          sizeMm: 9.5,
          notes: '',
        },
        { name: '=wire', sort: 'wire', unit: 'm', counted: null, price: null, sizeMm: null, notes: 'soft' },
      ],
    });
  });

  it('tell what cannot be read with its line, and refuse what is no table of parts', () => {
    const read = readPartsCsv('name,how many,size mm\nCap,many,3\nBack,-2,\n,5,\n');
    if (!read.ok) throw new Error('refused');
    expect(read.value.rows.map(r => [r.name, r.sort, r.counted, r.sizeMm])).toEqual([
      ['Cap', 'other', null, 3],
      ['Back', 'other', null, null],
    ]);
    expect(read.value.problems.map(p => p.path)).toEqual(['how many, line 2', 'how many, line 3']);
    expect(readPartsCsv('colour,form\nred,batt').ok).toBe(false);
  });
});
