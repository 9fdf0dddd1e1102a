import { describe, expect, it } from 'vitest';
import { benchState } from '../log/benchState';
import type { Act } from '../acts/act';
import { meanProgress, nowShare } from '../forecast/progressNow';
import { stageOf } from '../log/stageOf';
import { progressForecast, progressOf } from '../forecast/progressForecast';
import { gaugeOf, logOf, measure, roll } from '../log/testing/logs';
import type { ProposedAct } from './proposedAct';
import { wayOf } from '../ways/register';
import { nextAct } from './nextAct';

const GAUGES = [gaugeOf('A', 600, 400), gaugeOf('B', 450, 300)];

const BUNDLE = wayOf({}, { outlineIs: 'resist', solid: null }, 'bundle');

const LAID = [
  { x: 0, y: -200 },
  { x: 600, y: -200 },
  { x: 600, y: 250 },
  { x: 0, y: 250 },
];
const FLAT = { laid: { points: LAID, open: [] }, solid: null, outlineIs: 'layout' } as const;

const BEGUN: readonly Act[] = [
  { kind: 'wet', face: 1, water: 'hot' },
  { kind: 'wet', face: 2, water: 'hot' },
  { kind: 'rub', face: 1, count: 40 },
  { kind: 'rub', face: 2, count: 40 },
  { kind: 'pinch', grade: 2 },
];
const advise = (...acts: Act[]): ProposedAct => {
  const state = benchState(logOf(...acts));
  return nextAct(state, progressForecast(GAUGES, state), {
    faces: [1, 2],
    setOfRolls: 30,
    form: FLAT,
    way: BUNDLE,
  });
};

describe('progress', () => {
  it('is nothing at the laid length, one at the wanted one, half at their geometric mean', () => {
    const at = (nowMm: number): number => progressOf({ laidMm: 600, nowMm, wantedMm: 400 });
    expect(at(600)).toBe(0);
    expect(at(400)).toBeCloseTo(1, 12);
    expect(at(Math.sqrt(600 * 400))).toBeCloseTo(0.5, 12);
    expect(at(380)).toBeGreaterThan(1);
  });

  it('says which direction is behind, once they differ enough', () => {
    const at = (...acts: Act[]) => progressForecast(GAUGES, benchState(logOf(...acts)));
    expect(at(measure(500, 375)).lopsided).toBeNull();
    expect(at(measure(480, 420)).lopsided?.behind.gauge.id).toBe('B');
    expect(at(measure(480, null)).gaugeProgress.map(s => s.measured)).toEqual([true, false]);
    expect(nowShare(at(measure(480, null)))).toBeNull();
    expect(nowShare(at(measure(480, 360)))).toEqual({ along: 0.8, across: 0.8 });
    expect(meanProgress(at())).toBeNull();
  });

  it('a piece is planned, then on the bench, then in the record', () => {
    expect(stageOf([], null)).toBe('planned');
    expect(stageOf(logOf(roll(0, 10)), null)).toBe('bench');
    const dries = { kind: 'finish', step: 'dry', how: 'begun', air: 'room' } as const;
    expect(stageOf(logOf(roll(0, 10), dries), null)).toBe('drying');
    expect(stageOf(logOf(dries, roll(0, 10)), null)).toBe('bench');
    expect(stageOf([], '2026-03-01T10:00:00Z')).toBe('finished');
  });
});

