import { gaugeAxis } from '../forms/gaugeAxis';
import type { Forecast } from './forecast';

/** Mean share of the way from laid to wanted over the measuring lines that were measured; null before the first. */
export const meanProgress = (forecast: Forecast): number | null => {
  const read = forecast.gaugeProgress.filter(s => s.measured);
  return read.length === 0 ? null : read.reduce((sum, s) => sum + s.progress, 0) / read.length;
};

/** Present length as a share of the laid one, per direction; null until one line each way was measured. */
export const nowShare = (forecast: Forecast): { readonly along: number; readonly across: number } | null => {
  const share = (axis: 'along' | 'across'): number | null => {
    const read = forecast.gaugeProgress.filter(s => s.measured && gaugeAxis(s.gauge.directionDeg) === axis);
    return read.length === 0
      ? null
      : read.reduce((sum, s) => sum + s.nowMm / s.gauge.laidMm, 0) / read.length;
  };
  const along = share('along');
  const across = share('across');
  return along === null || across === null ? null : { along, across };
};
