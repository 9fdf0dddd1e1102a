import { normal, seeded } from '../../numeric/random';
import { addWork, balancedWork, GENERAL_PRIOR, guessedWork, NO_WORK, sumWork } from '../feltingModel';
import { BY_FEEL } from '../../acts/byFeel';
import type { Judge } from '../../acts/vocabulary';
import { rangeOf, sharesAfter } from '../predict';
import { infer } from '../infer';
import type { FeltingRecord } from '../likelihood';
import { lookSeen } from '../eye';
import { type Oddity, simulatedPiece } from '../simulatedPiece';

/** How often a range held what came. */
export interface Coverage {
  readonly in80: number;
  readonly in95: number;
  readonly forecasts: number;
  /** Median time of an update, ms. */
  readonly ms: number;
}

/** Rolls between measurings, and after how many measurings a forecast is tried. */
const EVERY = 100;
const AFTER = [2, 4, 6];
const AHEAD = 150;

/**
 * Makes up pieces, measures them as a felter would, foretells each some way ahead, and counts how often the truth lay within.
 * @param startSd what the model takes for the deviation of a start
 */
export const coverageOf = (of: {
  readonly pieces: number;
  readonly odd: Oddity;
  readonly startSd?: number;
  readonly seed?: number;
  readonly points?: number;
  /** How it is followed: with a tape, by a look each way at the drawing, or by feel, where every amount is a guess and nothing is read. */
  readonly judge?: Judge;
}): Coverage => {
  const { pieces, odd, startSd = 0, judge = 'tape' } = of;
  const gaugesDeg = [0, 90];
  let [in80, in95, forecasts] = [0, 0, 0];
  const times: number[] = [];
  for (let n = 0; n < pieces; n += 1) {
    const random = seeded((of.seed ?? 1) * 100_003 + n);
    const piece = simulatedPiece(random, gaugesDeg, { odd });
    const intervals: FeltingRecord['intervals'][number][] = [];
    const wanted = gaugesDeg.map(() => Math.log(1 - (0.24 + 0.14 * random())));
    let since = NO_WORK;
    for (let k = 1; k <= Math.max(...AFTER); k += 1) {
      const rubs = k === 1 ? addWork(NO_WORK, 20, null) : NO_WORK;
      const along = EVERY * (0.3 + 0.4 * random());
      const work = addWork(addWork(rubs, along, 0), EVERY - along, 90);
      if (judge === 'feel') {
        // Logged as the usual amount; done was more or less of it.
        const factor = Math.exp(BY_FEEL * normal(random));
        piece.work(addWork(addWork(rubs, along * factor, 0), (EVERY - along) * factor, 90));
        since = guessedWork(
          addWork(addWork(sumWork(since, rubs), along, 0), EVERY - along, 90),
          BY_FEEL * EVERY,
        );
      } else piece.work(work);
      const read = piece.measure();
      if (judge === 'tape') intervals.push({ work, read });
      if (judge === 'drawing')
        gaugesDeg.forEach((_, g) => {
          const within = lookSeen(piece.truth(), { wanted, lines: [g], random });
          intervals.push({ work: g === 0 ? work : NO_WORK, read: gaugesDeg.map(() => null), within });
        });
      if (!AFTER.includes(k)) continue;
      const record: FeltingRecord = { gaugesDeg, intervals, since, belief: GENERAL_PRIOR, startSd };
      const start = performance.now();
      const posterior = infer(record, of.points);
      times.push(performance.now() - start);
      const ahead = sharesAfter(record, posterior, balancedWork(AHEAD)).map(v =>
        rangeOf(v, posterior.weights),
      );
      // What comes is tried on a copy of the hands: the piece goes on as it was.
      const truth = piece.predicted(balancedWork(AHEAD));
      ahead.forEach((range, g) => {
        const came = Math.exp(truth[g] ?? 0);
        forecasts += 1;
        in80 += came >= range.low80 && came <= range.high80 ? 1 : 0;
        in95 += came >= range.low95 && came <= range.high95 ? 1 : 0;
      });
    }
  }
  return {
    in80: in80 / forecasts,
    in95: in95 / forecasts,
    forecasts,
    ms: times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0,
  };
};
