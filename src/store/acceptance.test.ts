import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { afterEach, describe, expect, it } from 'vitest';
import type { Act } from '../core/acts/act';
import { LIMITS } from '../core/limits';
import { pieceKind } from '../records/piece';
import { newRecipe, recipeKind } from '../records/recipe';
import { ofKind } from '../records/snapshot';
import { swatchKind } from '../records/swatch';
import {
  A_SET,
  aPiece,
  anEntry,
  aSnapshot,
  aSwatch,
  aWool,
  LATER,
  NOW,
  sent,
} from '../records/testing/build';
import { woolKind } from '../records/wool';
import { NO_BATCH } from './batch';
import { planClearing, planPurge } from './clearing';
import { idbStore, memoryStore } from './makeStore';
import { planImport } from './importing';
import type { Store, StoreChange } from './store';
import { StoreError } from './storeError';
import { planTakeBack } from './takeBack';

const clock = (): string => LATER;
let names = 0;
const freshName = (): string => `test-${(names += 1)}`;
const readIn = (store: Store, ...of: Parameters<typeof aSnapshot>) =>
  store.transact(planImport(aSnapshot(...of), LATER));
const issueOf = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'no issue',
    (error: unknown) => (error instanceof StoreError ? error.issue.code : String(error)),
  );

const ADAPTERS: ReadonlyArray<readonly [string, () => Promise<Store>]> = [
  ['memory', async () => memoryStore(clock)],
  ['idb', () => idbStore({ name: freshName(), clock })],
];

