import type { FormKind } from '../formKind';
import { planFlat } from '../flat';
import { drawnFinished, DRAWN_SPECS, drawnSize, LEAF } from '../drawnForm';

/** Free sheet: a flat piece of any outline, drawn here or read from an SVG. */
export const freeSheet: FormKind = {
  kind: 'free-sheet',
  title: 'Free shape, flat',
  purpose: 'any flat outline: drawn here, or from an SVG',
  group: 'own',
  faces: 1,
  body: 'sheet',
  size: drawnSize,
  outline: LEAF,
  defaults: { length: 300, width: 180, ease: 0 },
  usual: { thicknessMm: 4, firmness: 0.2, layers: 4 },
  specs: () => DRAWN_SPECS,
  objection: () => null,
  plan: (m, laying, outline) => {
    const { finished, handles, trouble } = drawnFinished(m, outline ?? LEAF, laying.finenessMm);
    return { ...planFlat({ finished: finished.points, handles }, laying), trouble };
  },
};
