import { type Random, seeded } from '../../numeric/random';
import { addWork, GENERAL_PRIOR, NO_WORK, type FeltingWork } from '../feltingModel';
import { forecastPiece } from '../forecastPiece';
import type { MoveSize } from '../nextMove';
import type { FeltingRecord } from '../likelihood';
import { lookSeen } from '../eye';
import { type SimulatedPiece, simulatedPiece } from '../simulatedPiece';

/** How made-up pieces end under a way of working. */
export interface Ends {
  /** Every gauge within the tolerance. */
  readonly within: number;
  /** Some gauge below it. */
  readonly overshot: number;
  readonly measurings: number;
  readonly rolls: number;
}

const TOLERANCE = 0.03;
/** What the drawing is held to: no tape is laid on. */
const BY_DRAWING = 0.05;
const GAUGES = [0, 90];
const MOST_MEASURINGS = 40;
/** A piece is asked to shrink no further than it can, with a little to spare. */
const TO_SPARE = 0.06;

interface Asked {
  readonly random: Random;
  readonly piece: SimulatedPiece;
  readonly wanted: readonly number[];
}
interface Done {
  readonly rolls: number;
  readonly measurings: number;
}

/** A way of working a piece until it is left. */
type Felter = (asked: Asked) => Done;

const rolled = (along: number, across: number): FeltingWork =>
  addWork(addWork(NO_WORK, along, 0), across, 90);

/** Follows the advice from measuring to measuring. */
const pieceForecast =
  (pace: MoveSize): Felter =>
  ({ piece, wanted }) => {
    const intervals: FeltingRecord['intervals'][number][] = [];
    let rolls = 0;
    let since = NO_WORK;
    for (let n = 0; n < MOST_MEASURINGS; n += 1) {
      const record: FeltingRecord = {
        gaugesDeg: GAUGES,
        intervals,
        since: NO_WORK,
        belief: GENERAL_PRIOR,
        startSd: 0,
      };
      const { move } = forecastPiece(record, {
        targets: { wanted, tolerance: TOLERANCE },
        intensity: 1,
        hasDirections: true,
        pace,
      });
      if (move.kind !== 'roll' && move.kind !== 'measure') return { rolls, measurings: n };
      since = NO_WORK;
      if (move.kind === 'roll') {
        since = rolled(move.rolls.along, move.rolls.across);
        rolls += move.rolls.along + move.rolls.across;
        piece.work(since);
      }
      intervals.push({ work: since, read: piece.measure() });
    }
    return { rolls, measurings: MOST_MEASURINGS };
  };

/** Follows the advice by the drawing alone, never a tape: one look all round, or one each way. */
const byTheDrawing =
  (looks: 'all round' | 'each way'): Felter =>
  ({ piece, wanted, random }) => {
    const intervals: FeltingRecord['intervals'][number][] = [];
    const look = (work: FeltingWork, of: readonly number[]): void => {
      const within = lookSeen(piece.truth(), { wanted, lines: of, random });
      intervals.push({ work, read: GAUGES.map(() => null), within });
    };
    let rolls = 0;
    for (let n = 0; n < MOST_MEASURINGS; n += 1) {
      const record = { gaugesDeg: GAUGES, intervals, since: NO_WORK, belief: GENERAL_PRIOR, startSd: 0 };
      const { move } = forecastPiece(record, {
        targets: { wanted, tolerance: BY_DRAWING },
        intensity: 1,
        hasDirections: true,
        pace: 'brisk',
      });
      if (move.kind !== 'roll' && move.kind !== 'measure') return { rolls, measurings: n };
      const work = move.kind === 'roll' ? rolled(move.rolls.along, move.rolls.across) : NO_WORK;
      rolls += work.directional;
      if (work.directional > 0) piece.work(work);
      piece.measure();
      if (looks === 'all round') look(work, [0, 1]);
      else {
        look(work, [0]);
        look(NO_WORK, [1]);
      }
    }
    return { rolls, measurings: MOST_MEASURINGS };
  };
const byDrawing = { allRound: byTheDrawing('all round'), eachWay: byTheDrawing('each way') } as const;
const DRAWERS: ReadonlySet<Felter> = new Set(Object.values(byDrawing));

/** Half along and half across, measured every 200, until the mean of the readings is there. */
const alternating: Felter = ({ piece, wanted }) => {
  let rolls = 0;
  for (let n = 1; n <= MOST_MEASURINGS; n += 1) {
    piece.work(rolled(100, 100));
    rolls += 200;
    const off = piece.measure().map((v, g) => v - (wanted[g] ?? 0));
    if (off.reduce((a, b) => a + b, 0) <= 0) return { rolls, measurings: n };
  }
  return { rolls, measurings: MOST_MEASURINGS };
};

/** Measures after each set of 50 and rolls the way that is further from its size, until both read no more than it. */
const carefulOne: Felter = ({ piece, wanted }) => {
  let rolls = 0;
  let off = [...piece.measure()].map((v, g) => v - (wanted[g] ?? 0));
  for (let n = 1; n <= 2 * MOST_MEASURINGS; n += 1) {
    const [along = 0, across = 0] = off;
    if (along <= 0 && across <= 0) return { rolls, measurings: n };
    piece.work(along >= across ? rolled(50, 0) : rolled(0, 50));
    rolls += 50;
    off = piece.measure().map((v, g) => v - (wanted[g] ?? 0));
  }
  return { rolls, measurings: 2 * MOST_MEASURINGS };
};

export const FELTERS = {
  'by the advice, careful': pieceForecast('careful'),
  'by the advice, brisk': pieceForecast('brisk'),
  'by the advice, one look at the drawing (±5 %)': byDrawing.allRound,
  'by the advice, a look each way (±5 %)': byDrawing.eachWay,
  'half and half, measured every 200': alternating,
  'each set of 50 measured, no model': carefulOne,
} as const satisfies Readonly<Record<string, Felter>>;

/** Makes up pieces that are to shrink 24–38 % each way, independently, lets a felter work them, and looks at how they truly end. */
export const endsOf = (felter: Felter, pieces: number, seed = 5): Ends => {
  const tolerance = DRAWERS.has(felter) ? BY_DRAWING : TOLERANCE;
  let [within, overshot, measurings, rolls, made] = [0, 0, 0, 0, 0];
  for (let n = 0; made < pieces; n += 1) {
    const random = seeded(seed * 100_003 + n);
    const piece = simulatedPiece(random, GAUGES);
    const wanted = GAUGES.map(() => Math.log(1 - (0.24 + 0.14 * random())));
    if (Math.max(...wanted.map(w => -w)) > piece.parameters.limit - TO_SPARE) continue;
    made += 1;
    const done = felter({ piece, wanted, random });
    const off = piece.truth().map((v, g) => Math.exp(v - (wanted[g] ?? 0)) - 1);
    within += off.every(v => Math.abs(v) <= tolerance) ? 1 : 0;
    overshot += off.some(v => v < -tolerance) ? 1 : 0;
    measurings += done.measurings;
    rolls += done.rolls;
  }
  return {
    within: within / pieces,
    overshot: overshot / pieces,
    measurings: measurings / pieces,
    rolls: rolls / pieces,
  };
};
