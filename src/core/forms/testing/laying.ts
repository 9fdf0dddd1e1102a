import { mm, shrinkage } from '../../quantity';
import { shrinkageFactor } from '../../shrinkage/shrinkageFactor';
import type { FormKind, FormPlan, LayingTransform, Measures } from '../formKind';

/** A laying by its two shrinkages. */
export const laying = (
  along: number,
  across: number,
  more: { foldOver?: number; resist?: number } = {},
): LayingTransform => ({
  factor: { along: shrinkageFactor(shrinkage(along)), across: shrinkageFactor(shrinkage(across)) },
  foldOverMm: mm(more.foldOver ?? 0),
  resistMm: mm(more.resist ?? 0),
});

/** A form laid with some of its measures changed. */
export const laid = (kind: FormKind, measures: Measures, how: LayingTransform): FormPlan =>
  kind.plan({ ...kind.defaults, ...measures }, how, kind.outline ?? null);

/** Area of the resist or layout on all faces, mm². */
export const netMm2 = (plan: FormPlan): number => plan.faces.reduce((sum, f) => sum + f.netMm2, 0);

/** A figure that follows from a form, by its name. */
export const fact = (plan: FormPlan, name: string): number =>
  plan.facts.find(f => f.name === name)?.value ?? Number.NaN;
