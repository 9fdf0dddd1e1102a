import { describe, expect, it } from 'vitest';
import { readShelfCsv, writeShelfCsv } from '../files/shelfCsv';
import { aSnapshot, aWool, LATER } from '../records/testing/build';
import type { Wool } from '../records/wool';
import { planShelfImport } from './shelfImport';

const FOG = aWool('w1', {
  name: 'Fog',
  fibre: 'Suffolk',
  form: 'tops',
  sort: 'decoration',
  colour: '#112233',
  gramsCounted: 640,
  countedAt: '2026-01-01T10:00:00.000Z',
  per100g: 4,
  notes: 'a gift',
});
const importing = (csv: string, left: (w: Wool) => number | null = w => w.gramsCounted) => {
  const read = readShelfCsv(csv);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  let made = 0;
  const newId = (): string => `new-${(made += 1)}`;
  return planShelfImport(read.value.rows, { now: LATER, newId, left })(aSnapshot([FOG]));
};
const put = (...of: Parameters<typeof importing>) => importing(...of).batch.put;

describe('a table read onto the shelf', () => {
  it('changes only what a row says: an empty cell overwrites nothing of a known wool', () => {
    expect(put('name,sort,fibre,form,colour,grams,notes\nFog,,,,,,\n')).toEqual([
      { ...FOG, revision: 2, updatedAt: LATER },
    ]);
    expect(put('name,form,per 100 g\n fog ,batt,5.5\n')).toEqual([
      { ...FOG, form: 'batt', per100g: 5.5, revision: 2, updatedAt: LATER },
    ]);
  });

  it('counts anew where the row has another figure than is left, and only there', () => {
    expect(put('name,grams\nFog,500\n')).toMatchObject([{ gramsCounted: 500, countedAt: LATER }]);
    // 640 were counted and 227.5 weighed since: the table says what is left, and so changes nothing.
    expect(put('name,grams\nFog,412.5\n', () => 412.5)).toMatchObject([
      { gramsCounted: 640, countedAt: FOG.countedAt },
    ]);
  });

  it('written and read back leaves the shelf as it is, with wool used since', () => {
    const left = (): number => 412.4567;
    expect(put(writeShelfCsv([FOG], left), left)).toEqual([{ ...FOG, revision: 2, updatedAt: LATER }]);
  });

  it('adds what is new, as wool in a batt where it does not say, and joins rows of one name', () => {
    const { batch, result } = importing('name,grams,colour\nOat,30,teal\nOat,50,\nFog,,\n');
    expect(result).toMatchObject({ added: 1, changed: 1 });
    expect(batch.put[0]).toMatchObject({
      id: 'new-1',
      name: 'Oat',
      sort: 'wool',
      form: 'batt',
      gramsCounted: 50,
      notes: 'colour: teal',
    });
  });

  it('keeps the words of what it cannot read, once, below the notes that are there', () => {
    const csv = 'name,micron,Dye lot\nFog,fine,12 b\n';
    const [first] = put(csv);
    expect(first).toMatchObject({ notes: 'a gift\nDye lot: 12 b\nmicron: fine' });
    const again = readShelfCsv(csv);
    const rows = again.ok ? again.value.rows : [];
    const plan = planShelfImport(rows, { now: LATER, newId: () => 'n', left: () => null });
    expect(plan(aSnapshot(first ? [first] : [])).batch.put).toMatchObject([
      { notes: 'a gift\nDye lot: 12 b\nmicron: fine' },
    ]);
  });
});
