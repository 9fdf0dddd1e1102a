import type { BenchState } from '../log/benchState';
import type { Forecast } from '../forecast/forecast';
import { SIZE_TOLERANCE } from '../tolerances';
import { firmness, type FirmTest } from './firmness';

/** What a piece has reached, and what it may do from there. Told, never commanded. */
export type Gate =
  /** The skin holds: it may be rolled. */
  | 'may-roll'
  /** It has begun to shrink and the skin holds: a cut heals, and the resist may come out. */
  | 'may-open'
  /** It shrinks on, and is still closed: a cut made later heals badly. */
  | 'open-soon'
  /** Firm, and still too large. */
  | 'firm-but-large'
  /** At its size, and soft. */
  | 'size-but-soft';

/** Shares of the way from laid to wanted between which a mouth is cut. Common practice: prefelt, not later than firm. */
const OPENING = { from: 0.15, late: 0.7 } as const;
/** Grade of the bend test from which a wall has no more give than it is to have: it stands. */
const STANDS = 3;

/**
 * The gates a piece stands at now.
 * @param of.hasResist true where something has to be cut open and taken out
 */
export const gatesAt = (
  state: BenchState,
  forecast: Forecast,
  of: { readonly hasResist: boolean; readonly test: FirmTest },
): readonly Gate[] => {
  const holds = state.pinch !== null && state.pinch >= 2;
  const read = forecast.stands.filter(s => s.measured);
  const progress = read.length === 0 ? 0 : Math.min(...read.map(s => s.progress));
  const { isFirm } = firmness(state, of.test);
  const gates: Gate[] = [];
  if (holds && state.rolls === 0) gates.push('may-roll');
  if (of.hasResist && !state.isCut && holds && progress >= OPENING.from)
    gates.push(progress > OPENING.late || isFirm ? 'open-soon' : 'may-open');
  const tooLarge = read.some(s => s.nowMm > s.gauge.wantedMm * (1 + SIZE_TOLERANCE));
  const isDense = of.test === 'pinch' ? (state.tests.bend ?? 0) >= STANDS : isFirm;
  if (read.length > 0 && tooLarge && isDense) gates.push('firm-but-large');
  if (read.length === forecast.stands.length && read.length > 0 && !tooLarge && !isFirm)
    gates.push('size-but-soft');
  return gates;
};
