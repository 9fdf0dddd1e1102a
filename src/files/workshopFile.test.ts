import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { sampleWorkshop } from '../sample/sampleWorkshop';
import { onePiece, readWorkshopFile, writeWorkshopFile } from './workshopFile';

const NOW = '2026-03-01T10:00:00.000Z';
const SAMPLE = sampleWorkshop(NOW);
const TEXT = writeWorkshopFile(SAMPLE, NOW);
const byId = <T extends { id: string }>(list: readonly T[]): T[] =>
  list.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** The file with one place changed, or taken away where the value is undefined. */
const damaged = (path: string, value: unknown): string => {
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  const change = (node: unknown, [key, ...rest]: readonly string[]): unknown => {
    if (key === undefined) return value;
    if (Array.isArray(node))
      return node.map((item: unknown, i) => (String(i) === key ? change(item, rest) : item));
    const record = z.record(z.string(), z.unknown()).parse(node);
    return { ...record, [key]: change(record[key], rest) };
  };
  return JSON.stringify(change(JSON.parse(TEXT), keys));
};
const refusal = (text: string) => {
  const read = readWorkshopFile(text);
  if (read.ok) throw new Error('was taken');
  return read.issues;
};

describe('the workshop file', () => {
  it('reads back what was written, to the last figure', () => {
    const read = readWorkshopFile(TEXT);
    expect(read.ok).toBe(true);
    if (!read.ok) return;
    expect(byId(read.value.pieces)).toEqual(byId(SAMPLE.pieces));
    expect(byId(read.value.wools)).toEqual(byId(SAMPLE.wools));
    expect(byId(read.value.entries)).toEqual(byId(SAMPLE.entries));
    expect(writeWorkshopFile(read.value, NOW)).toBe(TEXT);
  });

  it('does not depend on the order records come in', () => {
    const turned = {
      pieces: SAMPLE.pieces.toReversed(),
      wools: SAMPLE.wools.toReversed(),
      swatches: SAMPLE.swatches.toReversed(),
      recipes: SAMPLE.recipes.toReversed(),
      entries: SAMPLE.entries.toReversed(),
    };
    expect(writeWorkshopFile(turned, NOW)).toBe(TEXT);
  });

  it('holds the maker’s own recipes; a file from before there were any reads as having none', () => {
    const read = readWorkshopFile(TEXT);
    expect(read.ok && read.value.recipes).toEqual(SAMPLE.recipes);
    expect(SAMPLE.recipes.length).toBeGreaterThan(0);
    const { recipes: _, ...older } = JSON.parse(TEXT) as Record<string, unknown>;
    const old = readWorkshopFile(JSON.stringify(older));
    expect(old.ok && old.value.recipes).toEqual([]);
    expect(readWorkshopFile(damaged('recipes[0].steps[0].act', 'sing'))).toMatchObject({
      ok: false,
      issues: [{ path: 'recipes[0].steps[0].act' }],
    });
  });

  it('of one piece holds its log and its wool and nothing else', () => {
    const one = onePiece(SAMPLE, 'sample-kelp-cosy');
    expect(one.pieces).toHaveLength(1);
    expect(one.wools.map(w => w.id)).toEqual(['wool-kelp']);
    expect(one.entries.every(e => e.pieceId === 'sample-kelp-cosy')).toBe(true);
    expect(readWorkshopFile(writeWorkshopFile(one, NOW)).ok).toBe(true);
  });

  const OTHER_ID = byId(SAMPLE.pieces)[0]?.id;
  it.each([
    ['pieces[2].plan.shrinkage.across', 1.4, 'FILE_INVALID'],
    ['pieces[0].name', undefined, 'FILE_INVALID'],
    ['entries[3].act.kind', 'sing', 'FILE_INVALID'],
    ['entries[5].pieceId', 'nobody', 'FILE_INVALID'],
    ['pieces[1].id', OTHER_ID, 'FILE_INVALID'],
    ['pieces[1].woolId', 'nothing', 'FILE_INVALID'],
    ['pieces[0].plan.form.kind', 'airship', 'UNKNOWN_FORM'],
    ['pieces[4].version', 12, 'RECORD_NEWER'],
    ['fileVersion', 2, 'RECORD_NEWER'],
    ['format', 'other', 'FILE_INVALID'],
    ['wools', 'none', 'FILE_INVALID'],
  ])('refuses a file that is wrong at %s, and says where', (path, value, code) => {
    expect(refusal(damaged(path, value))).toEqual(
      expect.arrayContaining([expect.objectContaining({ path, code })]),
    );
  });

  it('refuses a measure out of range with its whole path', () => {
    const at = byId(SAMPLE.pieces).findIndex(p => p.id === 'sample-ferry-pad');
    const path = `pieces[${at}].plan.form.measures.diameter`;
    expect(refusal(damaged(path, 0))).toMatchObject([{ code: 'OUT_OF_RANGE', path, got: '0' }]);
  });

  it('refuses what is no JSON, or cut short', () => {
    expect(refusal('')[0]?.code).toBe('FILE_NOT_JSON');
    expect(refusal(TEXT.slice(0, TEXT.length / 2))[0]?.code).toBe('FILE_NOT_JSON');
    expect(refusal('[1,2]')[0]?.code).toBe('FILE_INVALID');
    expect(refusal('null')[0]?.code).toBe('FILE_INVALID');
  });

  it('answers to any JSON with a value or with issues, and never throws', () => {
    fc.assert(
      fc.property(fc.json(), text => {
        expect(readWorkshopFile(text).ok).toBe(false);
      }),
    );
  });

  it('survives any one character being lost', () => {
    fc.assert(
      fc.property(fc.nat(TEXT.length - 1), at => {
        const read = readWorkshopFile(TEXT.slice(0, at) + TEXT.slice(at + 1));
        expect(read.ok || read.issues.length > 0).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});
