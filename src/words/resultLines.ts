import { gaugeAxis } from '../core/forms/gaugeAxis';
import type { Plan } from '../core/plan/makePlan';
import type { Outcome } from '../core/plan/outcome';
import { showArea } from '../core/units/showArea';
import { showVolume } from '../core/units/showVolume';
import { type Dimension, showQuantity, showShare, type UnitSystem } from '../core/units/units';
import type { Piece } from '../records/piece';

type PieceResult = Piece['result'];

/** One line of plan against result. */
export interface Line {
  readonly name: string;
  readonly planned: number | null;
  readonly came: number | null;
  readonly dimension: Dimension;
  /** Where what came out comes from; left out for what was measured itself. */
  readonly why?: string;
}

/** What came out, and the grams that it was laid of. */
interface DryOutcome {
  readonly result: PieceResult;
  readonly units: UnitSystem;
  readonly laidG: number | null;
}

/** How each figure of the result was worked out, with its inputs. */
const whysOf = (plan: Plan, came: Outcome, { result, units, laidG }: DryOutcome) => {
  const show = (v: number | null | undefined, d: Dimension): string =>
    v === null || v === undefined ? 'not measured' : showQuantity(v, d, units);
  const axis = (name: 'along' | 'across'): string => {
    const lines = came.gauges.filter(g => gaugeAxis(g.gauge.directionDeg) === name && g.dryMm !== null);
    if (lines.length === 0) return 'No line in this direction was measured dry.';
    const each = lines.map(
      g => `${g.gauge.id}: (${show(g.gauge.laidMm, 'length')} laid − ${show(g.dryMm, 'length')} dry) ÷ laid`,
    );
    return `${lines.length > 1 ? 'The mean of ' : ''}${each.join(' and ')}.`;
  };
  const area = came.areaM2 === null ? 'not known' : showArea(came.areaM2, units);
  const wall = `${showShare(came.wallShare)} of the wool is in the wall, the rest in the fold-over`;
  return {
    along: axis('along'),
    across: axis('across'),
    areal: `Dry weight ${show(result.grams, 'mass')} ÷ finished area ${area} (the planned area, scaled by how each direction came out); ${wall}.`,
    firmness: plan.form.solid
      ? `Dry weight ${show(result.grams, 'mass')} ÷ volume ${came.volumeCm3 === null ? 'not known' : showVolume(came.volumeCm3, units)} (the planned volume, scaled by length and twice by width as they came out).`
      : `Weight per area ${show(came.arealFinished, 'areal')} ÷ thickness ${show(result.thicknessMm, 'thickness')}.`,
    kept: `Dry weight ${show(result.grams, 'mass')} ÷ ${show(laidG, 'mass')} laid.`,
  };
};

/** Plan against result, line by line. */
export const linesOf = (plan: Plan, came: Outcome, of: DryOutcome): Line[] => {
  const { result } = of;
  const why = whysOf(plan, came, of);
  const wall: readonly Line[] = [
    {
      name: 'thickness',
      planned: plan.values.thickness ?? null,
      came: result.thicknessMm,
      dimension: 'thickness',
    },
    {
      name: 'weight per area',
      planned: plan.arealFinished,
      came: came.arealFinished,
      dimension: 'areal',
      why: why.areal,
    },
  ];
  return [
    ...came.gauges.map((g): Line => ({
      name: `${g.gauge.id}, ${g.gauge.name}`,
      planned: plan.form.asItComes ? null : g.gauge.wantedMm,
      came: g.dryMm,
      dimension: 'length',
    })),
    {
      name: 'shrinkage lengthwise',
      planned: plan.form.asItComes ? null : plan.shrinkage.along,
      came: came.along,
      dimension: 'share',
      why: why.along,
    },
    {
      name: 'shrinkage crosswise',
      planned: plan.form.asItComes ? null : plan.shrinkage.across,
      came: came.across,
      dimension: 'share',
      why: why.across,
    },
    ...(plan.form.solid ? [] : wall),
    {
      name: 'firmness',
      planned: plan.values.firmness ?? null,
      came: came.density,
      dimension: 'density',
      why: why.firmness,
    },
    { name: 'wool that stayed', planned: null, came: came.keptShare, dimension: 'share', why: why.kept },
  ];
};

/** How far off: points for shares, per cent for the rest. */
export const offBy = ({ planned, came, dimension }: Line): string => {
  if (planned === null || came === null || planned === 0) return '';
  const off = dimension === 'share' ? 100 * (came - planned) : 100 * (came / planned - 1);
  const sign = off > 0.5 ? '+' : off < -0.5 ? '−' : '±';
  return `${sign}${Math.abs(off).toFixed(0)} ${dimension === 'share' ? 'pts' : '%'}`;
};