describe.each(ADAPTERS)('the store, %s', (_, make) => {
  const opened: Store[] = [];
  const open = async (): Promise<Store> => {
    const store = await make();
    opened.push(store);
    return store;
  };
  const withPieces = async (...ids: string[]): Promise<Store> => {
    const store = await open();
    for (const id of ids) await store.add(pieceKind, aPiece(id));
    return store;
  };
  afterEach(() => {
    for (const store of opened.splice(0)) store.close();
  });

  it('gives back what was put in', async () => {
    const store = await withPieces('p1');
    await store.add(woolKind, aWool('w1'));
    expect(await store.get(pieceKind, 'p1')).toEqual(aPiece('p1'));
    expect(await store.get(pieceKind, 'p2')).toBeNull();
    expect(await store.all(woolKind)).toEqual([aWool('w1')]);
  });

  it('changes the stored record, and counts its revisions', async () => {
    const store = await withPieces('p1');
    await Promise.all([
      store.update(pieceKind, 'p1', p => ({ ...p, name: 'A' })),
      store.update(pieceKind, 'p1', p => ({ ...p, notes: 'b' })),
    ]);
    expect(await store.get(pieceKind, 'p1')).toMatchObject({
      name: 'A',
      notes: 'b',
      revision: 3,
      updatedAt: LATER,
    });
    expect(await store.update(pieceKind, 'gone', p => p)).toBeNull();
  });

  it('refuses to write what could not be read again, and keeps what was there', async () => {
    const store = await withPieces('p1');
    await expect(store.add(pieceKind, aPiece('has a space'))).rejects.toThrow('piece.id');
    await expect(store.update(pieceKind, 'p1', p => ({ ...p, name: '' }))).rejects.toThrow('piece.name');
    await expect(store.add(woolKind, aWool('w1', { colour: 'mauve' }))).rejects.toThrow('wool.colour');
    await expect(store.updateSettings(s => ({ ...s, setOfRolls: -1 }))).rejects.toThrow('setOfRolls');
    await expect(
      store.transact(() => ({
        batch: { ...NO_BATCH, put: [aPiece('p2'), aPiece('p3', { name: '' })] },
        result: null,
      })),
    ).rejects.toThrow('piece.name');
    expect(await store.all(pieceKind)).toEqual([aPiece('p1')]);
    expect(await store.all(woolKind)).toEqual([]);
  });

  it('leaves the revision alone when nothing changed', async () => {
    const store = await withPieces('p1');
    await store.update(pieceKind, 'p1', p => p);
    expect((await store.get(pieceKind, 'p1'))?.revision).toBe(1);
  });

  it('keeps swatches, changes them, and clears them with their wool', async () => {
    const store = await open();
    await store.add(woolKind, aWool('w1', { sample: true }));
    await store.add(swatchKind, aSwatch('s1', 'w1', { sample: true }));
    await store.update(swatchKind, 's1', s => ({ ...s, laid: { ...s.laid, grams: 12 } }));
    expect(await store.all(swatchKind)).toMatchObject([
      { id: 's1', laid: { grams: 12, along: 200 }, revision: 2 },
    ]);
    await store.transact(planClearing);
    expect((await store.snapshot()).records).toEqual([]);
  });

  it('keeps the recipes of the maker, and clears those of the sample', async () => {
    const store = await open();
    const own = newRecipe({ id: 'r1', name: 'Ours', steps: [{ id: 's1', act: 'rub', count: 40 }] }, NOW);
    await store.add(recipeKind, own);
    await store.add(recipeKind, { ...own, id: 'r2', sample: true });
    await store.update(recipeKind, 'r1', r => ({ ...r, name: 'Ours, longer' }));
    await store.transact(planClearing);
    expect(await store.all(recipeKind)).toMatchObject([{ id: 'r1', name: 'Ours, longer', revision: 2 }]);
  });

  it('reads the logs of all pieces at once', async () => {
    const store = await withPieces('p1', 'p2');
    await store.append(sent('e1', 'p1'));
    await store.append(sent('e2', 'p2'));
    expect((await store.allEntries()).map(e => e.id).toSorted()).toEqual(['e1', 'e2']);
  });

  it('numbers the entries of each piece from 1, without a gap, even when many come at once', async () => {
    const store = await withPieces('p1', 'p2');
    await Promise.all(Array.from({ length: 25 }, (__, i) => store.append(sent(`e${i}`))));
    await store.append(sent('other', 'p2'));
    const log = await store.entries('p1');
    expect(log.map(e => e.seq)).toEqual(Array.from({ length: 25 }, (__, i) => i + 1));
    expect((await store.entries('p2')).map(e => e.seq)).toEqual([1]);
  });

  it('appends an entry once, however often it is sent', async () => {
    const store = await withPieces('p1');
    const first = await store.append(sent('e1'));
    const again = await store.append(sent('e1'));
    expect(again).toEqual(first);
    expect(await store.entries('p1')).toHaveLength(1);
  });

  it('appends nothing to a piece that is gone, and says so; one in the bin keeps its log', async () => {
    const store = await withPieces('p1', 'p2');
    await store.update(pieceKind, 'p2', p => ({ ...p, deletedAt: NOW }));
    expect(await issueOf(store.append(sent('e1', 'cleared')))).toBe('PIECE_GONE');
    expect(await issueOf(store.appendBy('cleared', () => sent('e2')))).toBe('PIECE_GONE');
    await store.append(sent('e3', 'p2'));
    expect((await store.allEntries()).map(e => e.id)).toEqual(['e3']);
  });

  it('refuses a damaged act, and a log that has no place left', async () => {
    const store = await withPieces('p1');
    const bad: Act = { ...A_SET, kind: 'roll', rolls: -4 } as Act;
    expect(await issueOf(store.append(sent('e1', 'p1', bad)))).toBe('FILE_INVALID');
    await readIn(store, [], [anEntry('last', LIMITS.seq.most)]);
    expect(await issueOf(store.append(sent('e2')))).toBe('LOG_FULL');
    expect((await store.entries('p1')).map(e => e.id)).toEqual(['last']);
  });

  it('decides what to append by the log as it stands: two at once never decide by the same', async () => {
    const store = await withPieces('p1');
    for (const id of ['a', 'b', 'c']) await store.append(sent(id));
    const takeBackLast = (id: string) =>
      store.appendBy('p1', log => {
        const taken = new Set(log.flatMap(e => (e.act.kind === 'undo' ? [e.act.of] : [])));
        const target = log.findLast(e => e.act.kind !== 'undo' && !taken.has(e.id));
        return target ? { id, at: NOW, act: { kind: 'undo', of: target.id } } : null;
      });
    await Promise.all(['u1', 'u2', 'u3', 'u4'].map(takeBackLast));
    const undone = (await store.entries('p1')).flatMap(e => (e.act.kind === 'undo' ? [e.act.of] : []));
    expect(undone).toEqual(['c', 'b', 'a']);
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
    expect(log.map(e => e.id)).toEqual(['e1', 'x2', 'x1']);
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
