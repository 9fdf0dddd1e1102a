import { meanReading } from '../log/pair';
import { LOPSIDED_PROGRESS } from '../tolerances';
import type { Forecaster, GaugeProgress } from './forecast';

/** How far from laid to target: ln(laid/now)/ln(laid/wanted). 1 when nothing was to shrink. */
export const progressOf = (lengths: { laidMm: number; nowMm: number; wantedMm: number }): number => {
  const way = Math.log(lengths.laidMm / lengths.wantedMm);
  return way > 0 ? Math.log(lengths.laidMm / lengths.nowMm) / way : 1;
};

/**
 * The simple forecast: how far each measuring line has come against the plan, from the last time it was measured.
 * It does not guess what has happened since, nor how many rolls are left.
 */
export const progressForecast: Forecaster = (gauges, state) => {
  const gaugeProgress: GaugeProgress[] = gauges.map(gauge => {
    const read = meanReading(state.now, gauge.id);
    const nowMm = read ?? gauge.laidMm;
    return {
      gauge,
      nowMm,
      measured: read !== null,
      progress: progressOf({ laidMm: gauge.laidMm, nowMm, wantedMm: gauge.wantedMm }),
    };
  });
  const measured = gaugeProgress.filter(s => s.measured).toSorted((a, b) => a.progress - b.progress);
  const behind = measured[0];
  const ahead = measured.at(-1);
  return {
    basis: 'measured against the plan',
    gaugeProgress,
    lopsided:
      ahead && behind && ahead.progress - behind.progress > LOPSIDED_PROGRESS ? { ahead, behind } : null,
  };
};