describe('the next act follows the order of the work', () => {
  it('wet each face, rub each, then test the skin', () => {
    expect(advise()).toMatchObject({ act: 'wet', face: 1 });
    expect(advise(...BEGUN.slice(0, 1))).toMatchObject({ act: 'wet', face: 2 });
    expect(advise(...BEGUN.slice(0, 2))).toMatchObject({ act: 'rub', face: 1 });
    expect(advise(...BEGUN.slice(0, 3))).toMatchObject({ act: 'rub', face: 2 });
    expect(advise(...BEGUN.slice(0, 4))).toMatchObject({ act: 'pinch' });
  });

  it('rubs on, and tests again, while the skin does not hold', () => {
    const weak: Act = { kind: 'pinch', grade: 1 };
    expect(advise(...BEGUN.slice(0, 4), weak)).toMatchObject({ act: 'rub' });
    expect(advise(...BEGUN.slice(0, 4), weak, { kind: 'rub', face: 1, count: 40 })).toMatchObject({
      act: 'pinch',
    });
  });

  it('rolls what has had the least work: each direction on each face in turn', () => {
    const acts: Act[] = [...BEGUN];
    const seen: string[] = [];
    for (let i = 0; i < 4; i += 1) {
      const next = advise(...acts);
      if (next.act !== 'roll') throw new Error(`expected rolling, got ${next.act}`);
      seen.push(`${next.directionDeg}/${next.face}`);
      acts.push(roll(next.directionDeg === 90 ? 90 : 0, next.rolls, { face: next.face }));
    }
    expect(seen.toSorted()).toEqual(['0/1', '0/2', '90/1', '90/2']);
  });

  it('asks for a measuring after 200 rolls, and sooner near the end', () => {
    expect(advise(...BEGUN, roll(0, 100), roll(90, 100))).toMatchObject({
      act: 'measure',
      reason: 'measure-due',
    });
    expect(advise(...BEGUN, roll(0, 100), measure(430, 322), roll(0, 30), roll(90, 30))).toMatchObject({
      act: 'measure',
    });
    expect(advise(...BEGUN, roll(0, 100), measure(560, 420), roll(0, 30), roll(90, 30))).toMatchObject({
      act: 'roll',
    });
  });

  it('rolls only the lagging way when it is lopsided', () => {
    const next = advise(...BEGUN, roll(0, 200), measure(480, 430));
    expect(next).toMatchObject({ act: 'roll', directionDeg: 90, reason: 'direction-lags' });
    expect(next.about?.gauge.id).toBe('B');
  });

  it('does not roll a direction that has arrived', () => {
    expect(advise(...BEGUN, roll(90, 100), measure(402, 318))).toMatchObject({
      act: 'roll',
      directionDeg: 90,
    });
  });

  it('at size but soft: throw, measure, test; at size and firm: stop', () => {
    const there = measure(405, 303);
    expect(advise(...BEGUN, roll(0, 100), there)).toMatchObject({ act: 'pinch' });
    expect(advise(...BEGUN, roll(0, 100), there, { kind: 'pinch', grade: 2 })).toMatchObject({
      act: 'throw',
      reason: 'size-reached-soft',
    });
    expect(advise(...BEGUN, roll(0, 100), there, { kind: 'pinch', grade: 3 })).toMatchObject({ act: 'stop' });
  });

  it('measures after throwing, before it says to stop', () => {
    const there = measure(405, 303);
    const thrown: Act = { kind: 'throw', count: 12 };
    const firm: Act = { kind: 'pinch', grade: 3 };
    const soft: Act = { kind: 'pinch', grade: 2 };
    const start = [...BEGUN, roll(0, 100), there, soft, thrown];
    expect(advise(...start)).toMatchObject({ act: 'pinch' });
    expect(advise(...start, soft)).toMatchObject({ act: 'throw' });
    expect(advise(...start, soft, thrown)).toMatchObject({ act: 'measure' });
    expect(advise(...start, firm)).toMatchObject({ act: 'measure' });
    expect(advise(...start, firm, measure(400, 298))).toMatchObject({ act: 'stop' });
    expect(advise(...start, firm, measure(380, 298))).toMatchObject({ act: 'stretch' });
  });

  it('never says to roll a direction that is too small already', () => {
    let rolled = 0;
    const lengths = [370, 380, 390, 400, 411, 414, 430, 470, 520, 600];
    for (const A of lengths)
      for (const B of lengths.map(v => v * 0.75))
        for (const since of [[], [roll(0, 20)], [roll(90, 20)]]) {
          const next = advise(...BEGUN, roll(0, 100), measure(A, B), ...since);
          if (next.act !== 'roll') continue;
          rolled += 1;
          const [now, wanted] = next.directionDeg === 0 ? [A, 400] : [B, 300];
          expect(now).toBeGreaterThan(wanted * 0.97);
        }
    expect(rolled).toBeGreaterThan(100);
  });

  it('proposes the felter’s own set, and a short one near the end', () => {
    const state = benchState(logOf(...BEGUN, roll(0, 60), roll(90, 60), measure(500, 375)));
    const forecast = progressForecast(GAUGES, state);
    expect(nextAct(state, forecast, { faces: [1], setOfRolls: 50, form: FLAT, way: BUNDLE })).toMatchObject({
      act: 'roll',
      rolls: 50,
    });
    const near = benchState(logOf(...BEGUN, roll(0, 60), roll(90, 60), measure(413, 310)));
    const close = progressForecast(GAUGES, near);
    expect(nextAct(near, close, { faces: [1], setOfRolls: 50, form: FLAT, way: BUNDLE })).toMatchObject({
      rolls: 10,
    });
    expect(nextAct(near, close, { faces: [1], setOfRolls: 5, form: FLAT, way: BUNDLE })).toMatchObject({
      rolls: 5,
    });
  });

  it('past the target: stretch at once, and no more rolling is proposed', () => {
    expect(advise(...BEGUN, roll(0, 300), measure(380, 300))).toMatchObject({
      act: 'stretch',
      reason: 'too-small',
    });
  });

  const seen = (fault: string, x: number, y: number): Act => ({ kind: 'fault', fault, at: { x, y } });

  it('a corner that lags is rolled on its own diagonal, a little, and then looked at', () => {
    const base = [...BEGUN, roll(0, 50), roll(90, 50)];
    // The middle of what was laid is at 300, 25.
    for (const [x, y, directionDeg] of [
      [590, 240, 45],
      [10, -190, 45],
      [590, -190, 135],
      [10, 240, 135],
    ] as const) {
      const next = advise(...base, seen('corner', x, y));
      expect(next).toMatchObject({ act: 'roll', directionDeg, rolls: 20, reason: 'corner-lags' });
      const rolled: Act = roll(directionDeg, 12);
      expect(advise(...base, seen('corner', x, y), rolled)).toMatchObject({ directionDeg, rolls: 8 });
      expect(advise(...base, seen('corner', x, y), rolled, rolled)).toMatchObject({ reason: 'least-worked' });
      // Diagonals rolled before it was seen do not count.
      expect(advise(...base, rolled, rolled, seen('corner', x, y))).toMatchObject({ rolls: 20 });
    }
    expect(advise(...base, { kind: 'fault', fault: 'corner', at: null })).toMatchObject({
      reason: 'least-worked',
    });
    const log = [...base, seen('corner', 590, 240)];
    expect(advise(...log, { kind: 'mended', of: `e${log.length}` })).toMatchObject({
      reason: 'least-worked',
    });
  });

  it('a thin spot is rubbed before it is rolled on; both come after what is more pressing', () => {
    const base = [...BEGUN, roll(0, 50), roll(90, 50), seen('corner', 590, 240), seen('thin', 10, 10)];
    const rub = (count: number): Act => ({ kind: 'rub', face: 1, count });
    const diagonal: Act = roll(45, 20);
    expect(advise(...base, diagonal)).toMatchObject({ act: 'rub', count: 40, reason: 'thin-to-mend' });
    expect(advise(...base, diagonal, rub(25))).toMatchObject({ act: 'rub', count: 15 });
    expect(advise(...base, diagonal, rub(25), rub(15))).toMatchObject({ reason: 'least-worked' });
    expect(advise(...base, roll(0, 50), roll(90, 50))).toMatchObject({ act: 'measure' });
  });

  it('says firm by the test that belongs to the form: a ball is squeezed, cloth is looked at from its back', () => {
    const there = [...BEGUN, roll(0, 100), measure(405, 303)];
    const ask = (form: Parameters<typeof nextAct>[2]['form'], ...acts: Act[]): ProposedAct => {
      const state = benchState(logOf(...there, ...acts));
      return nextAct(state, progressForecast(GAUGES, state), {
        faces: [1, 2],
        setOfRolls: 30,
        form,
        way: wayOf({}, form, null),
      });
    };
    const test = (name: 'squeeze' | 'cloth', grade: number): Act => ({ kind: 'test', test: name, grade });
    const nuno = { ...FLAT, outlineIs: 'cloth' } as const;
    const firm: Act = { kind: 'pinch', grade: 3 };
    expect(ask(nuno, firm)).toEqual({ act: 'test', test: 'cloth', reason: 'nearly-there' });
    expect(ask(nuno, test('cloth', 1))).toMatchObject({ act: 'throw', reason: 'size-reached-soft' });
    expect(ask(nuno, test('cloth', 2))).toMatchObject({ act: 'stop' });
    const ball = { ...FLAT, solid: { areaMm2: 1 } } as unknown as typeof FLAT;
    expect(ask(ball)).toMatchObject({ act: 'test', test: 'squeeze' });
    expect(ask(ball, test('squeeze', 2))).toEqual({ act: 'shock', count: 1, reason: 'soft-inside' });
    // Worked again, it is tested again.
    expect(ask(ball, test('squeeze', 2), { kind: 'shock', rounds: 1 })).toMatchObject({ act: 'test' });
    expect(ask(ball, test('squeeze', 3))).toMatchObject({ act: 'stop' });
  });
});

