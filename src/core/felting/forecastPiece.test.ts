import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { gaugeOf, logOf, measure, roll } from '../log/testing/logs';
import { forecastPiece, type FeltingGoal } from './forecastPiece';
import { feltingRecordOf } from './feltingRecordOf';
import { GENERAL_PRIOR, NO_WORK } from './feltingModel';
import { infer, inferenceKept } from './infer';
import { workOfAct } from '../acts/act';
import { CASES } from './testing/cases';
import { endsOf, FELTERS } from './testing/felters';
import { outlookOf, rollsLeft } from './planAhead';
import { tries } from '../numeric/testing/tries';

const GAUGES = [gaugeOf('A', 600, 420), gaugeOf('B', 450, 315)];
const FLAT = { gauges: GAUGES, isSolid: false, isFuzzy: false };
const ASKED: FeltingGoal = {
  targets: { wanted: GAUGES.map(g => Math.log(g.wantedMm / g.laidMm)), tolerance: 0.03 },
  intensity: 1,
  hasDirections: true,
  pace: 'brisk',
};
const record = (...acts: Act[]) => feltingRecordOf(logOf(...acts), FLAT, GENERAL_PRIOR);

describe('the log as the model reads it', () => {
  it('is work from measuring to measuring, and what was done since', () => {
    const f = record(
      { kind: 'wet', face: 1, water: 'hot' },
      roll(0, 50),
      roll(90, 30),
      measure(580, 440),
      roll(45, 20),
    );
    expect(f.intervals).toHaveLength(1);
    expect(f.intervals[0]?.work).toMatchObject({ directional: 80, xx: 50, free: 0 });
    expect(f.intervals[0]?.read[0]).toBeCloseTo(Math.log(580 / 600), 12);
    expect(f.since.xx).toBeCloseTo(10, 12);
    expect(f.since.xy).toBeCloseTo(10, 12);
  });

  it('warm water, a thick cushion and a guess count as such', () => {
    const f = record(
      { kind: 'wet', face: 1, water: 'warm' },
      roll(0, 100, { cushion: 'thick' }),
      { kind: 'water', water: 'hot' },
      roll(0, 100, { give: 12 }),
    );
    expect(f.since.directional).toBeCloseTo(100 * 0.8 * 0.6 + 100, 9);
    expect(f.since.guessed).toBeCloseTo(144, 9);
    expect(workOfAct({ kind: 'shock', rounds: 2 }, 'hot')?.rolls).toBe(30);
    expect(workOfAct({ kind: 'note', text: 'x' }, 'hot')).toBeNull();
  });

  it('leaves out what is no length of this piece, and a measuring with nothing in it', () => {
    expect(record(roll(0, 50), measure(0, null)).intervals).toHaveLength(0);
    expect(record(roll(0, 50), measure(1e9, 440)).intervals[0]?.read).toEqual([null, Math.log(440 / 450)]);
    expect(record(roll(0, 50), measure(null, null)).since.directional).toBe(50);
    expect(feltingRecordOf([], FLAT, GENERAL_PRIOR).intervals).toEqual([]);
  });

  it('survives a million rolls, and what was undone did not happen', () => {
    const { now } = forecastPiece(record(roll(0, 1_000_000), measure(300, 250)), ASKED);
    expect(now.every(r => Number.isFinite(r.median) && r.median > 0)).toBe(true);
    const undone = feltingRecordOf(logOf(roll(0, 50), { kind: 'undo', of: 'e1' }), FLAT, GENERAL_PRIOR);
    expect(undone.since).toEqual(NO_WORK);
  });

  it('a solid has no directions, and a laid edge that nothing marks is fuzzy', () => {
    const f = feltingRecordOf(logOf(roll(0, 50)), { ...FLAT, isSolid: true, isFuzzy: true }, GENERAL_PRIOR);
    expect(f.since).toMatchObject({ directional: 0, free: 50 });
    expect(f.startSd).toBe(0.015);
  });
});

