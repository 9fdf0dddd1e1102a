import type { FormPlan, Gauge } from '../forms/formKind';
import { isFelt } from '../forms/fits';
import { gaugeAxis } from '../forms/gaugeAxis';
import { finishedMm } from '../quantity';
import { measuredShrinkage } from '../shrinkage/measuredShrinkage';
import { densityOf } from '../wool/feltNow';

/** What was measured when the piece was dry. A reading that was not taken is null. */
export interface DryMeasures {
  readonly readings: Readonly<Record<string, number | null>>;
  readonly grams: number | null;
  readonly thicknessMm: number | null;
}

export interface GaugeOutcome {
  readonly gauge: Gauge;
  readonly dryMm: number | null;
  readonly shrinkage: number | null;
}

export interface Outcome {
  readonly gauges: readonly GaugeOutcome[];
  readonly along: number | null;
  readonly across: number | null;
  /** Finished area, m², from the planned form and the dry readings. */
  readonly areaM2: number | null;
  /** For a solid: its volume, cm³, from the planned form and the dry readings. */
  readonly volumeCm3: number | null;
  readonly arealFinished: number | null;
  /** g/cm³ from grams, area and thickness; of a solid, from grams and volume. */
  readonly density: number | null;
  /** Share of the laid wool that lies in the wall and not in the fold-over. */
  readonly wallShare: number;
  /** Share of the laid wool that is in the dry piece. */
  readonly keptShare: number | null;
}

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;

const present = (values: ReadonlyArray<number | null>): number[] => values.filter(v => v !== null);

/**
 * The lines that are measured when it is dry: those of the closed piece that are still there, or were read all the same, and what
 * must fit.
 */
export const dryLines = (form: FormPlan, readings: DryMeasures['readings']): readonly Gauge[] => [
  ...form.gauges.filter(g => !form.closedLines.includes(g.id) || typeof readings[g.id] === 'number'),
  ...form.fits,
];

/** Share of the laid wool that lies in the wall; the rest is fold-over and ends in the seam. */
const wallShare = (form: FormPlan): number => {
  const sum = (of: (f: FormPlan['faces'][number]) => number): number =>
    form.faces.reduce((a, f) => a + of(f), 0);
  return sum(f => f.netMm2) / sum(f => f.woolMm2);
};

/**
 * Plan against result. Directions are the mean of their gauges; the area is the planned one scaled by how each
 * direction came out; density = grams in the wall/(area × thickness), the wool of the fold-over left out as it is in
 * the plan. Source: definitions.
 */
export const outcome = (form: FormPlan, dry: DryMeasures, laidGrams: number | null): Outcome => {
  const gauges = dryLines(form, dry.readings).map(gauge => {
    const dryMm = dry.readings[gauge.id] ?? null;
    return {
      gauge,
      dryMm,
      shrinkage: dryMm === null ? null : measuredShrinkage(gauge.laidMm, finishedMm(dryMm)),
    };
  });
  const felt = gauges.filter(o => isFelt(o.gauge));
  const of = (axis: 'along' | 'across'): GaugeOutcome[] =>
    felt.filter(o => gaugeAxis(o.gauge.directionDeg) === axis);
  const ratio = (os: readonly GaugeOutcome[]): number | null =>
    mean(present(os.map(o => (o.dryMm === null ? null : o.dryMm / o.gauge.wantedMm))));
  const [lengthwise, crosswise] = [ratio(of('along')), ratio(of('across'))];
  const measured = lengthwise !== null && crosswise !== null;
  const areaM2 = measured && !form.solid ? (form.finishedMm2 / 1e6) * lengthwise * crosswise : null;
  // A solid is turned about its along axis: its volume goes with the length and the square of the width.
  const volumeCm3 =
    measured && form.solid ? (form.solid.feltMm3 / 1000) * lengthwise * crosswise * crosswise : null;
  const inWall = wallShare(form);
  const areal = areaM2 === null || dry.grams === null ? null : (dry.grams * inWall) / areaM2;
  return {
    gauges,
    along: mean(present(of('along').map(o => o.shrinkage))),
    across: mean(present(of('across').map(o => o.shrinkage))),
    areaM2,
    volumeCm3,
    arealFinished: areal,
    wallShare: inWall,
    density: densityCame({ areal, volumeCm3, dry }),
    keptShare: dry.grams === null || laidGrams === null || laidGrams <= 0 ? null : dry.grams / laidGrams,
  };
};

const densityCame = (of: {
  readonly areal: number | null;
  readonly volumeCm3: number | null;
  readonly dry: DryMeasures;
}): number | null => {
  const { grams, thicknessMm } = of.dry;
  if (of.volumeCm3 !== null) return grams === null ? null : grams / of.volumeCm3;
  return of.areal === null || thicknessMm === null ? null : densityOf(of.areal, thicknessMm);
};

/** Dry length as a share of the laid one, per direction; null until one line each way was measured dry. */
export const dryShare = ({
  along,
  across,
}: Outcome): { readonly along: number; readonly across: number } | null =>
  along === null || across === null ? null : { along: 1 - along, across: 1 - across };
