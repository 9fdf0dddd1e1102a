import { axisShrinkage } from '../chain/equations';
import { DENSEST_FELT } from '../chain/firmnessScale';
import { CHAIN_LIMITS } from '../chain/limits';
import { CHAIN, type ChainQuantity, type PartialChain } from '../chain/quantities';
import { type ChainSolution, solveChain } from '../chain/solveChain';
import type { FormKind, FormPlan, Measures } from '../forms/formKind';
import { checkMeasures, formKind } from '../forms/kinds/registry';
import { type Issue, issue } from '../issues';
import type { AxisShrinkage } from '../quantity';
import { err, ok, type Result } from '../result';
import { areaKept } from '../shrinkage/areaKept';
import { cleanOutline } from '../outline/cleanOutline';
import { curvedOutline } from '../outline/curve';
import { isWithin } from '../limits';
import { EDGE_SURPLUS } from '../tolerances';
import { type Pile, weigh, type WeighPlan } from '../wool/weigh';
import {
  chainContext,
  formLayer,
  measuresAt,
  nominalSize,
  planPins,
  woolAreaM2,
  woolVolumeCm3,
} from './chainOfPlan';
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
  /** Volume of a solid's wool when finished, cm³; 0 for a sheet. */
  readonly woolCm3: number;
  /** g/m² of the finished felt; null while the chain is open. */
  readonly arealFinished: number | null;
  readonly weigh: WeighPlan | null;
  /** Grams laid for one of the pieces; null while the chain is open. */
  readonly laidGramsEach: number | null;
  readonly warnings: readonly Issue[];
}

/** Wool as it is weighed `times` over: faces in layers, or a solid's heaps, for one or for all of them together. */
const pilesOf = (form: FormPlan, layers: number, each: number): Pile[] =>
  form.solid
    ? form.solid.heaps.map(h => ({
        name: h.name,
        weight: h.share,
        layers: 1,
        equal: h.count * each,
        isHeap: true,
      }))
    : form.faces.map(f => ({ name: f.name, weight: f.woolMm2, layers, equal: 1 }));

/** Of one pile the scale must tell at least so many steps, or it is weighed together with others. Common practice. */
const FEWEST_STEPS = 5;

/** How often the piles are weighed: once for each piece, where the scale can tell the heaps of one solid. */
const timesWeighed = (form: FormPlan, input: PlanInput, grams: number): number => {
  const { solid } = form;
  if (!solid) return input.pieces;
  const least = Math.min(...solid.heaps.map(h => ((grams / input.pieces) * h.share) / h.count));
  return input.heaps === 'each' && least >= FEWEST_STEPS * input.scaleStepG ? input.pieces : 1;
};

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

/** A drawn outline is checked as it will be cut, curves and all; a form that is not drawn has none to check. */
const checkOutline = (kind: FormKind, { form }: PlanInput): readonly Issue[] => {
  if (!kind.outline || !form.outline) return [];
  const clean = cleanOutline(curvedOutline(form.outline).points, 'plan.form.outline');
  return clean.ok ? [] : clean.issues;
};

const checkInput = (input: PlanInput): Issue[] => {
  return [
    ...inRange('plan.shrinkage.along', input.shrinkage.along, { min: 0, below: 0.95 }),
    ...inRange('plan.shrinkage.across', input.shrinkage.across, { min: 0, below: 0.95 }),
    ...inRange('plan.foldOverMm', input.foldOverMm, { min: 0, below: 500 }),
    ...inRange('plan.resistMm', input.resistMm, { min: 0, below: 100 }),
    ...inRange('plan.keptShare', input.keptShare, { min: 0.05, below: 1.000001 }),
    ...inRange('plan.reserveShare', input.reserveShare, { min: 0, below: 2 }),
    ...inRange('plan.pieces', input.pieces, { min: 1, below: 10_000 }),
    ...inRange('plan.scaleStepG', input.scaleStepG, { min: 0.001, below: 1000 }),
  ];
};

/** A held figure of the chain beyond what is possible, and where it stands. */
const checkHeld = (input: PlanInput): Issue[] =>
  [...input.pinned, ...input.given].flatMap(link => {
    const value = link === 'size' || link === 'shrinkage' ? undefined : input.chain[link];
    return value === undefined || isWithin(value, CHAIN_LIMITS[link])
      ? []
      : [beyond('OUT_OF_RANGE', link, value)];
  });

/** Figures that follow from the held ones and are beyond what is felted. */
const checkFound = (values: PartialChain): Issue[] =>
  CHAIN.flatMap(link => {
    const value = values[link];
    return value === undefined || isWithin(value, CHAIN_LIMITS[link])
      ? []
      : [beyond('BEYOND_LIMITS', link, value)];
  });

const beyond = (code: 'OUT_OF_RANGE' | 'BEYOND_LIMITS', link: ChainQuantity, value: number): Issue => {
  const { least, most } = CHAIN_LIMITS[link];
  return issue(code, `plan.chain.${link}`, {
    got: Number(value.toPrecision(4)),
    detail: `From ${least} to ${most}.`,
  });
};

