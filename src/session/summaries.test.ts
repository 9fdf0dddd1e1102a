import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import type { Act } from '../core/acts/act';
import { planOf } from '../core/plan/planOf';
import { pieceKind } from '../records/piece';
import { A_SET, aPiece, anEntry, LATER, sent } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { isOverdue, planClearing, planPurge } from '../store/clearing';
import type { Store } from '../store/store';
import { ADAPTERS, readIn } from '../store/testing/adapters';
import { summaryOf } from '../workers/summaryOf';
import type { Summaries } from './summaries';
import { aWorkshop } from './testing/open';

const IDS = ['p1', 'p2', 'p3'] as const;
const MEASURED: Act = { kind: 'measure', readings: { A: 300, B: 310 } };

/** What may happen to a store between two looks at the table. */
const STEPS: Readonly<Record<string, (store: Store, id: string, n: number) => Promise<unknown>>> = {
  rename: (store, id, n) => store.update(pieceKind, id, p => ({ ...p, name: `Piece ${n}` })),
  nothing: (store, id) => store.update(pieceKind, id, p => p),
  delete: (store, id) => store.update(pieceKind, id, p => ({ ...p, deletedAt: '2020-01-01T00:00:00.000Z' })),
  roll: (store, id, n) => store.append(sent(`e${n}`, id)).catch(() => null),
  measure: (store, id, n) => store.append(sent(`m${n}`, id, MEASURED)).catch(() => null),
  undo: (store, id, n) =>
    store.appendBy(id, log => {
      const last = log.at(-1);
      return last ? { ...sent(`u${n}`, id, { kind: 'undo', of: last.id }) } : null;
    }),
  add: (store, id) => store.get(pieceKind, id).then(p => (p ? null : store.add(pieceKind, aPiece(id)))),
  read: (store, id, n) => readIn(store, [aPiece(id, { revision: 90 + n })], [anEntry(`x${n}`, 1, id)]),
  purge: store => store.transact(planPurge(Date.parse(LATER))),
  clear: store => store.transact(planClearing),
};

describe.each(ADAPTERS)('summaries in the store, %s', (_, make) => {
  it('never outlive the piece and the log that they were made of', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(STEPS)), fc.constantFrom(...IDS)), {
          minLength: 1,
          maxLength: 12,
        }),
        async steps => {
          const store = await make();
          for (const id of IDS.slice(0, 2)) await store.add(pieceKind, aPiece(id));
          for (const [n, [step, id]] of steps.entries()) {
            const { missing } = await store.summaries();
            await store.keepSummaries((await store.rawPieces(missing)).map(summaryOf));
            await STEPS[step]?.(store, id, n);
            const { kept, missing: left } = await store.summaries();
            const there = await store.all(pieceKind);
            expect([...kept.map(s => s.id), ...left].toSorted()).toEqual(there.map(p => p.id).toSorted());
            const now = await store.rawPieces(kept.map(s => s.id));
            expect(kept).toEqual(now.map(summaryOf));
          }
          store.close();
        },
      ),
      { numRuns: 40 },
    );
  });

  it('are not kept where the piece or its log has gone on meanwhile', async () => {
    const store = await make();
    await store.add(pieceKind, aPiece('p1'));
    const [early] = (await store.rawPieces(['p1'])).map(summaryOf);
    await store.append(sent('e1'));
    await store.keepSummaries(early ? [early] : []);
    expect(await store.summaries()).toEqual({ kept: [], missing: ['p1'] });
    store.close();
  });

  it('and other kinds of records leave one another alone; what is looked at when it is opened agrees with the whole', async () => {
    const store = await make();
    expect(await store.look()).toEqual({ hasOwn: false, firstDeletedAt: null });
    expect(await store.isEmpty()).toBe(true);
    await readIn(store, [aPiece('p1', { sample: true, deletedAt: LATER })]);
    expect(await store.look()).toEqual({ hasOwn: false, firstDeletedAt: LATER });
    await store.keepSummaries((await store.rawPieces(['p1'])).map(summaryOf));
    expect(await store.look()).toEqual({ hasOwn: false, firstDeletedAt: LATER });
    await store.update(pieceKind, 'p1', p => ({ ...p, name: 'mine' }));
    expect((await store.look()).hasOwn).toBe(true);
    expect(await store.isEmpty()).toBe(false);
    expect(await store.all(woolKind)).toEqual([]);
    expect(isOverdue(LATER, Date.parse(LATER))).toBe(false);
    store.close();
  });
});

