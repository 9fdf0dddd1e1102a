import { axisShrinkage } from '../chain/equations';
import { DENSEST_FELT } from '../chain/firmnessScale';
import type { ChainQuantity, PartialChain } from '../chain/quantities';
import { type ChainSolution, solveChain } from '../chain/solveChain';
import type { FormKind, FormPlan, Measures } from '../forms/formKind';
import { checkMeasures, formKind } from '../forms/registry';
import { scaleMeasures } from '../forms/scaleMeasures';
import { type Issue, issue } from '../issues';
import type { AxisShrinkage } from '../quantity';
import { err, ok, type Result } from '../result';
import { areaKept } from '../shrinkage/areaKept';
import { EDGE_SURPLUS } from '../tolerances';
import { weigh, type WeighPlan } from '../wool/weigh';
import { chainContext, formLayer, nominalSize, planPins, woolAreaM2 } from './chainOfPlan';
import type { PlanInput } from './planInput';

/** All that follows from what a felter has decided. */
export interface Plan {
  readonly kind: FormKind;
  /** Finished measures at the size that the chain asks for. */
  readonly measures: Measures;
  readonly form: FormPlan;
  readonly solution: ChainSolution;
  /** Links that could be found, plus those that had to be assumed. */
  readonly values: PartialChain;
  /** Links the chain left open, for which the last figure is drawn. */
  readonly assumed: readonly ChainQuantity[];
  readonly shrinkage: AxisShrinkage;
  readonly woolM2: number;
  /** g/m² of the finished felt; null while the chain is open. */
  readonly arealFinished: number | null;
  readonly weigh: WeighPlan | null;
  readonly warnings: readonly Issue[];
}

/** Range of planned shrinkage outside which a maker should swatch first (common practice). */
const COMMON_SHRINKAGE = { least: 0.15, most: 0.55 };

const warningsOf = (form: FormPlan, values: PartialChain, s: AxisShrinkage): Issue[] => {
  const warnings: Issue[] = [];
  const { firmness } = values;
  if (firmness !== undefined && firmness > DENSEST_FELT)
    warnings.push(issue('DENSITY_BEYOND_FIBRE', 'plan.firmness', { got: firmness.toFixed(2) }));
  for (const axis of ['along', 'across'] as const)
    if (s[axis] < COMMON_SHRINKAGE.least || s[axis] > COMMON_SHRINKAGE.most)
      warnings.push(
        issue('SHRINKAGE_UNCOMMON', `plan.shrinkage.${axis}`, { got: `${(100 * s[axis]).toFixed(0)} %` }),
      );
  if (form.edgeSurplus && form.edgeSurplus.ratio > EDGE_SURPLUS.warns)
    warnings.push(issue('EDGE_SURPLUS', 'plan.form', { got: form.edgeSurplus.ratio.toFixed(2) }));
  return warnings;
};

const inRange = (path: string, value: number, range: { min: number; below: number }): Issue[] =>
  value >= range.min && value < range.below
    ? []
    : [issue('OUT_OF_RANGE', path, { got: value, detail: `From ${range.min} to below ${range.below}.` })];

const checkInput = (input: PlanInput): Issue[] => {
  return [
    ...inRange('plan.shrinkage.along', input.shrinkage.along, { min: 0, below: 0.95 }),
    ...inRange('plan.shrinkage.across', input.shrinkage.across, { min: 0, below: 0.95 }),
    ...inRange('plan.foldOverMm', input.foldOverMm, { min: 0, below: 500 }),
    ...inRange('plan.resistMm', input.resistMm, { min: 0, below: 100 }),
    ...inRange('plan.keptShare', input.keptShare, { min: 0.05, below: 1.000001 }),
    ...inRange('plan.reserveShare', input.reserveShare, { min: 0, below: 2 }),
    ...inRange('plan.scaleStepG', input.scaleStepG, { min: 0.001, below: 1000 }),
  ];
};

/**
 * The plan of a piece: its form at the size and shrinkage that the chain gives, the wool to weigh, and warnings.
 * Pure; a few milliseconds at most (docs/figures.md).
 * Fails with UNKNOWN_FORM, MEASURE_MISSING or OUT_OF_RANGE; pins that disagree are told in `solution`, not refused.
 */
export const makePlan = (input: PlanInput): Result<Plan> => {
  const kind = formKind(input.form.kind);
  if (!kind.ok) return kind;
  const checked = checkMeasures(kind.value, input.form.measures);
  const issues = [...checkInput(input), ...(checked.ok ? [] : checked.issues)];
  if (issues.length > 0) return err(...issues);
  const lay = formLayer(kind.value, input);
  const ctx = chainContext(kind.value, input, lay);
  const solution = solveChain(planPins(kind.value, input), ctx);
  const assumed: ChainQuantity[] = [];
  const orAssume = (link: 'size' | 'shrinkage', otherwise: number): number => {
    const known = solution.values[link];
    if (known === undefined) assumed.push(link);
    return known ?? otherwise;
  };
  const sizeMm = orAssume('size', nominalSize(kind.value, input));
  const along = orAssume('shrinkage', input.shrinkage.along);
  const s = axisShrinkage(along, ctx.acrossRatio);
  const form = lay(sizeMm, s);
  const values: PartialChain = { ...solution.values, size: sizeMm, shrinkage: along };
  const { grams, layers, arealLaid } = values;
  return ok({
    kind: kind.value,
    measures: scaleMeasures(kind.value, input.form.measures, sizeMm / ctx.nominalSizeMm),
    form,
    solution,
    values,
    assumed,
    shrinkage: s,
    woolM2: woolAreaM2(form),
    arealFinished: arealLaid === undefined ? null : (input.keptShare * arealLaid) / areaKept(s),
    weigh:
      grams === undefined
        ? null
        : weigh({
            grams,
            faces: form.faces,
            layers: layers ?? 1,
            reserveShare: input.reserveShare,
            stepG: input.scaleStepG,
          }),
    warnings: warningsOf(form, values, s),
  });
};
