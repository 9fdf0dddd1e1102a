import type { Measures } from '../../forms/formKind';
import { makePlan, type Plan } from '../makePlan';
import type { PlanInput } from '../planInput';

/** A form by its measures, taken inside. */
export const formOf = (kind: string, measures: Measures): PlanInput['form'] => ({
  kind,
  measures,
  outline: null,
  measuredOn: 'inside',
});

/** The round pad of the model's worked example: ⌀ 400 mm, s 0.33, t 8 mm, ρ 0.25. */
export const PAD: PlanInput = {
  form: formOf('disc', { diameter: 400, over: 0, strip: 0 }),
  pieces: 1,
  shrinkage: { along: 0.33, across: 0.33 },
  pinned: [],
  given: ['size', 'shrinkage', 'layers', 'thickness', 'firmness'],
  chain: { layers: 4, thickness: 8, firmness: 0.25 },
  foldOverMm: 0,
  resistMm: 0,
  keptShare: 0.97,
  reserveShare: 0.05,
  scaleStepG: 1,
};

/** The plan of an input that can be planned. */
export const plan = (input: PlanInput): Plan => {
  const made = makePlan(input);
  if (!made.ok) throw new Error(JSON.stringify(made.issues));
  return made.value;
};
