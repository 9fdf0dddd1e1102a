import type { FormPlan } from '../forms/formKind';
import type { LayBuild } from '../wool/layOrder';

/** How a form is laid: how its wool comes together, in how many parts, and what these are called. */
export interface LayMethod {
  readonly build: LayBuild;
  readonly faces: number;
  readonly names: readonly string[];
}

export const layMethodOf = (form: FormPlan): LayMethod => {
  const names = (form.solid?.heaps ?? form.faces).map(part => part.name);
  // A resist with openings is a grid between two sheets: it is laid on, not turned over.
  const build = form.solid ? 'wound' : form.openings.length > 0 ? 'stacked' : 'turned';
  return { build, faces: names.length, names };
};
