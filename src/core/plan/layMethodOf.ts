import type { FormPlan } from '../forms/formKind';
import type { Way } from '../ways/way';
import type { LayBuild } from '../ways/layBuild';

/** How a form is laid: how its wool comes together, in how many parts, and what these are called. */
export interface LayMethod {
  readonly build: LayBuild;
  readonly faces: number;
  readonly names: readonly string[];
}

/** How a form is laid in a way of working. A body is wound whatever the way; so many sheets as it has faces are laid. */
export const layMethodOf = (form: FormPlan, way: Pick<Way, 'build'>): LayMethod => {
  const names = (form.solid ? [...(form.solid.apart ?? []), ...form.solid.heaps] : form.faces).map(
    part => part.name,
  );
  const isBody = way.build === 'wound' || way.build === 'wrapped' || way.build === 'twisted';
  const build = form.solid && !isBody ? 'wound' : !form.solid && isBody ? 'turned' : way.build;
  return { build, faces: names.length, names };
};