describe('the summary of a piece', () => {
  it('says what the plan and the log say', () => {
    const piece = aPiece('p1', { woolId: 'w1' });
    const weighed: Act = { kind: 'weigh', pile: 'a', woolId: 'w1', grams: 12, plannedG: 12, tareG: 0 };
    const log = [anEntry('e1', 2), anEntry('e2', 3, 'p1', MEASURED), anEntry('e0', 1, 'p1', weighed)];
    const plan = planOf(piece.plan);
    const summary = summaryOf({ piece, log });
    expect(summary).toMatchObject({
      stage: 'bench',
      lastAt: log[1]?.at,
      isFinishing: false,
      unread: 'nothing',
    });
    expect(summary.sizesMm).toEqual(plan.ok ? plan.value.form.gauges.slice(0, 2).map(g => g.wantedMm) : []);
    expect(summary.progress).toBeGreaterThan(0);
    expect(summary.drawing?.lines.map(l => l.role)).toEqual(['laid', 'now', 'wanted']);
    expect(summary.takings).toEqual([
      expect.objectContaining({ woolId: 'w1', grams: 12, atMs: Date.parse(log[0]?.at ?? '') }),
    ]);
    expect(summary.made).toEqual({ revision: piece.revision, seq: 3 });
  });

  it('of what cannot be read is there all the same, and names its pictures', () => {
    const hash = 'a'.repeat(64);
    const raw = { ...aPiece('p9'), version: 99, notes: hash };
    expect(summaryOf({ piece: raw, log: [] })).toMatchObject({
      id: 'p9',
      unread: 'piece',
      drawing: null,
      attachments: [hash],
    });
    expect(summaryOf({ piece: aPiece('p1'), log: [{ kind: 'entry' }] }).unread).toBe('log');
    const broken = aPiece('p1');
    const plan = { ...broken.plan, form: { ...broken.plan.form, kind: 'not-a-form' } };
    expect(summaryOf({ piece: { ...broken, plan }, log: [anEntry('e1', 1)] })).toMatchObject({
      stage: 'bench',
      drawing: null,
    });
  });
});

describe('summaries as they are shown', () => {
  const shown = (workshop: ReturnType<typeof aWorkshop>): Summaries | undefined =>
    workshop.client.getQueryData<Summaries>(['summaries']);

  it('follow what is changed, and are made few at a time where there are many', async () => {
    const workshop = aWorkshop();
    const { store, client, summaries } = workshop;
    await readIn(
      store,
      Array.from({ length: 55 }, (_, i) => aPiece(`p${i}`)),
    );
    const first = await client.fetchQuery(summaries.all());
    expect(first).toEqual({ all: [], toMake: 55 });
    await vi.waitFor(() => expect(shown(workshop)).toMatchObject({ toMake: 0 }));
    expect(shown(workshop)?.all).toHaveLength(55);
    expect((await store.summaries()).missing).toEqual([]);
    await store.append(sent('e1', 'p7', A_SET));
    await store.update(pieceKind, 'p8', p => ({ ...p, name: 'Renamed' }));
    await vi.waitFor(() => {
      const all = shown(workshop)?.all ?? [];
      expect(all.find(s => s.id === 'p7')?.stage).toBe('bench');
      expect(all.find(s => s.id === 'p8')?.name).toBe('Renamed');
      expect(all).toHaveLength(55);
    });
    workshop.close();
  });

  it('are all shown where there is no room to keep them', async () => {
    const { store } = aWorkshop();
    const full: Store = { ...store, keepSummaries: () => Promise.reject(new Error('no room')) };
    const workshop = aWorkshop({ store: full });
    await readIn(
      full,
      Array.from({ length: 45 }, (_, i) => aPiece(`p${i}`)),
    );
    await workshop.client.fetchQuery(workshop.summaries.all());
    await vi.waitFor(() => expect(shown(workshop)?.all).toHaveLength(45));
    expect(shown(workshop)?.toMake).toBe(0);
    workshop.close();
  });
});
