import { describe, expect, it } from 'vitest';
import { GENERAL_PRIOR } from '../core/felting/feltingModel';
import { benchLog } from '../core/log/logParts';
import { pieceKind } from '../records/piece';
import { A_SET, aPiece, aWool, sent } from '../records/testing/build';
import { woolKind } from '../records/wool';
import { changeRecord } from './changes';
import { branchFrom, makeRehearsal } from './rehearsal';
import { aWorkshop, handClock } from './testing/open';
import type { Workshop } from './workshop';

const begun = async () => {
  const hands = handClock();
  const real = aWorkshop({ clock: hands.clock });
  await real.store.add(woolKind, aWool('w1'));
  const piece = aPiece('p1', { woolId: 'w1' });
  await real.store.add(pieceKind, { ...piece, plan: { ...piece.plan, pieces: 30 } });
  await real.store.add(pieceKind, aPiece('p2', { woolId: 'w1' }));
  await real.store.append(sent('t1', 'p2'));
  await real.store.append(sent('e1'));
  const rehearsal = await makeRehearsal(real, {
    piece: { ...piece, plan: { ...piece.plan, pieces: 30 } },
    belief: GENERAL_PRIOR,
    asked: ['p2'],
    seed: 5,
  });
  return { real, rehearsal, hands };
};

/** All that is kept of a workshop, as it lies there. */
const everything = async ({ store, notes }: Workshop): Promise<string> =>
  JSON.stringify([
    await store.snapshot(),
    await store.settings(),
    await store.attachmentHashes(),
    (await store.summaries()).kept,
    notes.keys().map(k => [k, notes.get(k)]),
  ]);

describe('a rehearsal', () => {
  it('leaves nothing in the workshop it comes from: records, logs, settings, summaries, notes, unsaved, undo', async () => {
    const { real, rehearsal } = await begun();
    const before = await everything(real);
    const { store, nowIso } = rehearsal.workshop;
    for (let n = 0; n < 5; n += 1)
      await store.append({ id: `r${n}`, pieceId: rehearsal.firstId, at: nowIso(), act: A_SET });
    await changeRecord(rehearsal.workshop, woolKind, {
      id: 'w1',
      change: w => ({ ...w, name: 'Another wool' }),
      told: { label: 'name' },
    });
    await store.updateSettings(s => ({ ...s, setOfRolls: 99 }));
    await branchFrom(rehearsal, { pieceId: rehearsal.firstId, seq: 3, name: 'again' });
    rehearsal.workshop.notes.set('jorrit.measuring.x', 'half typed');
    expect(await everything(real)).toBe(before);
    expect(real.unsaved.get().changes).toBe(0);
    expect(real.history.get().done).toEqual([]);
    rehearsal.close();
    expect(await everything(real)).toBe(before);
    // And the workshop goes on.
    await real.store.append(sent('e2'));
    expect((await real.store.entries('p1')).map(e => e.id)).toEqual(['e1', 'e2']);
  });

  it('is one piece, laid, with all that the bench reads; its own log is not taken along', async () => {
    const { rehearsal } = await begun();
    const { store } = rehearsal.workshop;
    const first = await store.get(pieceKind, rehearsal.firstId);
    expect(first?.plan.pieces).toBe(1);
    expect(first?.sample).toBe(false);
    const log = await store.entries(rehearsal.firstId);
    expect(log.map(e => e.act.kind)).toEqual(['lay']);
    expect((await store.entries('p2')).map(e => e.id)).toEqual(['t1']);
    expect((await store.all(woolKind)).map(w => w.id)).toEqual(['w1']);
  });

  it('time goes with the work, as fast as is wanted, and stands when it is paused', async () => {
    const { rehearsal, hands } = await begun();
    const { clock, workshop } = rehearsal;
    const from = clock.nowMs();
    await workshop.store.append({ id: 'r1', pieceId: rehearsal.firstId, at: workshop.nowIso(), act: A_SET });
    // Thirty rolls at sixty a minute.
    expect(clock.nowMs() - from).toBe(30_000);
    hands.turn(1000);
    expect(clock.nowMs() - from).toBe(31_000);
    clock.setSpeed(20);
    hands.turn(1000);
    expect(clock.nowMs() - from).toBe(51_000);
    clock.setSpeed(0);
    hands.turn(60_000);
    expect(clock.nowMs() - from).toBe(51_000);
    clock.setSpeed(1);
    hands.turn(1000);
    expect(clock.nowMs() - from).toBe(52_000);
  });

  it('another try has the log up to a step, what was taken back of it too, and goes on by itself', async () => {
    const { rehearsal } = await begun();
    const { store, nowIso } = rehearsal.workshop;
    const log = (id: string, act: Parameters<typeof sent>[2]) =>
      store.append({ id, pieceId: rehearsal.firstId, at: nowIso(), act: act ?? A_SET });
    await log('r1', A_SET);
    await log('r2', A_SET);
    await log('u1', { kind: 'undo', of: 'r2' });
    await log('r3', A_SET);
    const id = await branchFrom(rehearsal, { pieceId: rehearsal.firstId, seq: 4, name: 'again' });
    const copy = benchLog(await store.entries(id));
    expect(copy.map(e => e.act.kind)).toEqual(['roll', 'roll', 'undo']);
    expect(copy[2]?.act).toEqual({ kind: 'undo', of: copy[1]?.id });
    await store.append({ id: 'b1', pieceId: id, at: nowIso(), act: A_SET });
    expect(benchLog(await store.entries(rehearsal.firstId))).toHaveLength(4);
  });
});
