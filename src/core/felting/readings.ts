import { FELTING } from './feltingModel';

const { blunders, blunderScale } = FELTING;
/** Heights of a sound reading and of a blunder, and half the inverse of a blunder's variance, of deviations. */
const SOUND = 1 - blunders;
const ODD = blunders / blunderScale;
const ODD_SHARP = 1 / (2 * blunderScale ** 2);

/** A reading beyond so many squared deviations is a blunder beyond doubt; further out it says no more. */
const FARTHEST = 40 ** 2;
/** From so many squared deviations on what a sound reading adds is below 1e-11. */
const SURELY = 64;
/** Into how many parts each squared deviation up to there is split; a cubic stands for the logarithm in each, right to 1e-9. */
const FINE = 16;

/** Of each part the coefficients of the cubic that has the height and the slope of the logarithm at both its ends. */
const CUBICS = ((): Float64Array => {
  const at = (square: number): readonly [height: number, slope: number] => {
    const [sound, odd] = [SOUND * Math.exp(-square / 2), ODD * Math.exp(-square * ODD_SHARP)];
    return [Math.log(sound + odd), -(sound / 2 + odd * ODD_SHARP) / (sound + odd) / FINE];
  };
  return Float64Array.from(
    Array.from({ length: SURELY * FINE }, (_, i) => {
      const [[a, m], [b, n]] = [at(i / FINE), at((i + 1) / FINE)];
      return [a, m, 3 * (b - a) - 2 * m - n, 2 * (a - b) + m + n];
    }).flat(),
  );
})();
const LOG_ODD = Math.log(ODD);

/**
 * Log-likelihood of readings, no constants: mostly sound, now and then a blunder. From a table, since it is asked for a hundred
 * thousand times for one answer.
 * @param off how many deviations each lies off
 */
export const logLikelihood = (off: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < off.length; i += 1) {
    const square = (off[i] ?? 0) ** 2;
    if (square >= SURELY) {
      sum += LOG_ODD - Math.min(FARTHEST, square) * ODD_SHARP;
      continue;
    }
    const part = Math.floor(square * FINE);
    const t = square * FINE - part;
    const c = 4 * part;
    sum +=
      (CUBICS[c] ?? 0) + t * ((CUBICS[c + 1] ?? 0) + t * ((CUBICS[c + 2] ?? 0) + t * (CUBICS[c + 3] ?? 0)));
  }
  return sum;
};

/** The chance that a reading that lies z deviations off was a blunder. */
export const blunderChance = (z: number): number => ODD / (ODD + SOUND * Math.exp(z * z * (ODD_SHARP - 0.5)));

/** How much a reading that lies z deviations off still counts, beside one that is sound beyond doubt. */
export const trust = (z: number): number => 1 - blunderChance(z) * (1 - 1 / blunderScale ** 2);
