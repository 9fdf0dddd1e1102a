import type { BenchState } from '../log/benchState';
import type { Forecast } from '../forecast/forecast';
import type { FormPlan } from '../forms/formKind';
import { SIZE_TOLERANCE } from '../tolerances';
import { isHollow } from './faults';
import type { FirmTest } from '../acts/feltTests';
import { firmTestResult } from './firmTest';

/** What a piece has reached, and what it may do from there. Told, never commanded. */
export type Gate =
  /** The skin holds: you can roll it now. */
  | 'may-roll'
  /** It has begun to shrink and the skin holds: a cut heals, and the resist may come out. */
  | 'may-open'
  /** It shrinks on, and is still closed: a cut made later heals badly. */
  | 'open-soon'
  /** It has begun to shrink and the skin holds: the resist may come out at its mouth, which needs no cut. */
  | 'may-take-out'
  /** It shrinks on, and the resist is still in: felt that has closed about it lets it out badly. */
  | 'take-out-soon'
  /** Firm, and still too large. */
  | 'firm-but-large'
  /** At its size, and soft. */
  | 'size-but-soft';

/** How what a piece is made over comes out: at a mouth, through a cut, or there is nothing in it. */
export type ResistComesOut = 'mouth' | 'cut' | 'none';

/** An edge that is left open is a mouth: the resist is pulled out there. One that is closed all round is cut. */
export const resistComesOut = (form: FormPlan): ResistComesOut => {
  if (!isHollow(form)) return 'none';
  return form.faces.some(f => f.outline.open.includes(true)) ? 'mouth' : 'cut';
};

/** Shares of the way from laid to wanted between which a mouth is cut. Common practice: prefelt, not later than firm. */
const OPENING = { from: 0.15, late: 0.7 } as const;
/** Grade of the bend test from which a wall has no more give than it is to have: it stands. */
const STANDS = 3;

/** How far the line is that lags, of those that were read; 0 where none was. */
export const leastProgress = ({ gaugeProgress }: Forecast): number => {
  const read = gaugeProgress.filter(s => s.measured);
  return read.length === 0 ? 0 : Math.min(...read.map(s => s.progress));
};

/**
 * The gates a piece stands at now.
 * @param of.resist how what the piece is made over comes out
 */
export const gatesAt = (
  state: BenchState,
  forecast: Forecast,
  of: { readonly resist: ResistComesOut; readonly test: FirmTest },
): readonly Gate[] => {
  const holds = state.pinch !== null && state.pinch >= 2;
  const read = forecast.gaugeProgress.filter(s => s.measured);
  const progress = leastProgress(forecast);
  const { isFirm } = firmTestResult(state, of.test);
  const gates: Gate[] = [];
  if (holds && state.rolls === 0) gates.push('may-roll');
  const isLate = progress > OPENING.late || isFirm;
  const isTime = holds && progress >= OPENING.from;
  if (of.resist === 'cut' && isTime && !state.isCut) gates.push(isLate ? 'open-soon' : 'may-open');
  if (of.resist === 'mouth' && isTime && !state.isResistOut)
    gates.push(isLate ? 'take-out-soon' : 'may-take-out');
  const tooLarge = read.some(s => s.nowMm > s.gauge.wantedMm * (1 + SIZE_TOLERANCE));
  const isDense = of.test === 'pinch' ? (state.tests.bend ?? 0) >= STANDS : isFirm;
  if (read.length > 0 && tooLarge && isDense) gates.push('firm-but-large');
  if (read.length === forecast.gaugeProgress.length && read.length > 0 && !tooLarge && !isFirm)
    gates.push('size-but-soft');
  return gates;
};
