import 'fake-indexeddb/auto';
import { afterEach, describe, expect, it } from 'vitest';
import { pieceKind } from '../records/piece';
import { ofKind } from '../records/snapshot';
import { aPiece, anEntry, aSwatch, aWool, LATER, NOW, sent } from '../records/testing/build';
import { planClearing, planPurge } from './clearing';
import { idbStore, memoryStore } from './makeStore';
import type { Store, StoreChange } from './store';
import { planTakeBack } from './takeBack';

import { ADAPTERS, freshName, readIn } from './testing/adapters';

describe.each(ADAPTERS)('the store as a whole, %s', (_, make) => {
  const opened: Store[] = [];
  const open = async (): Promise<Store> => {
    const store = await make();
    opened.push(store);
    return store;
  };
  afterEach(() => {
    for (const store of opened.splice(0)) store.close();
  });

  it('reads in: adds what is new, replaces only by the newer, joins logs', async () => {
    const store = await open();
    await store.add(pieceKind, aPiece('p1', { revision: 5, name: 'mine' }));
    await store.add(pieceKind, aPiece('p2'));
    await store.append(sent('e1'));
    const report = await readIn(
      store,
      [
        aPiece('p1', { revision: 2, name: 'older' }),
        aPiece('p2', { revision: 3, name: 'newer' }),
        aPiece('p3'),
        aWool('w1'),
      ],
      [anEntry('e1', 1), anEntry('x1', 1), anEntry('x2', 2)],
    );
    expect(report).toMatchObject({ added: 2, replaced: 1, kept: 1, entriesAdded: 2 });
    expect((await store.get(pieceKind, 'p1'))?.name).toBe('mine');
    expect((await store.get(pieceKind, 'p2'))?.name).toBe('newer');
    const log = await store.entries('p1');
    expect(log.map(e => e.id)).toEqual(['e1', 'x1', 'x2']);
    expect(new Set(log.map(e => e.seq)).size).toBe(3);
  });

  it('reading the same in twice changes nothing', async () => {
    const store = await open();
    const file = [
      [aPiece('p1'), aWool('w1')],
      [anEntry('e1', 1), anEntry('e2', 2)],
    ] as const;
    await readIn(store, ...file);
    const once = await store.snapshot();
    expect(await readIn(store, ...file)).toMatchObject({ added: 0, replaced: 0, kept: 2, entriesAdded: 0 });
    expect(await store.snapshot()).toEqual(once);
  });

  it('takes a reading back: what came goes to the bin, what was there is as it was', async () => {
    const store = await open();
    await store.add(pieceKind, aPiece('p1', { name: 'mine', revision: 2 }));
    await store.append(sent('e1'));
    const { changed } = await readIn(
      store,
      [aPiece('p1', { name: 'newer', revision: 9 }), aPiece('p2')],
      [anEntry('x1', 5), anEntry('x2', 1, 'p2')],
    );
    const back = await store.transact(planTakeBack(changed, LATER));
    expect(back.overtaken).toBe(0);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'mine', revision: 10 });
    expect((await store.get(pieceKind, 'p2'))?.deletedAt).toBe(LATER);
    expect((await store.allEntries()).map(e => e.id)).toEqual(['e1']);
    const again = await store.transact(planTakeBack(back.changed, LATER));
    expect(again.overtaken).toBe(0);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'newer', revision: 11 });
    expect((await store.get(pieceKind, 'p2'))?.deletedAt).toBeNull();
    expect((await store.allEntries()).map(e => e.id).toSorted()).toEqual(['e1', 'x1', 'x2']);
  });

  it('leaves what was changed since when a reading is taken back', async () => {
    const store = await open();
    const { changed } = await readIn(store, [aPiece('p1'), aPiece('p2')]);
    await store.update(pieceKind, 'p1', p => ({ ...p, name: 'worked on' }));
    expect((await store.transact(planTakeBack(changed, LATER))).overtaken).toBe(1);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({ name: 'worked on', deletedAt: null });
    expect((await store.get(pieceKind, 'p2'))?.deletedAt).toBe(LATER);
  });

  it('clears the sample and leaves one’s own, with all that it cannot do without', async () => {
    const store = await open();
    const sample = { sample: true };
    const records = [
      aPiece('s1', sample),
      aPiece('p1', { woolId: 'used' }),
      aWool('used', sample),
      aWool('unused', sample),
      aWool('tried', sample),
      aWool('own'),
      aSwatch('of-used', 'used', sample),
      aSwatch('of-unused', 'unused', sample),
      aSwatch('own-of-tried', 'tried'),
    ];
    await readIn(store, records, [anEntry('e1', 1, 's1'), anEntry('e2', 1, 'p1')]);
    const before = await store.snapshot();
    const cleared = await store.transact(planClearing);
    const ids = (await store.snapshot()).records.map(r => r.id).toSorted();
    expect(ids).toEqual(['of-used', 'own', 'own-of-tried', 'p1', 'tried', 'used']);
    expect((await store.allEntries()).map(e => e.id)).toEqual(['e2']);
    await store.transact(planTakeBack(cleared, LATER));
    const after = await store.snapshot();
    const plain = (s: typeof after) => s.records.map(r => ({ ...r, revision: 0 }));
    expect(plain(after).toSorted((a, b) => (a.id < b.id ? -1 : 1))).toEqual(
      plain(before).toSorted((a, b) => (a.id < b.id ? -1 : 1)),
    );
    expect(after.entries.map(e => e.id).toSorted()).toEqual(['e1', 'e2']);
    // Its revision only rises, so that a note from before is not taken for newer.
    expect(ofKind(after.records, pieceKind).find(p => p.id === 's1')?.revision).toBe(2);
  });

  it('empties the bin after ninety days, and not before', async () => {
    const store = await open();
    const deleted = (days: number) => new Date(Date.parse(LATER) - days * 24 * 3_600_000).toISOString();
    await readIn(
      store,
      [
        aPiece('old', { deletedAt: deleted(91) }),
        aPiece('young', { deletedAt: deleted(89) }),
        aWool('needed', { deletedAt: deleted(200) }),
        aPiece('here', { woolId: 'needed' }),
      ],
      [anEntry('e1', 1, 'old'), anEntry('e2', 1, 'young')],
    );
    expect(await store.transact(planPurge(Date.parse(LATER)))).toBe(1);
    expect((await store.snapshot()).records.map(r => r.id).toSorted()).toEqual(['here', 'needed', 'young']);
    expect((await store.allEntries()).map(e => e.id)).toEqual(['e2']);
  });

  it('tells its listeners what is there now, until they leave', async () => {
    const store = await open();
    const heard: StoreChange[] = [];
    const leave = store.subscribe(change => heard.push(change));
    await store.add(pieceKind, aPiece('p1'));
    const entry = await store.append(sent('e1'));
    await store.transact(planClearing);
    await readIn(store, [aWool('w1')]);
    leave();
    await store.append(sent('e2'));
    expect(heard).toEqual([
      { table: 'pieces', record: aPiece('p1') },
      { table: 'entries', entry },
      { table: 'all' },
    ]);
  });

  it('keeps settings, and counts their changes', async () => {
    const store = await open();
    await store.updateSettings(s => ({ ...s, units: 'imperial', setOfRolls: 50 }));
    expect(await store.settings()).toMatchObject({
      units: 'imperial',
      setOfRolls: 50,
      theme: 'system',
      revision: 2,
    });
  });

  it('keeps the mark of the workshop', async () => {
    const store = await open();
    expect(await store.meta()).toBeNull();
    await store.setMeta({ id: 'w', since: NOW });
    expect(await store.meta()).toEqual({ id: 'w', since: NOW });
  });

  it('keeps an attachment once under its hash, and gives it back to the byte', async () => {
    const store = await open();
    const bytes = new TextEncoder().encode('abc');
    const hash = await store.attach(bytes, 'text/plain');
    // FIPS 180-4, the example of one block.
    expect(hash).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
    expect(await store.attach(bytes, 'image/png')).toBe(hash);
    expect(await store.attachment(hash)).toEqual({ hash, bytes, type: 'text/plain', at: LATER });
    expect(await store.attachment('0'.repeat(64))).toBeNull();
    expect(await store.attachmentHashes()).toEqual([hash]);
  });
});

describe('attachments that nothing names', () => {
  it.each([
    ['memory', async (now: () => string) => memoryStore(now)],
    ['idb', (now: () => string) => idbStore({ name: freshName(), clock: now })],
  ] as const)('are swept after a day, %s', async (_, make) => {
    let now = NOW;
    const store = await make(() => now);
    await store.attach(new Uint8Array([1]), 'image/png');
    expect(await store.sweep()).toBe(0);
    now = LATER;
    await store.attach(new Uint8Array([2]), 'image/png');
    expect(await store.sweep()).toBe(1);
    expect(await store.attachmentHashes()).toHaveLength(1);
    store.close();
  });
});
