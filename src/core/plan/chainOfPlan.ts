import { heldValues } from '../chain/giveWay';
import type { ChainContext, PartialChain } from '../chain/quantities';
import type { FormKind, FormPlan, Measures } from '../forms/formKind';
import { insideMeasures } from '../forms/insideMeasures';
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

/** Lays the form of a plan for a size and a shrinkage; what was laid once is remembered, since offsets are dear. */
export type LayForm = (sizeMm: number, s: AxisShrinkage) => FormPlan;

/** How a form is laid: the finished wall that outside measures lose, and how finely outlines are offset. */
export interface FormLaying {
  readonly wallMm: number;
  readonly finenessMm?: number;
}

export const formLayer = (kind: FormKind, input: PlanInput, of: FormLaying): LayForm => {
  const laid = new Map<string, FormPlan>();
  return (sizeMm, s) => {
    const key = `${sizeMm}/${s.along}/${s.across}`;
    const known = laid.get(key);
    if (known) return known;
    const measures = measuresAt(kind, input, { sizeMm, along: s.along });
    const form = kind.plan(
      input.form.measuredOn === 'outside' ? insideMeasures(kind, measures, of.wallMm) : measures,
      {
        factor: { along: shrinkageFactor(s.along), across: shrinkageFactor(s.across) },
        foldOverMm: mm(input.foldOverMm),
        resistMm: mm(input.resistMm),
        ...(of.finenessMm === undefined ? {} : { finenessMm: of.finenessMm }),
      },
      input.form.outline,
    );
    laid.set(key, form);
    return form;
  };
};

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
  laidAreaM2: (sizeMm, s) => woolAreaM2(lay(sizeMm, s)),
  volumeCm3: (sizeMm, s) => woolVolumeCm3(lay(sizeMm, s)),
  volumeNeedsShrinkage:
    kind.body === 'solid' && (lay(nominalSize(kind, input), axes(input)).solid?.extraShare ?? 0) > 0,
});

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
