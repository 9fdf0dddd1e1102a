import { describe, expect, it } from 'vitest';
import { linesNow } from '../forms/fits';
import type { Judge } from '../acts/vocabulary';
import type { Act } from '../acts/act';
import { progressForecast } from '../forecast/progressForecast';
import { beret } from '../forms/kinds/beret';
import { bottleSleeve } from '../forms/kinds/bottleSleeve';
import { cushion } from '../forms/kinds/cushion';
import { disc } from '../forms/kinds/disc';
import { ball } from '../forms/kinds/ball';
import { trumpetFlower } from '../forms/kinds/trumpetFlower';
import { benchState } from '../log/benchState';
import { logOf } from '../log/testing/logs';
import { makePlan } from '../plan/makePlan';
import { newPlan } from '../plan/newPlan';
import type { FormKind } from '../forms/formKind';
import type { Habits } from '../ways/habits';
import { wayOf } from '../ways/register';
import type { WayId } from '../forms/wayId';
import { openingAct } from './openingAct';
import type { ProposedAct } from './proposedAct';

const formOf = (kind: FormKind) => {
  const plan = makePlan(newPlan(kind));
  if (!plan.ok) throw new Error(kind.kind);
  return plan.value.form;
};
const SLEEVE = formOf(bottleSleeve);
const CUSHION = formOf(cushion);
const ROLL: ProposedAct = { act: 'roll', face: 1, directionDeg: 0, rolls: 30, reason: 'least-worked' };
const STOP: ProposedAct = { act: 'stop', reason: 'firm-by-feel' };
const PINCH: Act = { kind: 'pinch', grade: 2 };

/** What belongs to the way, where that is next. */
const after = (
  of: {
    form?: typeof SLEEVE;
    way?: WayId;
    habits?: Habits;
    next?: ProposedAct;
    judge?: Judge;
    expected?: { progress: number; rollsLeft: number };
  },
  ...acts: readonly Act[]
): ProposedAct | null => {
  const { form = SLEEVE, habits = {}, next = ROLL, judge = 'tape', expected = null } = of;
  const state = benchState(logOf(...acts));
  const way = wayOf({}, form, of.way ?? null);
  const lines = linesNow(form, state.isCut);
  const openings = progressForecast(lines.openings, state).gaugeProgress;
  const forecast = progressForecast(form.gauges, state);
  return openingAct(next, state, { forecast, form, way, habits, openings, judge, expected });
};
/** A measuring so far on the way to the target, every line alike. */
const measured = (form: typeof SLEEVE, share: number): Act => ({
  kind: 'measure',
  readings: Object.fromEntries(form.gauges.map(g => [g.id, g.laidMm * (g.wantedMm / g.laidMm) ** share])),
});
const OUT: Act = { kind: 'open', what: 'resist-out' };

describe('opening by the right act', () => {
  it('opens when the model expects it to be time, before a measuring says so; and works the inside no longer than is left', () => {
    const expected = { progress: 0.95, rollsLeft: 25 };
    expect(after({}, PINCH, measured(SLEEVE, 0.8))).toBeNull();
    expect(after({ expected }, PINCH, measured(SLEEVE, 0.8))).toMatchObject({ act: 'open' });
    const opened = [PINCH, measured(SLEEVE, 0.95), OUT, { kind: 'edge', minutes: 2 }] as const;
    expect(after({}, ...opened)).toMatchObject({ kind: 'inside', count: 3 });
    expect(after({ expected }, ...opened)).toMatchObject({ kind: 'inside', count: 1 });
    expect(after({ expected: { progress: 1, rollsLeft: 0 } }, ...opened)).toMatchObject({ count: 0.5 });
  });

  it('an open mouth needs no cut: the resist is pulled out; a closed one is cut first', () => {
    const early = { habits: { resist: 'early' } } as const;
    expect(after(early, PINCH, measured(SLEEVE, 0.2))).toMatchObject({ act: 'open', what: 'resist-out' });
    const closed = { ...early, form: CUSHION };
    expect(after(closed, PINCH, measured(CUSHION, 0.2))).toMatchObject({ act: 'open', what: 'cut' });
    expect(after(closed, PINCH, measured(CUSHION, 0.2), { kind: 'open', what: 'cut' })).toMatchObject({
      act: 'other',
      kind: 'edge',
      reason: 'edges-open',
    });
    // Not before the skin holds, nor before it has shrunk.
    expect(after(early, measured(SLEEVE, 0.2))).toBeNull();
    expect(after(early, PINCH, measured(SLEEVE, 0.1))).toBeNull();
  });

  it('by size it is later, and a cut not as late; at the end it is the last thing, measured or not', () => {
    expect(after({}, PINCH, measured(SLEEVE, 0.8))).toBeNull();
    expect(after({}, PINCH, measured(SLEEVE, 0.95))).toMatchObject({ act: 'open' });
    expect(after({ form: CUSHION }, PINCH, measured(CUSHION, 0.75))).toMatchObject({ what: 'cut' });
    const last = { habits: { resist: 'last' } } as const;
    expect(after(last, PINCH, measured(SLEEVE, 0.95))).toBeNull();
    expect(after({ ...last, next: STOP }, PINCH)).toMatchObject({ act: 'open', what: 'resist-out' });
  });

  it('its edges are rubbed at once, then the inside is worked; whoever works on is not asked again', () => {
    expect(after({}, PINCH, OUT)).toMatchObject({ kind: 'edge' });
    const edges: Act = { kind: 'edge', minutes: 2 };
    expect(after({}, PINCH, OUT, edges)).toMatchObject({ kind: 'inside', reason: 'inside-next' });
    expect(after({}, PINCH, OUT, edges, { kind: 'inside', minutes: 3 })).toBeNull();
    expect(
      after({}, PINCH, OUT, {
        kind: 'roll',
        face: 1,
        directionDeg: 0,
        rolls: 30,
        cushion: 'mat',
        pressure: 'arms',
      }),
    ).toBeNull();
    // What was laid with the outside first is turned before that.
    const turned = { habits: { inside: 'last' } } as const;
    expect(after(turned, PINCH, OUT, edges)).toMatchObject({ kind: 'turnOut' });
    expect(after(turned, PINCH, OUT, edges, { kind: 'turnOut' })).toMatchObject({ kind: 'inside' });
  });

  it('a sheet has nothing to take out; its edges are folded in once, or trimmed and healed last', () => {
    const sheet = { form: formOf(disc), way: 'sheet' } as const;
    expect(after({ ...sheet, next: STOP }, PINCH)).toBeNull();
    const folded = { ...sheet, habits: { edges: 'folded' } } as const;
    expect(after(folded, PINCH)).toMatchObject({ kind: 'edgesIn', reason: 'edges-now' });
    expect(after(folded, PINCH, { kind: 'edgesIn' })).toBeNull();
    const trimmed = { ...sheet, habits: { edges: 'trimmed' }, next: STOP } as const;
    expect(after({ ...trimmed, next: ROLL }, PINCH)).toBeNull();
    expect(after(trimmed, PINCH)).toMatchObject({ kind: 'trim' });
    expect(after(trimmed, PINCH, { kind: 'trim' })).toMatchObject({ kind: 'edge' });
    expect(after(trimmed, PINCH, { kind: 'trim' }, { kind: 'edge', minutes: 2 })).toBeNull();
  });

  it('the needle is last only for who uses it so', () => {
    const bead = { form: formOf(ball), next: STOP } as const;
    expect(after(bead)).toBeNull();
    expect(after({ ...bead, habits: { needle: 'after' } })).toMatchObject({ kind: 'needle' });
    expect(after({ ...bead, habits: { needle: 'after' } }, { kind: 'needle', minutes: 5 })).toBeNull();
  });
});

