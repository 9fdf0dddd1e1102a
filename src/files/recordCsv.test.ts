import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { recordCsv } from './recordCsv';

it('the record as a table reads back line by line, and runs nothing', () => {
  const row = {
    id: 'a',
    kind: 'piece' as const,
    name: 'Scarf, "long"',
    form: 'Sheet',
    woolId: 'w',
    finishedAt: '2026-03-01T10:00:00.000Z',
    grams: 41.2345,
    along: 0.3333,
    across: null,
    density: 0.1234,
    sizeMm: [1500],
    notes: '=HYPERLINK("x")',
  };
  const text = recordCsv([row], { woolName: () => 'Kelp', hands: () => 92.4 });
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true });
  expect(errors).toEqual([]);
  expect(data[0]).toEqual({
    name: 'Scarf, "long"',
    form: 'Sheet',
    wool: 'Kelp',
    finished: '2026-03-01',
    'length mm': '1500',
    'width mm': '',
    'dry grams': '41.23',
    'shrinkage lengthwise %': '33.3',
    'shrinkage crosswise %': '',
    'firmness g/cm3': '0.123',
    'minutes of hands': '92',
    notes: '\'=HYPERLINK("x")',
  });
});
