import { wayOf } from '../ways/register';
import { describe, expect, it } from 'vitest';
import { modelAct, restOfMove } from './modelAct';
import { benchState } from '../log/benchState';
import type { Act } from '../acts/act';
import { progressForecast } from '../forecast/progressForecast';
import { gaugeOf, logOf, measure, roll } from '../log/testing/logs';
import { forecastPiece, type PieceForecast, type FeltingGoal } from '../felting/forecastPiece';
import { feltingRecordOf } from '../felting/feltingRecordOf';
import { addWork, balancedWork, GENERAL_PRIOR, NO_WORK } from '../felting/feltingModel';

const GAUGES = [gaugeOf('A', 600, 420), gaugeOf('B', 450, 315)];
const FLAT = { gauges: GAUGES, isSolid: false, isFuzzy: false };
const ASKED: FeltingGoal = {
  targets: { wanted: GAUGES.map(g => Math.log(g.wantedMm / g.laidMm)), tolerance: 0.03 },
  intensity: 1,
  hasDirections: true,
  pace: 'brisk',
};
const record = (...acts: Act[]) => feltingRecordOf(logOf(...acts), FLAT, GENERAL_PRIOR);

const BUNDLE = wayOf({}, { outlineIs: 'resist', solid: null }, 'bundle');
const NO_RANGE = { mean: 0, sd: 0, low95: 0, low80: 0, median: 0, high80: 0, high95: 0 };

describe('the next act of the model', () => {
  const gaugeProgress = progressForecast(
    GAUGES,
    benchState(logOf(roll(0, 10), measure(500, 400))),
  ).gaugeProgress;
  const pieceForecast = (move: PieceForecast['move'], more: Partial<PieceForecast> = {}): PieceForecast => ({
    move,
    ahead: [],
    measurings: 1,
    risk: 0,
    looks: 0,
    pastNow: [0, 0],
    left: { along: 0, across: 0 },
    along: { low: 0, middle: 0, high: 0 },
    across: { low: 0, middle: 0, high: 0 },
    withinNow: 0,
    withinThen: 0,
    now: [],
    ended: [],
    doubts: [],
    felt: { most: NO_RANGE, halfRolls: NO_RANGE },
    effective: 1000,
    ...more,
  });
  const act = (
    move: PieceForecast['move'],
    of: { since?: typeof NO_WORK; log?: Act[]; more?: Partial<PieceForecast> } = {},
  ) =>
    modelAct(
      benchState(logOf(...(of.log ?? []))),
      {
        pieceForecast: pieceForecast(move, of.more),
        intensity: 1,
        perUnit: 1,
        since: of.since ?? NO_WORK,
        hasDirections: true,
        learntFrom: { ownShare: 0, pieces: 0 },
      },
      {
        gaugeProgress,
        worked: { faces: [1, 2], setOfRolls: 30 },
        test: 'pinch',
        way: BUNDLE,
        shrink: BUNDLE.shrink,
      },
    );
  const MOVE = { kind: 'roll', rolls: { along: 40, across: 60 } } as const;

  it('rolls the larger part first, in sets, on the face that had less', () => {
    expect(act(MOVE)).toMatchObject({ act: 'roll', directionDeg: 90, rolls: 30, face: 1 });
    expect(act(MOVE, { log: [roll(90, 30)], since: addWork(NO_WORK, 30, 90) })).toMatchObject({
      directionDeg: 0,
      rolls: 30,
    });
    expect(act(MOVE, { log: [roll(90, 30)], since: addWork(addWork(NO_WORK, 30, 90), 20, 0) })).toMatchObject(
      {
        directionDeg: 90,
        rolls: 30,
        face: 2,
      },
    );
  });

  it('once the move is done, measures', () => {
    expect(act(MOVE, { since: addWork(addWork(NO_WORK, 60, 90), 40, 0) })).toMatchObject({ act: 'measure' });
    expect(restOfMove(MOVE.rolls, { since: balancedWork(60), intensity: 1, hasDirections: true })).toEqual({
      along: 10,
      across: 30,
    });
    expect(
      restOfMove(MOVE.rolls, { since: addWork(NO_WORK, 25, null), intensity: 1, hasDirections: false }),
    ).toEqual({
      along: 75,
      across: 0,
    });
  });

  it('a last reading that does not fit is taken once more, twice at most, and only before more is done', () => {
    const doubts = [{ interval: 0, gauge: 1, chance: 0.9 }];
    expect(act(MOVE, { more: { doubts } })).toMatchObject({
      act: 'measure',
      reason: 'does-not-fit',
      about: { gauge: { id: 'B' } },
    });
    expect(act(MOVE, { more: { doubts, looks: 2 } }).act).toBe('roll');
    expect(act(MOVE, { more: { doubts }, since: addWork(NO_WORK, 10, 0) }).act).toBe('roll');
    expect(act(MOVE, { more: { doubts, measurings: 3 } }).act).toBe('roll');
  });

  it('a leap that is measured twice is believed', () => {
    const before = [roll(0, 150), roll(90, 150), measure(500, 375)];
    const once = forecastPiece(record(...before, roll(0, 30), measure(420, 372)), ASKED);
    expect(once.doubts.at(-2)?.chance).toBeGreaterThan(0.5);
    const twice = forecastPiece(record(...before, roll(0, 30), measure(420, 372), measure(421, 372)), ASKED);
    expect(twice.doubts.at(-2)?.chance).toBeLessThan(0.5);
    expect(twice.now[0]?.median).toBeCloseTo(420 / 600, 1);
  });

  it('at its size tests it, firms it, and stops; past it, it is stretched', () => {
    const pinch = (grade: 2 | 3): Act => ({ kind: 'pinch', grade });
    expect(act({ kind: 'there' })).toMatchObject({ act: 'pinch' });
    expect(act({ kind: 'there' }, { log: [pinch(2)] })).toMatchObject({ act: 'throw' });
    expect(act({ kind: 'there' }, { log: [pinch(3)] })).toMatchObject({
      act: 'stop',
      reason: 'size-and-firm',
    });
    expect(
      act(
        { kind: 'there' },
        { log: [{ kind: 'throw', count: 12 }, pinch(3)], since: addWork(NO_WORK, 18, null) },
      ),
    ).toMatchObject({ act: 'measure', reason: 'nearly-there' });
    expect(act({ kind: 'limit' }, { log: [pinch(3)] })).toMatchObject({
      act: 'stop',
      reason: 'at-its-limit',
    });
    expect(act({ kind: 'best' }, { log: [pinch(3)] })).toMatchObject({ reason: 'as-near-as-it-gets' });
    expect(act({ kind: 'measure' })).toMatchObject({ act: 'measure', reason: 'look-again' });
    expect(act({ kind: 'best' }, { more: { pastNow: [0.9, 0] } })).toMatchObject({ act: 'stretch' });
  });
});
