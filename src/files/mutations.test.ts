import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { type Random, seeded } from '../core/numeric/random';
import { hashOf } from '../core/hashOf';
import { planOf } from '../core/plan/planOf';
import { pieceKind } from '../records/piece';
import { isObject } from '../records/migrate';
import { ofKind } from '../records/snapshot';
import { sampleWorkshop } from '../sample/sampleWorkshop';
import { memoryStore } from '../store/makeStore';
import { planImport } from '../store/importing';
import { tries } from '../core/numeric/testing/tries';
import type { WorkshopFile } from './fileTypes';
import { readWorkshop } from './readWorkshop';
import { workshopText, writeWorkshop } from './writeWorkshop';

const NOW = '2026-03-01T10:00:00.000Z';
/** How many files are tried; ten thousand in the long run. */
const FILES = process.env['ATTACK'] === 'long' ? 10_000 : tries(120, 300);
/** Longer than this nobody waits for a file to be refused or taken, ms. */
const PATIENCE_MS = 5000;

const TEXT = workshopText(sampleWorkshop(NOW), NOW);
const BYTES = strToU8(TEXT);
const PICTURE = new Uint8Array([1, 2, 3, 4]);
const ZIP = zipSync({ 'workshop.json': BYTES, [`attachments/${hashOf(PICTURE)}.png`]: PICTURE });

const pick = <T>(random: Random, list: readonly T[]): T => {
  const item = list[Math.floor(random() * list.length)];
  if (item === undefined) throw new Error('nothing to pick from');
  return item;
};

/** Values that have broken programs before. */
const NUMBERS = [0, -0, -1, 0.01, 1e-6, 1e-300, 1e9, 1e308, -1e308, 2 ** 31, 2 ** 53 - 1, 2 ** 53, 0.3];
const WORDS = ['', ' ', '0', '1e9', 'NaN', '__proto__', 'constructor', '../../etc', '<svg onload=1>'];
const SIGNS = ['\u0000', '\u0007\uFFFE', '\uD800', '💧'.repeat(300), 'a'.repeat(100_000)];
const TIMES = ['9999-99-99T99:99:99Z', '2026-02-30T00:00:00.000Z'];
const THINGS = [null, true, false, [], {}, [[]], [null], { kind: 'undo', of: 'self' }, { length: 1e9 }];
const VALUES: readonly unknown[] = [...NUMBERS, ...WORDS, ...SIGNS, ...TIMES, ...THINGS];

/** The file with one value changed, taken away, doubled or renamed, anywhere in it. */
const otherValue = (text: string, random: Random): string => {
  const places: Array<{ readonly within: object; readonly key: string }> = [];
  const visit = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    for (const [key, value] of Object.entries(node)) {
      places.push({ within: node, key });
      visit(value);
    }
  };
  const root: unknown = JSON.parse(text);
  visit(root);
  const { within, key } = pick(random, places);
  const way = random();
  if (way < 0.7) Reflect.set(within, key, pick(random, VALUES));
  else if (way < 0.8) Reflect.deleteProperty(within, key);
  else if (way < 0.9 && Array.isArray(within)) within.push(...within.slice(0, 3));
  else if (isObject(within)) Reflect.set(within, pick(random, ['__proto__', 'id', 'kind', key]), within[key]);
  return JSON.stringify(root);
};

/** The file with bytes turned, cut, doubled or moved. */
const otherBytes = (bytes: Uint8Array, random: Random): Uint8Array => {
  const at = Math.floor(random() * bytes.length);
  const to = Math.min(bytes.length, at + 1 + Math.floor(random() * 60));
  const way = random();
  if (way < 0.4) return bytes.map((b, i) => (i === at ? Math.floor(256 * random()) : b));
  if (way < 0.6) return bytes.slice(0, at);
  const cut = [...bytes.subarray(0, at)];
  if (way < 0.8) return Uint8Array.from([...cut, ...bytes.subarray(to)]);
  return Uint8Array.from([...cut, ...bytes.subarray(at, to), ...bytes.subarray(at)]);
};

const mutated = (random: Random): Uint8Array => {
  const way = random();
  if (way < 0.2) return otherBytes(BYTES, random);
  if (way < 0.3) return otherBytes(ZIP, random);
  let text = TEXT;
  for (let left = pick(random, [1, 1, 1, 2, 5]); left > 0; left -= 1) text = otherValue(text, random);
  // A lone surrogate has no UTF-8: it goes in as an escape, as any program would write it.
  return strToU8(text);
};

/** Reads what was taken into a workshop, works out every plan of it, and saves it again. */
const worksAndSaves = async ({ snapshot: taken, attachments }: WorkshopFile): Promise<boolean> => {
  const store = memoryStore(() => NOW);
  await store.transact(planImport(taken, NOW, new Map()));
  const snapshot = await store.snapshot();
  for (const piece of ofKind(snapshot.records, pieceKind)) planOf(piece.plan);
  const written = writeWorkshop({ snapshot, attachments, exportedAt: NOW });
  return written.ok && readWorkshop(written.value.bytes, NOW).ok;
};

describe('a file that was damaged anywhere', () => {
  it(
    `is refused with a reason or taken whole, and what was taken works and saves again: ${FILES} of them`,
    async ({ task }) => {
      const random = seeded(2026);
      const came = { refused: 0, taken: 0, slowest: 0, wrong: '' };
      for (let i = 0; i < FILES; i += 1) {
        const bytes = mutated(random);
        const began = performance.now();
        const read = readWorkshop(bytes, NOW);
        came.slowest = Math.max(came.slowest, performance.now() - began);
        const isGood = read.ok ? await worksAndSaves(read.value) : read.issues.length > 0;
        if (!isGood) came.wrong += `file ${i}; `;
        came[read.ok ? 'taken' : 'refused'] += 1;
      }
      expect(came.wrong).toBe('');
      expect(came.slowest).toBeLessThan(PATIENCE_MS);
      // Both must have been tried, or nothing was shown.
      expect(Math.min(came.refused, came.taken)).toBeGreaterThan(FILES / 30);
      Object.assign(task.meta, {
        measured: `${came.refused} refused, ${came.taken} taken, none threw, slowest ${came.slowest.toFixed(0)} ms`,
      });
    },
    FILES * 400,
  );
});
