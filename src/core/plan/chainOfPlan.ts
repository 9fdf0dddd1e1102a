import { heldValues } from '../chain/giveWay';
import type { ChainContext, PartialChain } from '../chain/quantities';
import { type FormKind, type FormPlan, measure } from '../forms/formKind';
import { scaleMeasures } from '../forms/scaleMeasures';
import { type AxisShrinkage, mm } from '../quantity';
import { shrinkageFactor } from '../shrinkage/shrinkageFactor';
import type { PlanInput } from './planInput';

/** The reference measure of a plan as drawn, finished mm. */
export const nominalSize = (kind: FormKind, { form }: PlanInput): number =>
  measure(form.measures, kind.reference(form.measures));

/** Lays the form of a plan for a size and a shrinkage; what was laid once is remembered, since offsets are dear. */
export type LayForm = (sizeMm: number, s: AxisShrinkage) => FormPlan;

export const formLayer = (kind: FormKind, input: PlanInput): LayForm => {
  const laid = new Map<string, FormPlan>();
  return (sizeMm, s) => {
    const key = `${sizeMm}/${s.along}/${s.across}`;
    const known = laid.get(key);
    if (known) return known;
    const form = kind.plan(scaleMeasures(kind, input.form.measures, sizeMm / nominalSize(kind, input)), {
      factor: { along: shrinkageFactor(s.along), across: shrinkageFactor(s.across) },
      foldOverMm: mm(input.foldOverMm),
      resistMm: mm(input.resistMm),
    });
    laid.set(key, form);
    return form;
  };
};

/** Area of all faces with fold-over, m². */
export const woolAreaM2 = (form: FormPlan): number => form.faces.reduce((sum, f) => sum + f.woolMm2, 0) / 1e6;

/** What the form and school of a plan bring to the chain. */
export const chainContext = (
  kind: FormKind,
  input: PlanInput,
  lay: LayForm = formLayer(kind, input),
): ChainContext => ({
  acrossRatio: input.shrinkage.along > 0 ? input.shrinkage.across / input.shrinkage.along : 1,
  faces: kind.faces,
  keptShare: input.keptShare,
  nominalSizeMm: nominalSize(kind, input),
  laidAreaM2: (sizeMm, s) => woolAreaM2(lay(sizeMm, s)),
});

/** Figures of every link that the plan keeps one for. */
export const keptValues = (kind: FormKind, input: PlanInput): PartialChain => ({
  ...input.chain,
  size: nominalSize(kind, input),
  shrinkage: input.shrinkage.along,
});

/** The held links of a plan with their figures. */
export const planPins = (kind: FormKind, input: PlanInput): PartialChain =>
  heldValues(input, keptValues(kind, input));
