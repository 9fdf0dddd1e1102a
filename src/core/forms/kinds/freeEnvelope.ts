import type { FormKind } from '../formKind';
import { bothFaces, planEnvelope } from '../flatEnvelope';
import { drawnFinished, DRAWN_SPECS, drawnSize, GLOVE } from '../drawnForm';

/** Free envelope: two faces of any outline over a resist; edges may be marked open. */
export const freeEnvelope: FormKind = {
  kind: 'free-envelope',
  title: 'Free shape, hollow',
  purpose: 'any outline over a resist: drawn, read from an SVG, or traced round a hand or foot',
  group: 'own',
  faces: 2,
  body: 'sheet',
  size: drawnSize,
  outline: GLOVE,
  defaults: { length: 260, width: 160, ease: 10 },
  usual: { thicknessMm: 3.5, firmness: 0.2, layers: 4, shrinkage: 0.36 },
  specs: () => DRAWN_SPECS,
  objection: () => null,
  plan: (m, laying, outline) => {
    const { finished, handles } = drawnFinished(m, outline ?? GLOVE, laying.finenessMm);
    return planEnvelope({ faces: bothFaces(finished), handles, alongOnTable: 'right' }, laying);
  },
};
