import { beforeEach, describe, expect, it, vi } from 'vitest';
import { disc } from '../core/forms/kinds/disc';
import { newPlan } from '../core/plan/newPlan';
import { newPiece } from '../records/piece';
import { newRecipe } from '../records/recipe';
import { newWool } from '../records/wool';
import { memoryStore } from '../store/memoryStore';
import { noteAhead, noteEntryAhead, replay } from './journal';

const NOW = '2026-03-01T10:00:00.000Z';

/** The browser's local storage, as far as the journal uses it. */
class Shelf {
  [key: string]: unknown;
  setItem(key: string, value: string): void {
    this[key] = value;
  }
  getItem(key: string): string | null {
    const value = this[key];
    return typeof value === 'string' ? value : null;
  }
  removeItem(key: string): void {
    delete this[key];
  }
}

const storeWith = async () => {
  const store = memoryStore(() => NOW);
  await store.addPiece(newPiece({ id: 'p1', name: 'Pad', now: NOW, plan: newPlan(disc) }));
  return store;
};

describe('changes noted ahead of the store', () => {
  beforeEach(() => vi.stubGlobal('localStorage', new Shelf()));

  it('are carried out at the next start, in order, and then forgotten', async () => {
    const store = await storeWith();
    noteAhead('piece', 'p1', { name: 'First' });
    noteAhead('piece', 'p1', { name: 'Second', notes: 'thin at the edge' });
    await replay(store);
    expect(await store.piece('p1')).toMatchObject({ name: 'Second', notes: 'thin at the edge' });
    expect(Object.keys(localStorage)).toEqual([]);
  });

  it('hold for wools as well', async () => {
    const store = await storeWith();
    const wool = newWool({ id: 'w1', name: 'Fog', fibre: '', form: 'batt', colour: '#aabbcc', now: NOW });
    await store.addWool(wool);
    noteAhead('wool', 'w1', { gramsCounted: 120 });
    await replay(store);
    expect(await store.wools()).toMatchObject([{ name: 'Fog', gramsCounted: 120, revision: 2 }]);
  });

  it('hold for recipes', async () => {
    const store = await storeWith();
    await store.addRecipe(newRecipe({ id: 'r1', name: 'Ours', steps: [] }, NOW));
    noteAhead('recipe', 'r1', { steps: [{ id: 's1', act: 'rub', count: 60 }] });
    noteAhead('recipe', 'r1', { steps: [{ id: 's1', act: 'sing' }] });
    await replay(store);
    expect(await store.recipes()).toMatchObject([{ name: 'Ours', steps: [{ act: 'rub', count: 60 }] }]);
  });

  it('hold for settings, one at a time', async () => {
    const store = await storeWith();
    noteAhead('settings', 'settings', { theme: 'dark' });
    noteAhead('settings', 'settings', { units: 'imperial', setOfRolls: 50 });
    await replay(store);
    expect(await store.settings()).toMatchObject({
      theme: 'dark',
      units: 'imperial',
      setOfRolls: 50,
      page: 'a4',
    });
    expect(Object.keys(localStorage)).toEqual([]);
  });

  it('hold for the log: an entry comes in once, whether it had arrived or not', async () => {
    const store = await storeWith();
    const soap = { id: 'e1', pieceId: 'p1', at: NOW, act: { kind: 'note', text: 'more soap' } } as const;
    const stuck = { id: 'e2', pieceId: 'p1', at: NOW, act: { kind: 'note', text: 'stuck' } } as const;
    noteEntryAhead(soap);
    noteEntryAhead(stuck);
    await store.append(soap);
    await replay(store);
    await replay(store);
    expect(await store.entries('p1')).toMatchObject([
      { id: 'e1', seq: 1, at: NOW, act: soap.act },
      { id: 'e2', seq: 2, at: NOW, act: stuck.act },
    ]);
    noteEntryAhead({ ...stuck, id: 'e3' })();
    noteEntryAhead({ ...stuck, id: 'e4', pieceId: 'gone' });
    noteAhead('entry', 'e5', { version: 3, pieceId: 'p1', at: NOW, act: { kind: 'roll', count: -4 } });
    noteAhead('settings', 'settings', { setOfRolls: -1 });
    await replay(store);
    expect(await store.allEntries()).toHaveLength(2);
    expect((await store.settings()).setOfRolls).toBeGreaterThan(0);
    expect(Object.keys(localStorage)).toEqual([]);
  });

  it('are forgotten once they are durable', async () => {
    const store = await storeWith();
    noteAhead('piece', 'p1', { name: 'First' })();
    await replay(store);
    expect(await store.piece('p1')).toMatchObject({ name: 'Pad', revision: 1 });
  });

  it('do no harm when they are damaged, nonsense, or of a piece that is gone', async () => {
    const store = await storeWith();
    localStorage.setItem('jorrit.ahead.1', '{"kind": "piece", "id": "p1", "fields": {"name": ""}}');
    localStorage.setItem('jorrit.ahead.2', 'not JSON');
    localStorage.setItem('jorrit.ahead.3', '{"kind": "piece", "id": "gone", "fields": {"name": "x"}}');
    localStorage.setItem(
      'jorrit.ahead.4',
      '{"kind": "piece", "id": "p1", "fields": {"id": "p2", "revision": 900}}',
    );
    localStorage.setItem('jorrit.ahead.5', '{"kind": "settings", "id": "p1", "fields": {"name": "x"}}');
    localStorage.setItem('other', 'stays');
    await replay(store);
    expect(await store.piece('p1')).toMatchObject({ id: 'p1', name: 'Pad' });
    expect((await store.piece('p1'))?.revision).toBeLessThan(5);
    expect(Object.keys(localStorage)).toEqual(['other']);
  });

  it('are not missed where the browser forbids local storage', async () => {
    vi.stubGlobal('localStorage', {
      setItem: () => {
        throw new Error('forbidden');
      },
    });
    expect(() => noteAhead('piece', 'p1', { name: 'x' })()).not.toThrow();
  });
});
