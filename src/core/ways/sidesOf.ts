import type { FormPlan } from '../forms/formKind';
import type { Way } from './way';

/** Sides that are worked by themselves in a way, from 1; a piece that is worked as a whole has one. */
export const sidesOf = (form: Pick<FormPlan, 'faces'>, { bySide }: Pick<Way, 'bySide'>): readonly number[] =>
  bySide ? form.faces.map((_, i) => i + 1) : [1];
