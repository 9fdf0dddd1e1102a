import { showFigure, showQuantity, type UnitSystem } from './units';

/** Grams are shown as finely as the scale reads, and no finer. */
export const scaleMass = (grams: number, stepG: number, units: UnitSystem): string =>
  units === 'metric'
    ? `${showFigure(grams, 'mass', { units, places: stepG >= 1 ? 0 : stepG >= 0.1 ? 1 : 2 })} g`
    : showQuantity(grams, 'mass', units);
