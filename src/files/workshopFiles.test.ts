import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { makePlan } from '../core/plan/makePlan';
import type { Attachment } from '../records/attachment';
import { pieceKind } from '../records/piece';
import { recipeKind } from '../records/recipe';
import { recordKey } from '../records/register';
import { ofKind } from '../records/snapshot';
import { aPiece, anEntry, aSnapshot, aWool } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { sampleWorkshop } from '../sample/sampleWorkshop';
import { readWorkshop, readWorkshopText } from './readWorkshop';
import { onePiece, workshopText, writeWorkshop } from './writeWorkshop';
import { tries } from '../core/numeric/testing/tries';

const NOW = '2026-03-01T10:00:00.000Z';
const SAMPLE = sampleWorkshop(NOW);
const TEXT = workshopText(SAMPLE, NOW);
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
const refusal = (read: ReturnType<typeof readWorkshopText>) => {
  if (read.ok) throw new Error('was taken');
  return read.issues;
};
const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
const written = (snapshot: typeof SAMPLE, attachments: readonly Attachment[] = []) => {
  const got = writeWorkshop({ snapshot, attachments, exportedAt: NOW });
  if (!got.ok) throw new Error(JSON.stringify(got.issues));
  return got.value;
};
const readBack = (bytes: Uint8Array) => {
  const got = readWorkshop(bytes, NOW);
  if (!got.ok) throw new Error(JSON.stringify(got.issues));
  return got.value;
};

