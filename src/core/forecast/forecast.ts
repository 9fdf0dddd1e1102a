import type { BenchState } from '../log/benchState';
import type { Gauge } from '../forms/formKind';

/** Where one measuring line stands between laid and wanted. */
export interface GaugeProgress {
  readonly gauge: Gauge;
  readonly nowMm: number;
  /** False until it has been measured: then `nowMm` is the laid length. */
  readonly measured: boolean;
  /** How far from laid to target, by the logarithm of length; may pass 1. */
  readonly progress: number;
}

/** What a forecaster says. Later models add ranges; the bench reads only what is here. */
export interface Forecast {
  /** What the figures rest on, for "why?". */
  readonly basis: 'measured against the plan';
  readonly gaugeProgress: readonly GaugeProgress[];
  /** Least and furthest of the directions, when they differ enough to be called lopsided. */
  readonly lopsided: { readonly ahead: GaugeProgress; readonly behind: GaugeProgress } | null;
}

/** The seam for the felting model: a log folded into a state, and the gauges, in; a forecast out. Pure. */
export type Forecaster = (gauges: readonly Gauge[], state: BenchState) => Forecast;