describe('several cuts', () => {
  const FLOWER = formOf(trumpetFlower);
  const cut = (n: number): Act => ({ kind: 'open', what: 'cut', cut: n });
  const EDGE: Act = { kind: 'edge', minutes: 2 };

  it('are made one by one, each edge rubbed before the next, and then no more', () => {
    const of = { form: FLOWER, next: STOP };
    expect(FLOWER.cuts).toHaveLength(5);
    expect(after(of, PINCH)).toMatchObject({ act: 'open', what: 'cut', cut: 1, of: 5 });
    expect(after(of, PINCH, cut(1))).toMatchObject({ kind: 'edge' });
    expect(after(of, PINCH, cut(1), EDGE)).toMatchObject({ act: 'open', cut: 2 });
    const all = [1, 2, 3, 4, 5].flatMap(n => [cut(n), EDGE]);
    expect(after(of, PINCH, ...all)).not.toMatchObject({ act: 'open', what: 'cut' });
    // Whoever cut them all at once is asked for none.
    expect(after(of, PINCH, { kind: 'open', what: 'cut' }, EDGE)).not.toMatchObject({ what: 'cut' });
  });

  it('wait until it has shrunk', () => {
    expect(after({ form: FLOWER }, PINCH, measured(FLOWER, 0.5))).toBeNull();
    expect(after({ form: FLOWER }, PINCH, measured(FLOWER, 0.75))).toMatchObject({ act: 'open', cut: 1 });
  });
});

describe('holes that must fit', () => {
  const HAT = formOf(beret);
  const open: readonly Act[] = [PINCH, OUT, { kind: 'inside', minutes: 3 }];
  const end = { form: HAT, way: 'hands', next: STOP } as const;
  const hole = (H: number, F: number): Act => ({ kind: 'measure', readings: { H, F } });

  it('are measured before the end by whoever uses a tape, and stretched or drawn in until they fit', () => {
    expect(after(end, ...open)).toMatchObject({ act: 'measure', reason: 'must-fit' });
    expect(after(end, ...open, hole(500, 570))).toMatchObject({
      act: 'stretch',
      about: { gauge: { id: 'H' } },
    });
    expect(after(end, ...open, hole(540, 540))).toMatchObject({
      act: 'stretch',
      about: { gauge: { id: 'F' } },
    });
    expect(after(end, ...open, hole(600, 640))).toMatchObject({ kind: 'edge', reason: 'hole-wide' });
    expect(after(end, ...open, hole(540, 570))).toMatchObject({ kind: 'onForm' });
  });

  it('are not asked for by feel, nor in the middle of the work', () => {
    expect(after({ ...end, judge: 'feel' }, ...open)).toMatchObject({ kind: 'onForm' });
    expect(after({ ...end, next: ROLL }, ...open)).toBeNull();
  });
});
