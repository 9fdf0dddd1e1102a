import type { Face, FormPlan } from './formKind';

/** The faces that differ from one another: one for a form whose faces are all alike. */
export const distinctFaces = ({ faces }: FormPlan): readonly Face[] =>
  faces.filter((f, i) => faces.findIndex(g => g.netMm2 === f.netMm2 && g.woolMm2 === f.woolMm2) === i);
