import { normal, type Random } from '../numeric/random';

/** A simulated kitchen scale: it settles, trembles and drifts as a real one does, and says lines of text. */
export interface SimulatedScale {
  /** What lies on it, g, the bowl included. */
  readonly put: (grams: number) => void;
  readonly load: () => number;
  /** Lets time pass and says a line. */
  readonly after: (ms: number) => string;
}

/** It comes within a third of the way to its load in this time. */
const SETTLES_MS = 350;
const TREMBLE_G = 0.02;
const DRIFT_G_PER_S = 0.004;

/**
 * @param of.stepG what it reads to, g, > 0  @param of.random seeded
 * @example simulatedScale({ stepG: 0.1, random: seeded(1) }).after(5000) // 'ST +   0.0 g'
 */
export const simulatedScale = (of: { readonly stepG: number; readonly random: Random }): SimulatedScale => {
  let [load, shown, drift] = [0, 0, 0];
  const places = of.stepG >= 1 ? 0 : of.stepG >= 0.1 ? 1 : 2;
  return {
    put: grams => {
      load = Math.max(0, grams);
    },
    load: () => load,
    after: ms => {
      shown += (load - shown) * (1 - Math.exp(-ms / SETTLES_MS));
      drift += (DRIFT_G_PER_S * normal(of.random) * ms) / 1000;
      const read = Math.round((shown + drift + TREMBLE_G * normal(of.random)) / of.stepG) * of.stepG;
      const state = Math.abs(load - shown) < of.stepG / 2 ? 'ST' : 'US';
      return `${state} ${read < 0 ? '-' : '+'} ${Math.abs(read).toFixed(places).padStart(7)} g`;
    },
  };
};