describe('the workshop file', () => {
  it('reads back what was written, to the last figure', () => {
    const { snapshot, remarks } = readBack(written(SAMPLE).bytes);
    expect(remarks).toEqual([]);
    expect(byId(snapshot.records)).toEqual(byId(SAMPLE.records));
    expect(byId(snapshot.entries)).toEqual(byId(SAMPLE.entries));
    expect(workshopText(snapshot, NOW)).toBe(TEXT);
  });

  it('does not depend on the order records come in', () => {
    const turned = aSnapshot(SAMPLE.records.toReversed(), SAMPLE.entries.toReversed());
    expect(workshopText(turned, NOW)).toBe(TEXT);
  });

  it('from before there was a kind of record reads as having none of it', () => {
    expect(ofKind(SAMPLE.records, recipeKind).length).toBeGreaterThan(0);
    const { recipes: _r, swatches: _s, ...older } = z.record(z.string(), z.unknown()).parse(JSON.parse(TEXT));
    const old = readWorkshopText(JSON.stringify(older));
    expect(old.ok && ofKind(old.value.snapshot.records, recipeKind)).toEqual([]);
    expect(old.ok && ofKind(old.value.snapshot.records, pieceKind)).toHaveLength(
      ofKind(SAMPLE.records, pieceKind).length,
    );
  });

  it('of one piece holds its log and its wool, with the swatches of that, and nothing else', () => {
    const one = onePiece(SAMPLE, 'sample-kelp-cosy');
    expect(one.records.map(r => r.id).toSorted()).toEqual(['sample-kelp-cosy', 'swatch-kelp-1', 'wool-kelp']);
    expect(one.entries.length).toBeGreaterThan(5);
    expect(one.entries.every(e => e.pieceId === 'sample-kelp-cosy')).toBe(true);
    expect(readBack(written(one).bytes).snapshot.records).toHaveLength(3);
  });

  const OTHER_ID = byId(ofKind(SAMPLE.records, pieceKind))[0]?.id;
  it.each([
    ['pieces[2].plan.shrinkage.across', 1.4, 'FILE_INVALID'],
    ['pieces[2].plan.chain.layers', 1e9, 'FILE_INVALID'],
    ['pieces[2].plan.chain.laidSize', 1e-6, 'FILE_INVALID'],
    ['pieces[2].revision', Number.MAX_SAFE_INTEGER, 'FILE_INVALID'],
    ['pieces[0].name', undefined, 'FILE_INVALID'],
    ['entries[3].act.kind', 'sing', 'FILE_INVALID'],
    ['entries[5].pieceId', 'nobody', 'FILE_INVALID'],
    ['entries[5].seq', Number.MAX_SAFE_INTEGER, 'FILE_INVALID'],
    ['recipes[0].steps[0].act', 'sing', 'FILE_INVALID'],
    ['pieces[1].id', OTHER_ID, 'FILE_INVALID'],
    ['pieces[0].plan.form.kind', 'airship', 'UNKNOWN_FORM'],
    ['pieces[0].plan.form.kind', '__defineGetter__', 'UNKNOWN_FORM'],
    ['pieces[4].version', 12, 'RECORD_NEWER'],
    ['fileVersion', 2, 'RECORD_NEWER'],
    ['format', 'other', 'FILE_INVALID'],
    ['wools', 'none', 'FILE_INVALID'],
  ])('refuses a file that is wrong at %s (%j), and says where', (path, value, code) => {
    expect(refusal(readWorkshopText(damaged(path, value)))).toEqual(
      expect.arrayContaining([expect.objectContaining({ path, code })]),
    );
  });

  it('refuses a measure out of range with its whole path', () => {
    const at = byId(ofKind(SAMPLE.records, pieceKind)).findIndex(p => p.id === 'sample-ferry-pad');
    const path = `pieces[${at}].plan.form.measures.diameter`;
    expect(refusal(readWorkshopText(damaged(path, 0)))).toMatchObject([
      { code: 'OUT_OF_RANGE', path, got: '0' },
    ]);
  });

  it('takes a piece whose wool is not in the file, and remarks on it', () => {
    const read = readWorkshopText(damaged('pieces[1].woolId', 'nothing'));
    expect(read.ok && read.value.remarks).toMatchObject([
      { path: 'pieces[1].woolId', got: 'nothing', detail: 'No such wool in this file.' },
    ]);
  });

  it('refuses what is no JSON, or cut short, or no text at all', () => {
    const code = (bytes: Uint8Array) => refusal(readWorkshop(bytes, NOW))[0]?.code;
    expect(code(bytesOf(''))).toBe('FILE_NOT_JSON');
    expect(code(bytesOf(TEXT.slice(0, TEXT.length / 2)))).toBe('FILE_NOT_JSON');
    expect(code(bytesOf('[1,2]'))).toBe('FILE_INVALID');
    expect(code(bytesOf('null'))).toBe('FILE_INVALID');
    // A name saved as Latin-1: nothing is replaced in silence.
    const latin = bytesOf(TEXT.replace('Kelp', 'K~lp'));
    latin[latin.indexOf('~'.codePointAt(0) ?? 0)] = 0xe9;
    expect(code(latin)).toBe('FILE_NOT_TEXT');
  });

  it('answers to many thousand faults, and to any depth, without a throw', () => {
    const many = JSON.stringify({
      ...z.record(z.string(), z.unknown()).parse(JSON.parse(TEXT)),
      entries: Array.from({ length: tries(20_000, 200_000) }, () => ({ version: 4 })),
    });
    expect(refusal(readWorkshopText(many)).length).toBeLessThanOrEqual(200);
    const deep = TEXT.replace('"notes": ""', `"notes": ${'['.repeat(100_000)}${']'.repeat(100_000)}`);
    expect(refusal(readWorkshopText(deep))[0]?.code).toBe('FILE_TOO_DEEP');
    const nested = TEXT.replace('"fileVersion": 1', `"fileVersion": ${'{"a":'.repeat(30)}1${'}'.repeat(30)}`);
    expect(refusal(readWorkshopText(nested))[0]?.path).toBe('fileVersion');
  });

  it('answers to any JSON with a value or with issues, and never throws', () => {
    fc.assert(
      fc.property(fc.json(), text => {
        expect(readWorkshopText(text).ok).toBe(false);
      }),
    );
  });

  it('survives any one character being lost', () => {
    fc.assert(
      fc.property(fc.nat(TEXT.length - 1), at => {
        const read = readWorkshop(bytesOf(TEXT.slice(0, at) + TEXT.slice(at + 1)), NOW);
        expect(read.ok || read.issues.length > 0).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});

describe('what cannot be read', () => {
  const newer = { ...aPiece('p9'), version: 99 };
  const unread = [{ table: 'pieces', raw: newer, issues: [] }];

  it('goes along as it is, is told, and comes out as it was', () => {
    const file = written({ ...aSnapshot([aPiece('p1')], [anEntry('e1', 1)]), unread });
    expect(file.remarks).toMatchObject([{ code: 'RECORDS_UNREAD', detail: '1 of them.' }]);
    const { snapshot } = readBack(file.bytes);
    expect(snapshot.records.map(r => r.id)).toEqual(['p1']);
    expect(snapshot.unread.map(u => [u.table, u.raw])).toEqual([['pieces', newer]]);
  });

  it('is read by a program that can', () => {
    const text = workshopText(
      { ...aSnapshot([aPiece('p1')]), unread: [{ table: 'pieces', raw: aPiece('p2'), issues: [] }] },
      NOW,
    );
    expect(readBack(bytesOf(text)).snapshot.records.map(r => r.id)).toEqual(['p1', 'p2']);
  });

  it('does not make the rest unreadable: its log goes with it', () => {
    const file = written({
      ...aSnapshot([aPiece('p1')], [anEntry('e1', 1), anEntry('e2', 1, 'p9')]),
      unread,
    });
    expect(readBack(file.bytes).snapshot.entries.map(e => e.id)).toEqual(['e1', 'e2']);
  });

  it('nor does an entry whose piece is gone: it goes along under quarantine', () => {
    const file = written(aSnapshot([aPiece('p1')], [anEntry('e1', 1), anEntry('lost', 1, 'cleared')]));
    expect(file.remarks).toHaveLength(1);
    const { snapshot } = readBack(file.bytes);
    expect(snapshot.entries.map(e => e.id)).toEqual(['e1']);
    expect(snapshot.unread.map(u => u.raw)).toEqual([anEntry('lost', 1, 'cleared')]);
  });

  it('nor a record that its own reader would refuse', () => {
    const piece = aPiece('odd');
    const odd = {
      ...piece,
      plan: { ...piece.plan, form: { ...piece.plan.form, measures: { diameter: 0, over: 0 } } },
    };
    const file = written(aSnapshot([aPiece('p1'), odd, aWool('w1')], [anEntry('e1', 1, 'odd')]));
    const { snapshot } = readBack(file.bytes);
    expect(snapshot.records.map(r => r.id).toSorted()).toEqual(['p1', 'w1']);
    expect(snapshot.entries.map(e => e.id)).toEqual(['e1']);
    expect(snapshot.unread.map(u => u.raw)).toEqual([odd]);
    expect(file.remarks).toHaveLength(1);
  });
});

describe('files of earlier builds', () => {
  it('build-5, which was carried between two devices, says what its record has grown from', () => {
    const text = readFileSync(new URL('../../fixtures/build-5/workshop.json', import.meta.url), 'utf8');
    const { snapshot } = readBack(bytesOf(text));
    const { lineage = {} } = snapshot;
    expect(Object.values(lineage)).toEqual([['1 2026-11-28T11:49:35.710Z', '2 2026-11-28T10:01:00.000Z']]);
    const [key = ''] = Object.keys(lineage);
    const stays = snapshot.records.find(r => recordKey(r) === key);
    expect(stays).toMatchObject({ notes: 'At the table, again.', deletedAt: null });
    expect(snapshot.records.filter(r => r.deletedAt !== null)).toEqual([
      expect.objectContaining({ notes: 'At the sink.', deletedAt: '2026-11-28T10:02:00.000Z' }),
    ]);
  });

  it('build-6, in which a line was measured by a picture, says within how much it is', () => {
    const text = readFileSync(new URL('../../fixtures/build-6/workshop.json', import.meta.url), 'utf8');
    const acts = readBack(bytesOf(text)).snapshot.entries.map(e => e.act);
    const measured = acts.flatMap(act => (act.kind === 'measure' && act.within ? [act] : []));
    expect(measured).toHaveLength(1);
    expect(Object.values(measured[0]?.within ?? {})).toEqual([3.4, 3.4]);
  });

  it.each([
    ['build-1', 13],
    ['build-2', 23],
    ['build-3', 29],
    ['build-4', 47],
    ['build-5', 48],
    ['build-6', 48],
  ])('%s reads as it was: all %i records, every entry, and every plan as it stood', (build, count) => {
    const text = readFileSync(new URL(`../../fixtures/${build}/workshop.json`, import.meta.url), 'utf8');
    const raw = z
      .object({
        pieces: z.array(z.looseObject({ id: z.string(), name: z.string(), plan: z.looseObject({}) })),
        wools: z.array(z.looseObject({ id: z.string(), gramsCounted: z.number().nullable() })),
        entries: z.array(z.looseObject({ id: z.string(), act: z.unknown() })),
      })
      .parse(JSON.parse(text));
    const asFinished = (plan: object) => {
      const { form } = z.looseObject({ form: z.looseObject({ measures: z.looseObject({}) }) }).parse(plan);
      return { ...plan, form: { ...form, measures: { ...form.measures, as: 0 } } };
    };
    const { snapshot, remarks } = readBack(bytesOf(text));
    expect(remarks).toEqual([]);
    const pieces = ofKind(snapshot.records, pieceKind);
    expect(pieces.map(({ id, name, plan }) => ({ id, name, plan }))).toEqual(
      raw.pieces.map(({ id, name, plan }) => ({
        id,
        name,
        // A scarf was always measured as it is finished.
        plan: name === 'Nuno scarf' ? asFinished(plan) : plan,
      })),
    );
    expect(ofKind(snapshot.records, woolKind).map(w => [w.id, w.gramsCounted])).toEqual(
      raw.wools.map(w => [w.id, w.gramsCounted]),
    );
    expect(snapshot.entries.map(e => [e.id, e.act])).toEqual(raw.entries.map(e => [e.id, e.act]));
    expect(snapshot.records).toHaveLength(count);
    for (const piece of pieces) expect(makePlan(piece.plan).ok).toBe(true);
  });
});
