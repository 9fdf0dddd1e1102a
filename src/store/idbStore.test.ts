import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { describe, expect, it } from 'vitest';
import { pieceKind } from '../records/piece';
import { aPiece, anEntry, sent } from '../records/testing/build';
import { NO_BATCH } from './batch';
import { idbStore } from './makeStore';

import { clock, freshName, issueOf, readIn } from './testing/adapters';

describe('the browser’s database', () => {
  it('holds what was written when it is opened again', async () => {
    const name = freshName();
    const first = await idbStore({ name, clock });
    await first.add(pieceKind, aPiece('p1'));
    await first.append(sent('e1'));
    first.close();
    const second = await idbStore({ name, clock });
    expect(await second.entries('p1')).toHaveLength(1);
    expect((await second.all(pieceKind))[0]?.name).toBe('Piece p1');
    second.close();
  });

  it('leaves a damaged record where it is, says so, and hands it on as it is', async () => {
    const name = freshName();
    const store = await idbStore({ name, clock });
    await store.add(pieceKind, aPiece('p1'));
    const raw = await openDB(name);
    await raw.put('pieces', { ...aPiece('p2'), plan: { form: 7 } });
    await raw.put('pieces', { ...aPiece('p3'), version: 99 });
    expect((await store.all(pieceKind)).map(p => p.id)).toEqual(['p1']);
    expect(store.problems().map(p => p.code)).toContain('RECORD_NEWER');
    expect(await store.update(pieceKind, 'p3', p => ({ ...p, name: 'overwritten' }))).toBeNull();
    const { records, unread } = await store.snapshot();
    expect(records).toHaveLength(1);
    expect(unread.map(u => [u.table, u.raw])).toEqual([
      ['pieces', { ...aPiece('p2'), plan: { form: 7 } }],
      ['pieces', { ...aPiece('p3'), version: 99 }],
    ]);
    const [damaged] = unread;
    const write = (batch: object) => store.transact(() => ({ batch: { ...NO_BATCH, ...batch }, result: 0 }));
    await write({ removeUnread: [damaged] });
    expect((await store.snapshot()).unread).toHaveLength(1);
    await write({ unread: [damaged] });
    expect((await store.snapshot()).unread).toEqual(unread);
    const report = await readIn(store, [aPiece('p3', { revision: 50, name: 'from a file' })]);
    expect(report).toMatchObject({ added: 0, replaced: 0, kept: 1 });
    expect(await raw.get('pieces', 'p3')).toMatchObject({ version: 99, name: 'Piece p3' });
    raw.close();
    store.close();
  });

  it('goes on behind a place that an earlier build took from a file and could not count beyond', async () => {
    const name = freshName();
    const store = await idbStore({ name, clock });
    await store.add(pieceKind, aPiece('p1'));
    const raw = await openDB(name);
    await raw.put('entries', { ...anEntry('far', 1), version: 3, seq: Number.MAX_SAFE_INTEGER });
    raw.close();
    await store.append(sent('e1'));
    await store.append(sent('e2'));
    expect((await store.entries('p1')).map(e => [e.id, e.seq])).toEqual([
      ['far', 1e9],
      ['e1', 1e9 + 1],
      ['e2', 1e9 + 2],
    ]);
    store.close();
  });

  it('steps aside when a newer program changes the shape of the data', async () => {
    const name = freshName();
    let told = false;
    const old = await idbStore({ name, clock, onOutdated: () => (told = true) });
    const newer = await openDB(name, 99);
    expect(told).toBe(true);
    expect(await issueOf(old.add(pieceKind, aPiece('p1')))).toBe('STORE_CLOSED');
    expect(await issueOf(idbStore({ name, clock }))).toBe('RECORD_NEWER');
    newer.close();
    old.close();
  });

  it('says when another tab keeps it from opening, and opens when that one goes', async () => {
    const name = freshName();
    const old = await openDB(name, 3, {
      upgrade: db => void db.createObjectStore('settings'),
    });
    let blocked = false;
    const opening = idbStore({ name, clock, onBlocked: () => (blocked = true) });
    await expect.poll(() => blocked).toBe(true);
    old.close();
    const store = await opening;
    await store.add(pieceKind, aPiece('p1'));
    expect(await store.all(pieceKind)).toHaveLength(1);
    store.close();
  });
});
