import 'fake-indexeddb/auto';
import { afterEach, describe, expect, it } from 'vitest';
import type { Act } from '../core/acts/act';
import { LIMITS } from '../core/limits';
import { pieceKind } from '../records/piece';
import { newRecipe, recipeKind } from '../records/recipe';
import { swatchKind } from '../records/swatch';
import { A_SET, aPiece, anEntry, aSwatch, aWool, LATER, NOW, sent } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { NO_BATCH } from './batch';
import { planClearing } from './clearing';
import type { Store } from './store';

import { ADAPTERS, issueOf, readIn } from './testing/adapters';

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
    const own = newRecipe(
      { id: 'r1', name: 'Ours', steps: [{ id: 's1', act: 'rub', count: 40 }] },
      'bundle',
      NOW,
    );
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
});