describe('the way ahead', () => {
  it('before anything is done is general practice: some 600 rolls for 30 %, as many each way', () => {
    const said = forecastPiece(record(), ASKED);
    expect(said.left.along + said.left.across).toBeGreaterThan(350);
    expect(said.left.along + said.left.across).toBeLessThan(800);
    expect(Math.abs(said.left.along - said.left.across)).toBeLessThanOrEqual(60);
    expect(said.along.low).toBeLessThan(said.along.middle);
    expect(said.measurings).toBe(0);
    expect(said.risk).toBeLessThan(0.02);
    expect(said.withinNow).toBe(0);
  });

  it('where one way lags, more is left of it', () => {
    const said = forecastPiece(record(roll(0, 200), measure(500, 440)), ASKED);
    expect(said.left.across).toBeGreaterThan(said.left.along + 40);
    expect(said.move.kind).toBe('roll');
  });

  it('at its size it is there, and nothing is left', () => {
    const there = forecastPiece(
      record(
        roll(0, 150),
        roll(90, 150),
        measure(480, 360),
        roll(0, 100),
        roll(90, 100),
        measure(421, 315),
        measure(420, 316),
      ),
      ASKED,
    );
    expect(there.move.kind).toBe('there');
    expect(there.withinNow).toBeGreaterThan(0.9);
  });

  it('where it hardly moves any more, it is at its limit', () => {
    const stuck = forecastPiece(
      record(
        ...[520, 500, 496, 495, 495, 495].flatMap((mm): Act[] => [
          roll(0, 400),
          roll(90, 400),
          measure(mm, mm * 0.75),
        ]),
      ),
      ASKED,
    );
    expect(stuck.move.kind).toBe('limit');
  });

  it('past its size it says so', () => {
    const past = forecastPiece(
      record(roll(0, 500), roll(90, 300), measure(395, 318), measure(394, 318)),
      ASKED,
    );
    expect(past.pastNow[0]).toBeGreaterThan(0.9);
    expect(past.left.along).toBe(0);
  });

  it('comes as near as every number of rolls tried one by one', () => {
    const [one] = CASES;
    if (!one) throw new Error('no case');
    const wanted = one.targetCm.map((t, g) => Math.log(t / (one.laidCm[g] ?? 1)));
    const outlook = outlookOf({
      record: one.record,
      posterior: infer(one.record),
      targets: { wanted, tolerance: 0.03 },
      intensity: 1,
      hasDirections: true,
    });
    let least = Number.POSITIVE_INFINITY;
    for (let along = 0; along <= 300; along += 20)
      for (let across = 0; across <= 300; across += 20)
        least = Math.min(least, outlook.endingRisk({ along, across }).loss);
    expect(outlook.endingRisk(rollsLeft(outlook)).loss).toBeLessThan(1.02 * least);
  });

  it('foretells the risk of reference case C1 as long Markov chains do', () => {
    // Chances that any length ends below 97 % of its target, and that both end within 3 %: 0.186 and 0.161; 500 worlds are
    // good to about 0.02, three deviations of it are allowed. The chains knew no felt that waits, so none waits here either.
    for (const one of CASES) {
      const wanted = one.targetCm.map((t, g) => Math.log(t / (one.laidCm[g] ?? 1)));
      const two = { ...one.record, gaugesDeg: one.record.gaugesDeg.slice(0, 2), since: one.future };
      const outlook = outlookOf({
        record: two,
        posterior: infer(one.record, 3500, 0),
        targets: { wanted, tolerance: 0.03 },
        intensity: 1,
        hasDirections: true,
      });
      const { within } = outlook.endingRisk({ along: 0, across: 0 });
      expect(Math.abs(within - one.risk.pBothWithin3pct), `case ${one.id}`).toBeLessThan(0.06);
    }
  });

  it('foretells how many balanced rolls the reference cases need, as long Markov chains do', () => {
    // 125 worlds are good to about a tenth; the ends of the 80 % range, and the middle.
    for (const one of CASES) {
      const outlook = outlookOf({
        record: { ...one.record, gaugesDeg: [0] },
        posterior: infer(one.record),
        targets: { wanted: [Math.log((one.targetCm[0] ?? 1) / (one.laidCm[0] ?? 1))], tolerance: 0.03 },
        intensity: 1,
        hasDirections: true,
      });
      const rolls = outlook.timesNeeded({ along: 100, across: 100 }).map(times => 200 * times);
      for (const [share, at] of [
        [0.1, 1],
        [0.5, 2],
        [0.9, 3],
      ] as const) {
        const found = rolls[Math.floor(share * rolls.length)] ?? 0;
        expect(found / (one.rollsToTarget[at] ?? 1), `case ${one.id}, ${share}`).toBeGreaterThan(0.8);
        expect(found / (one.rollsToTarget[at] ?? 1), `case ${one.id}, ${share}`).toBeLessThan(1.2);
      }
    }
  });

  it('a length from a picture counts by how sure it is: a vague one says less than a tape, a sharp one as much', () => {
    const lengths = { A: 500, B: 400 };
    const spreadOf = (within?: Record<string, number>): number => {
      const said = forecastPiece(
        record(roll(0, 150), roll(90, 150), {
          kind: 'measure',
          readings: lengths,
          ...(within ? { within } : {}),
        }),
        ASKED,
      );
      return said.now[0]?.sd ?? Number.NaN;
    };
    const tape = spreadOf();
    expect(spreadOf({ A: 0.5, B: 0.4 }) / tape).toBeCloseTo(1, 1);
    expect(spreadOf({ A: 45, B: 36 })).toBeGreaterThan(1.3 * tape);
    const { intervals } = record(roll(0, 10), { kind: 'measure', readings: lengths, within: { A: 10 } });
    expect(intervals[0]?.own).toEqual([0.01, null]);
  });

  it('a solid has one way only', () => {
    const ball = { gauges: [gaugeOf('A', 60, 42)], isSolid: true, isFuzzy: false };
    const said = forecastPiece(
      feltingRecordOf(logOf(roll(0, 100), { kind: 'measure', readings: { A: 56 } }), ball, GENERAL_PRIOR),
      {
        ...ASKED,
        targets: { wanted: [Math.log(42 / 60)], tolerance: 0.03 },
        hasDirections: false,
      },
    );
    expect(said.left.across).toBe(0);
    expect(said.left.along).toBeGreaterThan(0);
  });

  // A small fast version of `npm run calibrate`: bounds are wide for so few pieces.
  it('brings made-up pieces to their size where the usual ways do not', () => {
    const by = endsOf(FELTERS['by the advice, brisk'], tries(3, 14), 11);
    const half = endsOf(FELTERS['half and half, measured every 200'], 100, 11);
    const set = endsOf(FELTERS['each set of 50 measured, no model'], 100, 11);
    expect(by.within).toBeGreaterThan(0.7);
    expect(half.within).toBeLessThan(0.25);
    expect(set.within).toBeLessThan(0.6);
    expect(by.measurings).toBeLessThan(set.measurings);
  }, 180_000);

  it('and by the drawing, a look each way', () => {
    const drawn = endsOf(FELTERS['by the advice, a look each way (±5 %)'], tries(2, 14), 11);
    expect(drawn.within).toBeGreaterThan(0.6);
  }, 180_000);
});

