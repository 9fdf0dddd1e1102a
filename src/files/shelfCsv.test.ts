import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { newWool, SORTS, type Wool, WOOL_FORMS } from '../records/wool';
import { readShelfCsv, writeShelfCsv } from './shelfCsv';

const wool = (more: Partial<Wool> = {}): Wool => ({
  ...newWool({
    id: 'w',
    name: 'Kelp, carded',
    fibre: 'Corriedale',
    form: 'batt',
    colour: '#4f6b4a',
    now: '2026-03-01T10:00:00.000Z',
  }),
  ...more,
});
const read = (text: string) => {
  const got = readShelfCsv(text);
  if (!got.ok) throw new Error(got.issues.map(i => i.code).join());
  return got.value;
};

describe('the shelf as a table', () => {
  it('reads back what was written, whatever stands in it', () => {
    const text = fc.string({ unit: 'grapheme', maxLength: 30 }).map(t => t.replaceAll('\r', '').trim());
    const any = fc.record({
      name: text.filter(t => t !== '' && !t.startsWith("'")),
      fibre: text.filter(t => !t.startsWith("'")),
      sort: fc.constantFrom(...SORTS),
      form: fc.constantFrom(...WOOL_FORMS),
      gramsCounted: fc.option(fc.integer({ min: 0, max: 100_000 }).map(n => n / 10)),
      micron: fc.option(fc.integer({ min: 10, max: 60 })),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 6 }), all => {
        const back = read(
          writeShelfCsv(
            all.map(w => wool(w)),
            w => w.gramsCounted,
          ),
        );
        expect(back.problems).toEqual([]);
        expect(back.rows).toMatchObject(all.map(w => ({ ...w, fibre: w.fibre || null })));
      }),
      { numRuns: 150 },
    );
  });

  it('writes nothing that a spreadsheet would run', () => {
    const hostile = ['=HYPERLINK("http://x")', '+1+1', '-2', '@SUM(A1)', '\tx', '=cmd|" /C calc"!A0'];
    const csv = writeShelfCsv(
      hostile.map(name => wool({ name, notes: name })),
      () => null,
    );
    const cells = Papa.parse<string[]>(csv).data.slice(1).flat();
    expect(cells.filter(c => /^[=+\-@\t\r]/.test(c))).toEqual([]);
    // It comes back as it was, but for spaces at its ends.
    expect(read(csv).rows.map(r => r.name)).toEqual(hostile.map(h => h.trim()));
  });

  it('takes semicolons, decimal commas, other headings, other units, and a mark at the start', () => {
    const { rows, problems } = read(
      '\uFEFFWool;Breed;Weight;Price;Dye lot\r\nFog;Suffolk;1,5 kg;6,40;12 b\r\nOat;;2 oz;;\r\n',
    );
    expect(problems).toEqual([]);
    expect(rows[0]).toMatchObject({
      name: 'Fog',
      fibre: 'Suffolk',
      gramsCounted: 1500,
      per100g: 6.4,
      notes: null,
      unread: ['Dye lot: 12 b'],
    });
    expect(rows[1]?.gramsCounted).toBeCloseTo(56.699, 3);
  });

  it('reads 1,250 as the table’s own marks have it', () => {
    expect(read('name;grams\nTar;1,250\n').rows[0]?.gramsCounted).toBe(1.25);
    expect(read('name,grams\nTar,"1,250"\n').rows[0]?.gramsCounted).toBe(1250);
  });

  it('tells what is no figure with its line, and keeps its words', () => {
    const { rows, problems } = read('name,grams,micron\nFog,-3,fine\n,20,\nOat,40,25\n');
    expect(problems.map(p => [p.code, p.path])).toEqual([
      ['NOT_A_NUMBER', 'line 2, micron'],
      ['OUT_OF_RANGE', 'line 2, grams'],
      ['CSV_NAMELESS', 'line 3'],
    ]);
    expect(rows.map(r => r.name)).toEqual(['Fog', 'Oat']);
    expect(rows[0]).toMatchObject({ gramsCounted: null, micron: null });
    expect(rows[0]?.unread).toEqual(['micron: fine', 'grams: -3']);
  });

  it('says nothing where a cell is empty, and keeps the words of what it does not know', () => {
    const { rows } = read('name,sort,form,colour,fibre,notes\nFog,,,,,\nOat,yarn,spun,teal,merino,soft\n');
    expect(rows).toEqual([
      {
        name: 'Fog',
        sort: null,
        fibre: null,
        micron: null,
        form: null,
        colour: null,
        gramsCounted: null,
        per100g: null,
        ropeGPerM: null,
        notes: null,
        unread: [],
      },
      expect.objectContaining({
        name: 'Oat',
        fibre: 'merino',
        notes: 'soft',
        unread: ['colour: teal', 'sort: yarn', 'form: spun'],
      }),
    ]);
  });

  it('holds what is left, not what was counted', () => {
    const csv = writeShelfCsv([wool({ gramsCounted: 640 })], () => 412.4999999);
    expect(read(csv).rows[0]?.gramsCounted).toBe(412.5);
  });

  it('refuses a table in which nothing is a name', () => {
    for (const text of ['', 'a,b,c\n1,2,3', '%PDF-1.7 …', '{"format":"jorrit-workshop"}'])
      expect(readShelfCsv(text)).toMatchObject({ ok: false, issues: [{ code: 'CSV_HEADINGS' }] });
  });

  it('answers to any text and never throws', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), text => {
        expect(typeof readShelfCsv(`name,grams\n${text}`).ok).toBe('boolean');
      }),
    );
  });
});
