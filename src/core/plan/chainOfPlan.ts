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

/** The form laid for a size and a shrinkage. */
export const formAt = (
  kind: FormKind,
  input: PlanInput,
  at: { sizeMm: number; s: AxisShrinkage },
): FormPlan =>
  kind.plan(scaleMeasures(kind, input.form.measures, at.sizeMm / nominalSize(kind, input)), {
    factor: { along: shrinkageFactor(at.s.along), across: shrinkageFactor(at.s.across) },
    foldOverMm: mm(input.foldOverMm),
    resistMm: mm(input.resistMm),
  });

/** Area of all faces with fold-over, m². */
export const woolAreaM2 = (form: FormPlan): number => form.faces.reduce((sum, f) => sum + f.woolMm2, 0) / 1e6;

/** What the form and school of a plan bring to the chain. */
export const chainContext = (kind: FormKind, input: PlanInput): ChainContext => ({
  acrossRatio: input.shrinkage.along > 0 ? input.shrinkage.across / input.shrinkage.along : 1,
  faces: kind.faces,
  keptShare: input.keptShare,
  nominalSizeMm: nominalSize(kind, input),
  laidAreaM2: (sizeMm, s) => woolAreaM2(formAt(kind, input, { sizeMm, s })),
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