describe('the way ahead on the curve', () => {
  const said = forecastPiece(record(roll(0, 100), roll(90, 100), measure(560, 420)), ASKED);

  it('goes on from where the piece is now to where it should finish, shrinking all the way', () => {
    const shares = said.ahead.map(p => p.share.median);
    expect(said.ahead.map(p => p.work)[0]).toBe(0);
    expect(said.ahead.at(-1)?.work).toBeCloseTo(said.left.along + said.left.across, 6);
    expect(shares).toEqual(shares.toSorted((a, b) => b - a));
    const ended = said.ended.reduce((sum, r) => sum + r.mean, 0) / said.ended.length;
    expect(said.ahead.at(-1)?.share.mean).toBeCloseTo(ended, 6);
    for (const { share } of said.ahead) expect(share.low80).toBeLessThan(share.high80);
  });

  it('ends where nothing is left to roll', () => {
    expect(forecastPiece(record(roll(0, 900), roll(90, 900), measure(300, 225)), ASKED).ahead).toEqual([]);
  });

  it('is worked out once while nothing is measured, and anew after', () => {
    const keep = inferenceKept();
    const before = record(roll(0, 50), measure(580, 440));
    const first = keep(before);
    expect(keep(record(roll(0, 50), measure(580, 440), roll(0, 30)))).toBe(first);
    const after = keep(record(roll(0, 50), measure(580, 440), roll(0, 30), measure(560, 430)));
    expect(after).not.toBe(first);
    expect(after).toEqual(infer(record(roll(0, 50), measure(580, 440), roll(0, 30), measure(560, 430))));
  });
});
