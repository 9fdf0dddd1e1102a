import { heldValues } from '../chain/relax';
import { fitsOf } from '../forms/fits';
import type { ChainContext, PartialChain } from '../chain/quantities';
import type { FormKind, FormPlan, LayingTransform, Measures } from '../forms/formKind';
import { hasRoomInside, insideMeasures } from '../forms/insideMeasures';
import { measuresAtSize } from '../forms/scaleMeasures';
import { type AxisShrinkage, mm, shrinkage } from '../quantity';
import { shrinkageFactor } from '../shrinkage/shrinkageFactor';
import type { PlanInput } from './planInput';

/** laid/finished along, as the plan has it now. */
const factorOf = (input: PlanInput): number => shrinkageFactor(shrinkage(input.shrinkage.along));

/** The reference measure of a plan as drawn, finished mm. */
export const nominalSize = (kind: FormKind, input: PlanInput): number =>
  kind.size.of(input.form.measures, factorOf(input));

/** The measures of a plan at a size; `along` is the shrinkage there. */
export const measuresAt = (
  kind: FormKind,
  input: PlanInput,
  { sizeMm, along }: { readonly sizeMm: number; readonly along: number },
): Measures =>
  measuresAtSize(kind, input.form.measures, { sizeMm, factor: shrinkageFactor(shrinkage(along)) });

/**
 * Lays the form of a plan for a size and a shrinkage; what was laid once is remembered, since offsets are costly.
 * Null where it cannot be laid so: an outside measure whose wall leaves no room, a size of nothing.
 */
export type LayForm = (sizeMm: number, s: AxisShrinkage) => FormPlan | null;

/** How a form is laid: the finished wall that outside measures lose, and how finely outlines are offset. */
export interface FormLaying {
  readonly wallMm: number;
  readonly finenessMm?: number;
}

export const formLayer = (kind: FormKind, input: PlanInput, of: FormLaying): LayForm => {
  const laid = new Map<string, FormPlan | null>();
  const layOnce = (sizeMm: number, s: AxisShrinkage): FormPlan | null => {
    const measures = measuresAt(kind, input, { sizeMm, along: s.along });
    const isOutside = input.form.measuredOn === 'outside';
    if (isOutside && !hasRoomInside(kind, measures, of.wallMm)) return null;
    const inside = isOutside ? insideMeasures(kind, measures, of.wallMm) : measures;
    const laying: LayingTransform = {
      factor: { along: shrinkageFactor(s.along), across: shrinkageFactor(s.across) },
      foldOverMm: mm(input.foldOverMm),
      resistMm: mm(input.resistMm),
      ...(of.finenessMm === undefined ? {} : { finenessMm: of.finenessMm }),
    };
    const form = {
      ...kind.plan(inside, laying, input.form.outline),
      ...fitsOf(kind, inside, laying),
      asItComes: input.asItComes ?? false,
    };
    return isFinite(form) ? form : null;
  };
  return (sizeMm, s) => {
    const key = `${sizeMm}/${s.along}/${s.across}`;
    const known = laid.get(key);
    if (known !== undefined) return known;
    const form = layOnce(sizeMm, s);
    laid.set(key, form);
    return form;
  };
};

/** Whether every figure of a form that goes on is a number: no NaN of an odd measure passes. */
const isFinite = ({ faces, gauges, fits, finishedMm2, solid }: FormPlan): boolean =>
  [
    finishedMm2,
    solid?.feltMm3 ?? 0,
    ...faces.map(f => f.woolMm2),
    ...[...gauges, ...fits].flatMap(g => [g.laidMm, g.wantedMm]),
  ].every(Number.isFinite);

/** Area of all faces with fold-over, m². */
export const woolAreaM2 = (form: FormPlan): number => form.faces.reduce((sum, f) => sum + f.woolMm2, 0) / 1e6;

/** Volume of a solid's wool when finished, cm³, a stem's fan included; 0 for a sheet. */
export const woolVolumeCm3 = ({ solid }: FormPlan): number =>
  solid ? (solid.feltMm3 / 1000) * (1 + solid.extraShare) : 0;

/** What the form and school of a plan bring to the chain. */
export const chainContext = (
  kind: FormKind,
  input: PlanInput,
  lay: LayForm = formLayer(kind, input, { wallMm: input.chain.thickness ?? 0 }),
): ChainContext => ({
  acrossRatio: input.shrinkage.along > 0 ? input.shrinkage.across / input.shrinkage.along : 1,
  body: kind.body,
  pieces: input.pieces,
  faces: kind.faces,
  keptShare: input.keptShare,
  nominalSizeMm: nominalSize(kind, input),
  laidAreaM2: (sizeMm, s) => orNothing(lay(sizeMm, s), woolAreaM2),
  volumeCm3: (sizeMm, s) => orNothing(lay(sizeMm, s), woolVolumeCm3),
  volumeNeedsShrinkage:
    kind.body === 'solid' && (lay(nominalSize(kind, input), axes(input))?.solid?.extraShare ?? 0) > 0,
});

/** A figure of a form; NaN where it cannot be laid, which no root is taken from. */
const orNothing = (form: FormPlan | null, figure: (form: FormPlan) => number): number =>
  form ? figure(form) : Number.NaN;

const axes = ({ shrinkage: s }: PlanInput): AxisShrinkage => ({
  along: shrinkage(s.along),
  across: shrinkage(s.across),
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