describe('wool on cloth', () => {
  const CLOTH = wayOf({}, { outlineIs: 'cloth', solid: null }, 'cloth');
  const WET: Act = { kind: 'wet', face: 1, water: 'hot' };
  const rubbed = (face: number): Act => ({ kind: 'rub', face, count: 40 });
  const back = (grade: number): Act => ({ kind: 'test', test: 'cloth', grade });
  const next = (...acts: Act[]): ProposedAct => {
    const state = benchState(logOf(...acts));
    const form = { ...FLAT, outlineIs: 'cloth' } as const;
    return nextAct(state, progressForecast(GAUGES, state), {
      faces: [1],
      legs: [1, 2],
      setOfRolls: 30,
      form,
      way: CLOTH,
    });
  };

  it('is rubbed until hairs stand through its back, then from the back too, then rolled each way up', () => {
    expect(next(WET, rubbed(1))).toMatchObject({ act: 'test', test: 'cloth' });
    expect(next(WET, rubbed(1), back(0))).toMatchObject({ act: 'rub', face: 1, reason: 'no-skin-yet' });
    expect(next(WET, rubbed(1), back(1))).toMatchObject({ act: 'rub', face: 2, reason: 'hairs-through' });
    const through = [WET, rubbed(1), back(1), rubbed(2)];
    expect(next(...through)).toMatchObject({ act: 'roll', face: 1 });
    expect(next(...through, roll(0, 30), roll(90, 30))).toMatchObject({ act: 'roll', face: 2 });
    // Whoever rolled already is not sent back.
    expect(next(WET, rubbed(1), back(1), roll(0, 30))).toMatchObject({ act: 'roll' });
  });
});