/** Most rounds in which a wall that follows from the chain and an outside measure that loses it are made to agree. */
const WALL_ROUNDS = 40;
/** They agree when the wall moves by less than this share: far below what can be felt between the fingers. */
const WALL_SETTLED = 1e-7;

/** Lays and solves. Where measures were taken over the wall and the wall follows from them, that goes in rounds. */
const solve = (kind: FormKind, input: PlanInput, fineness: { finenessMm?: number }) => {
  const held = input.pinned.includes('thickness') || input.given.includes('thickness');
  let wallMm = input.chain.thickness ?? kind.usual.thicknessMm;
  for (let round = 0; ; round += 1) {
    const lay = formLayer(kind, input, { wallMm, ...fineness });
    const ctx = chainContext(kind, input, lay);
    const solution = solveChain(planPins(kind, input), ctx);
    const next = solution.values.thickness;
    const isFree = input.form.measuredOn === 'inside' || held || next === undefined;
    const isSettled = isFree || Math.abs(next / wallMm - 1) < WALL_SETTLED;
    if (isSettled || round >= WALL_ROUNDS || !isWithin(next, CHAIN_LIMITS.thickness))
      return { lay, ctx, solution, isSettled, wallMm };
    wallMm = next;
  }
};

/** Why a form cannot be laid as it was decided. */
const cannotLay = (input: PlanInput, wallMm: number): Issue =>
  input.form.measuredOn === 'outside'
    ? issue('WALL_TOO_THICK', 'plan.chain.thickness', { got: `${wallMm.toFixed(1)} mm` })
    : issue('PLAN_FAILED', 'plan.form.measures');

/**
 * The plan of a piece: its form at the size and shrinkage that the chain gives, the wool to weigh, and warnings.
 * Pure; a few milliseconds at most (docs/figures.md).
 * @param fineness how finely outlines are offset, mm; exact when left out, coarser while something is dragged
 * Fails with UNKNOWN_FORM, MEASURE_MISSING, OUT_OF_RANGE, BEYOND_LIMITS, WALL_TOO_THICK, NOT_SETTLED, BALL_TOO_FLAT or, for a drawn outline, EASE_SHUTS and as `cleanOutline` does; pins that
 * disagree are told in `solution`, not refused.
 */
export const makePlan = (input: PlanInput, fineness: { readonly finenessMm?: number } = {}): Result<Plan> => {
  const kind = formKind(input.form.kind);
  if (!kind.ok) return kind;
  const checked = checkMeasures(kind.value, input.form.measures);
  const drawn = checkOutline(kind.value, input);
  const issues = [...checkInput(input), ...checkHeld(input), ...(checked.ok ? [] : checked.issues), ...drawn];
  if (issues.length > 0) return err(...issues);
  const { lay, ctx, solution, isSettled, wallMm } = solve(kind.value, input, fineness);
  const found = solution.status === 'disagree' ? [] : checkFound(solution.values);
  if (found.length > 0) return err(...found);
  if (!isSettled) return err(issue('NOT_SETTLED', 'plan.chain.thickness'));
  const assumed: ChainQuantity[] = [];
  const orAssume = (link: 'size' | 'shrinkage', otherwise: number): number => {
    const known = solution.values[link];
    if (known === undefined) assumed.push(link);
    return known ?? otherwise;
  };
  const sizeMm = orAssume('size', nominalSize(kind.value, input));
  const along = orAssume('shrinkage', input.shrinkage.along);
  const s = axisShrinkage(along, ctx.acrossRatio);
  const form = isWithin(sizeMm, CHAIN_LIMITS.size) ? lay(sizeMm, s) : null;
  if (!form) return err(cannotLay(input, wallMm));
  if (form.trouble) return err(issue(form.trouble, 'plan.form'));
  const values: PartialChain = { ...solution.values, size: sizeMm, shrinkage: along };
  const { grams, layers, arealLaid } = values;
  const times = grams === undefined ? 1 : timesWeighed(form, input, grams);
  const weighed =
    grams === undefined
      ? null
      : weigh({
          grams,
          times,
          apart: form.solid?.apart ?? [],
          piles: pilesOf(form, layers ?? 1, input.pieces / times),
          reserveShare: input.reserveShare,
          stepG: input.scaleStepG,
        });
  return ok({
    kind: kind.value,
    measures: measuresAt(kind.value, input, { sizeMm, along }),
    form,
    solution,
    values,
    assumed,
    shrinkage: s,
    woolM2: woolAreaM2(form),
    woolCm3: woolVolumeCm3(form),
    arealFinished: arealLaid === undefined ? null : (input.keptShare * arealLaid) / areaKept(s),
    weigh: weighed,
    laidGramsEach: weighed && (weighed.times * weighed.total) / input.pieces,
    warnings: warningsOf(form, values, s),
  });
};
