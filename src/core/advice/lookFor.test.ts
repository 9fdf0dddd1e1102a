import { describe, expect, it } from 'vitest';
import { roll, stateOf as after } from '../log/testing/logs';
import type { FormPlan } from '../forms/formKind';
import { ball } from '../forms/kinds/ball';
import { bottleSleeve } from '../forms/kinds/bottleSleeve';
import { rectangle } from '../forms/kinds/rectangle';
import { FORM_KINDS } from '../forms/kinds/registry';
import { makePlan } from '../plan/makePlan';
import { newPlan } from '../plan/newPlan';
import { canOccur, faultOf } from './faults';
import { wayOf } from '../ways/register';
import { lookFor } from './lookFor';

const formOf = (kind: Parameters<typeof newPlan>[0]): FormPlan => {
  const plan = makePlan(newPlan(kind));
  if (!plan.ok) throw new Error(kind.kind);
  return plan.value.form;
};
const SLEEVE = formOf(bottleSleeve);
const MAT = formOf(rectangle);
const BALL = formOf(ball);
const wayFor = (form: FormPlan) => wayOf({}, form, null);
const rolled = (rolls: number) => roll(0, rolls);

describe('what to look for at an opening', () => {
  it('is the wetting before it is rolled, and folds and stuck faces while they can still be freed', () => {
    expect(lookFor(after(), SLEEVE, { progress: null, way: wayFor(SLEEVE) })).toMatchObject({
      sights: ['tufts', 'bubbles'],
    });
    expect(lookFor(after(), SLEEVE, { progress: null, way: wayFor(SLEEVE) }).faults).not.toContain('fold');
    expect(lookFor(after(rolled(50)), SLEEVE, { progress: null, way: wayFor(SLEEVE) }).faults).toEqual([
      'fold',
      'stuck',
      'thin',
      'foam',
    ]);
    expect(lookFor(after(rolled(50)), MAT, { progress: null, way: wayFor(MAT) }).faults).not.toContain(
      'stuck',
    );
  });

  it('is what lags once it shrinks, and no longer what has fused', () => {
    const late = lookFor(after(rolled(400)), SLEEVE, { progress: 0.6, way: wayFor(SLEEVE) });
    expect(late.faults).toEqual(expect.arrayContaining(['long', 'corner', 'ridge', 'stalled']));
    expect(late.faults).not.toContain('fold');
    expect(late.sights).not.toContain('popping');
  });

  it('is the cut edge and the inside once it is open, and no resist any more', () => {
    const open = after(rolled(400), { kind: 'open', what: 'resist-out' });
    const { faults, sights } = lookFor(open, SLEEVE, { progress: 0.6, way: wayFor(SLEEVE) });
    expect(sights).toEqual(expect.arrayContaining(['edges', 'inside']));
    expect(faults).not.toContain('ridge');
    expect(faults).not.toContain('stuck');
  });

  it('of a ball is cracks early, and soft insides late', () => {
    expect(lookFor(after(rolled(50)), BALL, { progress: null, way: wayFor(BALL) }).faults).toContain('crack');
    expect(lookFor(after(rolled(500)), BALL, { progress: 0.8, way: wayFor(BALL) }).faults).toContain('soft');
  });

  it('never names a fault that cannot befall the form, nor more than an opening has room for', () => {
    for (const kind of FORM_KINDS) {
      const form = formOf(kind);
      const way = wayOf(kind, form, null);
      for (const state of [
        after(),
        after(rolled(50)),
        after(rolled(500)),
        after(rolled(500), { kind: 'open', what: 'cut' }),
      ])
        for (const progress of [null, 0.1, 0.5, 1]) {
          const { faults } = lookFor(state, form, { progress, way });
          expect(faults.length).toBeLessThanOrEqual(7);
          for (const id of faults) {
            const fault = faultOf(id);
            expect(fault && canOccur(fault, form, { pieces: 1, way }), `${kind.kind}: ${id}`).toBe(true);
          }
        }
    }
  });

  it('of what is never rolled in a bundle names no folds and no sides that stick', () => {
    const hands = wayOf({}, SLEEVE, 'ball');
    const { faults } = lookFor(after(rolled(50)), SLEEVE, { progress: null, way: hands });
    expect(faults).toEqual(['thin', 'foam']);
  });
});
