import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { pieceKind } from '../records/piece';
import { aPiece, aSnapshot, aWool, LATER, NOW, sent } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { ADAPTERS, readIn } from '../store/testing/adapters';
import type { Store } from '../store/store';
import { openWhole, saveWhole, takeBackWhole } from './wholeWork';

const PICTURE = new Uint8Array([0xff, 0xd8, 0xff, 4]);
const WHOLE = { pieceId: null, pictures: true, exportedAt: LATER };

const saved = async (store: Store, ask: Partial<typeof WHOLE> | { pieceId: string } = {}) => {
  const got = await saveWhole(store, { ...WHOLE, ...ask });
  if (!got.ok) throw new Error(JSON.stringify(got.issues));
  return { ...got.value, blob: new Blob([new Uint8Array(got.value.file.bytes)]) };
};
const opened = (store: Store, file: Blob, choice: ReadonlyMap<string, boolean> | null = null) =>
  openWhole(store, { file, at: LATER, choice });
const taken = async (...of: Parameters<typeof opened>) => {
  const got = await opened(...of);
  if (got.is !== 'taken') throw new Error(got.is);
  return got.report;
};

const aFull = async (make: () => Promise<Store>): Promise<Store> => {
  const store = await make();
  const hash = await store.attach(PICTURE, 'image/jpeg');
  const pieces = [aPiece('p1', { woolId: 'w1' }), aPiece('p2'), aPiece('p3', { sample: true })];
  await readIn(store, [aWool('w1'), ...pieces]);
  await store.append(sent('e1', 'p1', { kind: 'picture', hash, small: hash, widthPx: 4, heightPx: 3 }));
  await store.append(sent('e2', 'p2'));
  return store;
};

describe.each(ADAPTERS)('a workshop as a whole, %s', (_name, make) => {
  it('goes out with its pictures and comes in as it was; how far it is only rises', async () => {
    const from = await aFull(make);
    const steps: number[] = [];
    const { file, ownPieces, blob } = await saved(from);
    expect(file.ending).toBe('zip');
    expect(ownPieces).toBe(2);
    const to = await make();
    const got = await openWhole(to, { file: blob, at: LATER, choice: null }, p => steps.push(p));
    expect(got.is).toBe('taken');
    const [a, b] = [await from.snapshot(), await to.snapshot()];
    expect(b.records.map(r => r.id).toSorted()).toEqual(a.records.map(r => r.id).toSorted());
    expect(b.entries.map(e => e.id).toSorted()).toEqual(['e1', 'e2']);
    expect((await to.attachmentHashes()).length).toBe(1);
    expect(steps).toEqual(steps.toSorted((x, y) => x - y));
    expect(steps.at(-1)).toBe(90);
  });

  it('of one piece only what it needs goes along', async () => {
    const { blob, ownPieces } = await saved(await aFull(make), { pieceId: 'p1' });
    expect(ownPieces).toBe(1);
    const to = await make();
    await taken(to, blob);
    expect((await to.all(pieceKind)).map(p => p.id)).toEqual(['p1']);
    expect((await to.all(woolKind)).map(w => w.id)).toEqual(['w1']);
    expect((await to.allEntries()).map(e => e.id)).toEqual(['e1']);
  });

  it('what was changed here since is asked for, and what was chosen is taken', async () => {
    const store = await aFull(make);
    const { blob } = await saved(store);
    await store.update(pieceKind, 'p1', p => ({ ...p, name: 'Later' }));
    const asked = await opened(store, blob);
    expect(asked).toMatchObject({ is: 'asked' });
    expect((await store.get(pieceKind, 'p1'))?.name).toBe('Later');
    const report = await taken(store, blob, new Map([['piece/p1', true]]));
    expect(report.replaced).toBe(1);
    expect((await store.get(pieceKind, 'p1'))?.name).toBe('Piece p1');
  });

  it('a reading is taken back whole, and brought again', async () => {
    const { blob } = await saved(await aFull(make));
    const to = await make();
    const { back } = await taken(to, blob);
    const undone = await takeBackWhole(to, { back, at: NOW });
    expect(undone.overtaken).toBe(0);
    expect((await to.all(pieceKind)).every(p => p.deletedAt !== null)).toBe(true);
    expect(await to.allEntries()).toEqual([]);
    const again = await takeBackWhole(to, { back: undone.back, at: LATER });
    expect(again.overtaken).toBe(0);
    expect((await to.all(pieceKind)).every(p => p.deletedAt === null)).toBe(true);
    expect((await to.allEntries()).length).toBe(2);
  });

  it('a broken file is refused and changes nothing; stopped before it is taken, nothing is', async () => {
    const store = await aFull(make);
    expect(await opened(store, new Blob(['{"format":']))).toMatchObject({ is: 'refused' });
    const { blob } = await saved(store);
    const to = await make();
    const stopping = openWhole(to, { file: blob, at: LATER, choice: null }, p => {
      if (p >= 60) throw new Error('stopped');
    });
    await expect(stopping).rejects.toThrow('stopped');
    expect(await to.snapshot()).toEqual(aSnapshot([]));
  });
});
