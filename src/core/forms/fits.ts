import { finishedMm, laidMm } from '../quantity';
import type { FitSpec } from './fitSpec';
import type { FormKind, FormPlan, Gauge, LayingTransform, Measures } from './formKind';

const DIRECTIONS = { along: 0, across: 90, both: 45 } as const;
const NOWHERE = { x: 0, y: 0 };

const fitLine = ({ id, name, wanted, axis, how }: FitSpec, { factor }: LayingTransform): Gauge => ({
  id,
  name,
  how,
  directionDeg: DIRECTIONS[axis],
  laidMm: laidMm(wanted * (axis === 'both' ? Math.sqrt(factor.along * factor.across) : factor[axis])),
  wantedMm: finishedMm(wanted),
  from: NOWHERE,
  to: NOWHERE,
});

/** What must fit once it is open, of one piece, and which of its other lines are gone by then. */
export const fitsOf = (
  kind: FormKind,
  measures: Measures,
  laying: LayingTransform,
): Pick<FormPlan, 'fits' | 'closedLines'> => ({
  fits: (kind.fits?.(measures) ?? []).filter(f => f.wanted > 0).map(f => fitLine(f, laying)),
  closedLines: kind.closedLines ?? [],
});

/** The measuring lines of a piece at one time. */
export interface LinesNow {
  /** Lines that shrink as felt does, those that can be measured now first: what the felting model knows. */
  readonly modelled: readonly Gauge[];
  /** How many of them can be measured now. */
  readonly measurable: number;
  /** Openings: as large as they were cut and give, whatever the felt does. */
  readonly openings: readonly Gauge[];
}

/** Whether a line shrinks as felt does. */
export const isFelt = ({ how = 'felt' }: Pick<Gauge, 'how'>): boolean => how === 'felt';

/**
 * Which lines there are before a piece is opened, and after.
 * @param isOpen whether it was cut open, or what it was made over was taken out
 */
export const linesNow = (
  form: Pick<FormPlan, 'gauges' | 'fits' | 'closedLines'>,
  isOpen: boolean,
): LinesNow => {
  if (!isOpen) return { modelled: form.gauges, measurable: form.gauges.length, openings: [] };
  const gone = form.gauges.filter(g => form.closedLines.includes(g.id));
  const here = [...form.gauges.filter(g => !gone.includes(g)), ...form.fits.filter(isFelt)];
  return {
    modelled: [...here, ...gone],
    measurable: here.length,
    openings: form.fits.filter(f => !isFelt(f)),
  };
};
