import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { hashOf } from '../core/hashOf';
import type { Attachment } from '../records/attachment';
import { sampleWorkshop } from '../sample/sampleWorkshop';
import { readWorkshop, readWorkshopText } from './readWorkshop';
import { workshopText, writeWorkshop } from './writeWorkshop';

const NOW = '2026-03-01T10:00:00.000Z';
const SAMPLE = sampleWorkshop(NOW);
const TEXT = workshopText(SAMPLE, NOW);

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

describe('a workshop with attachments', () => {
  const attachment = (bytes: Uint8Array, type = 'image/png'): Attachment => ({
    hash: hashOf(bytes),
    type,
    bytes,
    at: NOW,
  });
  const PICTURES = [
    attachment(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1])),
    attachment(
      Uint8Array.from({ length: 5000 }, (_, i) => [0xff, 0xd8, 0xff][i] ?? (i * i) % 251),
      'image/jpeg',
    ),
    attachment(new Uint8Array([9]), 'image/x-rare'),
  ];

  it('goes out as a zip and comes in to the byte', () => {
    const file = written(SAMPLE, PICTURES);
    expect(file.ending).toBe('zip');
    const back = readBack(file.bytes);
    expect(workshopText(back.snapshot, NOW)).toBe(TEXT);
    const byHash = (all: readonly Attachment[]) => all.toSorted((a, b) => (a.hash < b.hash ? -1 : 1));
    expect(byHash(back.attachments).map(a => [a.hash, a.bytes])).toEqual(
      byHash(PICTURES).map(a => [a.hash, a.bytes]),
    );
    expect(back.attachments.find(a => a.hash === PICTURES[1]?.hash)?.type).toBe('image/jpeg');
  });

  const good = { 'workshop.json': bytesOf(TEXT) };
  it.each([
    [
      'a picture that is not what its name says',
      { ...good, [`attachments/${'a'.repeat(64)}`]: bytesOf('x') },
      'ATTACHMENT_WRONG',
    ],
    [
      'a picture that is none',
      { ...good, [`attachments/${hashOf(bytesOf('x'))}.jpg`]: bytesOf('x') },
      'ATTACHMENT_WRONG',
    ],
    ['a way out of its folder', { ...good, '../evil.json': bytesOf('x') }, 'ZIP_UNREADABLE'],
    ['another kind of thing', { ...good, 'notes.txt': bytesOf('x') }, 'ZIP_UNREADABLE'],
    ['no workshop', { [`attachments/${hashOf(bytesOf('x'))}`]: bytesOf('x') }, 'ZIP_UNREADABLE'],
    [
      'what unpacks a thousand times larger',
      { 'workshop.json': new Uint8Array(30_000_000) },
      'ZIP_UNREADABLE',
    ],
  ] as const)('refuses %s', (_, files, code) => {
    expect(refusal(readWorkshop(zipSync(files), NOW))[0]?.code).toBe(code);
  });

  it('refuses more files than any workshop has, and one that was cut short', () => {
    const many = (count: number) =>
      Object.fromEntries(
        Array.from({ length: count }, (_, i) => [
          `attachments/${i.toString(16).padStart(64, '0')}`,
          new Uint8Array(0),
        ]),
      );
    expect(refusal(readWorkshop(zipSync({ ...good, ...many(50_001) }, { level: 0 }), NOW))[0]).toMatchObject({
      code: 'ZIP_UNREADABLE',
      detail: expect.stringContaining('50000'),
    });
    expect(refusal(readWorkshop(zipSync({ ...good, ...many(100_000) }, { level: 0 }), NOW))).not.toEqual([]);
    const whole = zipSync({ 'workshop.json': strToU8(TEXT) });
    for (const share of [0.1, 0.5, 0.95])
      expect(refusal(readWorkshop(whole.slice(0, whole.length * share), NOW))[0]?.code).toBe(
        'ZIP_UNREADABLE',
      );
  });
});
