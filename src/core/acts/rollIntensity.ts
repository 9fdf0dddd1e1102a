import type { Cushion, Pressure } from './vocabulary';

/** How much one roll counts beside a reference roll: snug bubble wrap, hot soapy water, the weight of the arms. */
const CUSHION: Readonly<Record<Cushion, number>> = { thick: 0.6, bubble: 1, mat: 1.25, bare: 1.5 };
const PRESSURE: Readonly<Record<Pressure, number>> = { light: 0.6, arms: 1, hard: 1.3 };

/**
 * Intensity q of a roll: cushion × pressure (log-additive), within 0.3–2.0. Common practice; nothing was measured.
 * @example rollIntensity('bubble', 'arms') // 1
 */
export const rollIntensity = (cushion: Cushion, pressure: Pressure): number =>
  Math.min(2, Math.max(0.3, CUSHION[cushion] * PRESSURE[pressure]));
