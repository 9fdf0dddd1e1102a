import type { Act, Water } from '../log/entry';
import { rollIntensity } from '../log/intensity';

/**
 * How much an act counts beside a reference roll: one full roll of a snug bundle of bubble wrap with hot soapy water and the
 * weight of the arms. All common practice; nothing was measured.
 */
const COUNTS = {
  /** One rub of a hand over a face. */
  rub: 0.4,
  /** One throw of the whole piece. */
  throw: 1.5,
  /** Once hot and cold. */
  shock: 15,
} as const;

/** Warm water felts more slowly than hot; cold hardly. Common practice. */
const WATER: Readonly<Record<Water, number>> = { hot: 1, warm: 0.8, cold: 0.5 };

/** What an act counts in reference rolls, how far that may be off, and its direction; null where it is no work on the felt. */
export const workOfAct = (
  act: Act,
  water: Water,
): { readonly rolls: number; readonly directionDeg: number | null; readonly give: number } | null => {
  const q = WATER[water];
  const counted = (count: number, each: number, give = 0) => ({
    rolls: count * each,
    give: give * each,
    directionDeg: null,
  });
  switch (act.kind) {
    case 'roll':
      return {
        ...counted(act.rolls, q * rollIntensity(act.cushion, act.pressure), act.give),
        directionDeg: act.directionDeg,
      };
    case 'rub':
      return counted(act.count, q * COUNTS.rub, act.give);
    case 'throw':
      return counted(act.count, q * COUNTS.throw);
    case 'shock':
      return counted(act.rounds, COUNTS.shock);
    default:
      return null;
  }
};
