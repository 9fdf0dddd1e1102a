import type { Water } from './vocabulary';

/** Warm water felts more slowly than hot; cold hardly. Common practice; nothing was measured. */
export const WATER_INTENSITY: Readonly<Record<Water, number>> = { hot: 1, warm: 0.8, cold: 0.5 };
