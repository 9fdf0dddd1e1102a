import type { FormKind } from '../formKind';
import { bothFaces, planEnvelope } from '../flatEnvelope';
import { drawnFinished, DRAWN_SPECS, drawnSize, FOOT, GLOVE } from '../drawnForm';

const CLOSED =
  'It is closed all around: cut one side open to take the resist out, or leave an edge of the outline open.';

/** Free envelope: two faces of any outline over a resist; edges may be marked open. */
export const freeEnvelope: FormKind = {
  kind: 'free-envelope',
  title: 'Free shape, hollow',
  purpose: 'any outline over a resist: drawn, from an SVG, or traced around a hand',
  group: 'own',
  also: [
    {
      title: 'Round a traced foot',
      purpose: 'a slipper or liner around the outline of a foot, with ease',
      measures: { length: 260, width: 100, ease: 12 },
      outline: FOOT,
      pieces: 2,
    },
  ],
  faces: 2,
  body: 'sheet',
  size: drawnSize,
  outline: GLOVE,
  defaults: { length: 260, width: 160, ease: 10 },
  usual: { thicknessMm: 3.5, firmness: 0.2, layers: 4, shrinkage: 0.36 },
  specs: () => DRAWN_SPECS,
  objection: () => null,
  plan: (m, laying, outline) => {
    const { finished, handles, trouble } = drawnFinished(m, outline ?? GLOVE, laying.finenessMm);
    const hints = finished.open.includes(true) ? [] : [CLOSED];
    return planEnvelope(
      { faces: bothFaces(finished), handles, alongOnTable: 'right', more: { hints, trouble } },
      laying,
    );
  },
};
