import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readWorkshop } from '../files/readWorkshop';
import { writeWorkshop } from '../files/writeWorkshop';
import { type Piece, pieceKind } from '../records/piece';
import { A_SET, aPiece, sent } from '../records/testing/build';
import { planImport } from '../store/importing';
import { memoryStore } from '../store/makeStore';
import type { Store } from '../store/store';

/** A laptop and a tablet, with one clock between them that goes on a minute at every step. */
const twoDevices = () => {
  let ms = Date.parse('2026-03-01T10:00:00.000Z');
  const now = (): string => new Date(ms).toISOString();
  const devices = [memoryStore(now), memoryStore(now)] as const;
  return {
    devices,
    now,
    tick: (): void => {
      ms += 60_000;
    },
  };
};

/** Carries all of it over in a file, as a hand would: saved here, opened there. */
const carry = async (from: Store, to: Store, now: string): Promise<void> => {
  const snapshot = await from.snapshot();
  const written = writeWorkshop({ snapshot, attachments: [], exportedAt: now });
  if (!written.ok) throw new Error(JSON.stringify(written.issues));
  await from.noteSent(snapshot.records);
  const read = readWorkshop(written.value.bytes, now);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  await to.transact(planImport(read.value.snapshot, now));
};

const IDS = ['p1', 'p2', 'p3'] as const;
type Step =
  | { readonly is: 'type' | 'roll' | 'undo' | 'delete'; readonly at: 0 | 1; readonly id: string }
  | { readonly is: 'carry'; readonly at: 0 | 1 };

const anyAt = fc.constantFrom(0 as const, 1 as const);
const anyStep: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({ is: fc.constant('type' as const), at: anyAt, id: fc.constantFrom(...IDS) }),
  },
  {
    weight: 5,
    arbitrary: fc.record({ is: fc.constant('roll' as const), at: anyAt, id: fc.constantFrom(...IDS) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ is: fc.constant('undo' as const), at: anyAt, id: fc.constantFrom(...IDS) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ is: fc.constant('delete' as const), at: anyAt, id: fc.constantFrom(...IDS) }),
  },
  { weight: 2, arbitrary: fc.record({ is: fc.constant('carry' as const), at: anyAt }) },
);

/** What is remembered beside the two: what was typed, and upon what; and what was logged on which device, in order. */
interface Model {
  readonly typed: Set<string>;
  /** What somebody who saw it has typed over. */
  readonly over: Set<string>;
  readonly logged: Map<string, readonly [string[], string[]]>;
}

const play = async (steps: readonly Step[]) => {
  const { devices, now, tick } = twoDevices();
  const model: Model = { typed: new Set(), over: new Set(), logged: new Map() };
  for (const store of devices) for (const id of IDS.slice(0, 2)) await store.add(pieceKind, aPiece(id));
  for (const [n, step] of steps.entries()) {
    tick();
    const store = devices[step.at];
    if (step.is === 'carry') {
      await carry(store, devices[step.at === 0 ? 1 : 0], now());
      continue;
    }
    const { id, at } = step;
    if ((await store.get(pieceKind, id)) === null) await store.add(pieceKind, aPiece(id));
    if (step.is === 'type')
      await store.update(pieceKind, id, p => {
        if (p.notes !== '') model.over.add(p.notes);
        model.typed.add(`t${n}`);
        // What lies in the bin is brought back before it is typed in.
        return { ...p, notes: `t${n}`, deletedAt: null };
      });
    else if (step.is === 'delete') await store.update(pieceKind, id, p => ({ ...p, deletedAt: now() }));
    else {
      const logs = model.logged.get(id) ?? ([[], []] as const);
      model.logged.set(id, logs);
      const entry = await store.appendBy(id, log => {
        const last = log.at(-1);
        if (step.is === 'roll') return { ...sent(`e${n}`, id, A_SET), at: now() };
        return last ? { ...sent(`u${n}`, id, { kind: 'undo', of: last.id }), at: now() } : null;
      });
      if (entry) logs[at].push(entry.id);
    }
  }
  for (const at of [0, 1, 0] as const) {
    tick();
    await carry(devices[at], devices[at === 0 ? 1 : 0], now());
  }
  return { devices, model };
};

const shown = ({ id, name, notes, deletedAt }: Piece): unknown => ({
  id,
  name,
  notes,
  isGone: deletedAt !== null,
});

describe('a workshop that is carried between a laptop and a tablet, with work on both', () => {
  it('is joined: nothing is lost, nothing is there twice, and both show the same', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyStep, { minLength: 3, maxLength: 30 }), async steps => {
        const { devices, model } = await play(steps);
        const [a, b] = await Promise.all(devices.map(store => store.all(pieceKind)));
        const inOrder = (all: readonly Piece[] = []) =>
          all.map(shown).toSorted((x, y) => (JSON.stringify(x) < JSON.stringify(y) ? -1 : 1));
        expect(inOrder(b)).toEqual(inOrder(a));
        // Whatever was typed and not typed over by somebody who saw it is on the table or in the bin; on the table it is once.
        const typed = (a ?? []).filter(p => p.notes !== '');
        const live = typed.filter(p => p.deletedAt === null).map(p => p.notes);
        expect(new Set(live).size).toBe(live.length);
        const notes = typed.map(p => p.notes);
        for (const t of model.typed) expect(model.over.has(t) || notes.includes(t)).toBe(true);
        for (const id of IDS) {
          const [one = [], other = []] = await Promise.all(
            devices.map(async store => (await store.entries(id)).map(e => e.id)),
          );
          expect(other).toEqual(one);
          const [mine, theirs] = model.logged.get(id) ?? [[], []];
          expect(one.toSorted()).toEqual([...mine, ...theirs].toSorted());
          // What one pair of hands did stays in the order they did it.
          for (const own of [mine, theirs]) expect(one.filter(e => own.includes(e))).toEqual(own);
        }
        for (const store of devices) store.close();
      }),
      { numRuns: 200 },
    );
  });

  it('an older file opened again changes nothing, and what is taken over is not taken for a change elsewhere', async () => {
    const { devices, now, tick } = twoDevices();
    const [laptop, tablet] = devices;
    await laptop.add(pieceKind, aPiece('p1'));
    await carry(laptop, tablet, now());
    tick();
    await tablet.update(pieceKind, 'p1', p => ({ ...p, notes: 'at the sink' }));
    await carry(tablet, laptop, now());
    tick();
    await laptop.update(pieceKind, 'p1', p => ({ ...p, notes: 'at the table' }));
    await carry(tablet, laptop, now());
    await carry(laptop, tablet, now());
    for (const store of devices)
      expect((await store.all(pieceKind)).map(p => [p.id, p.notes])).toEqual([['p1', 'at the table']]);
  });

  it('of two who typed apart both are kept: one on the table, the other in the bin, under its own name', async () => {
    const { devices, now, tick } = twoDevices();
    const [laptop, tablet] = devices;
    await laptop.add(pieceKind, aPiece('p1'));
    await carry(laptop, tablet, now());
    tick();
    await tablet.update(pieceKind, 'p1', p => ({ ...p, notes: 'at the sink' }));
    await laptop.update(pieceKind, 'p1', p => ({ ...p, notes: 'first' }));
    tick();
    await laptop.update(pieceKind, 'p1', p => ({ ...p, notes: 'at the table' }));
    await carry(tablet, laptop, now());
    const all = await laptop.all(pieceKind);
    expect(all.map(p => [p.name, p.notes, p.deletedAt === null])).toEqual([
      ['Piece p1', 'at the table', true],
      ['Piece p1, changed elsewhere', 'at the sink', false],
    ]);
  });
});
