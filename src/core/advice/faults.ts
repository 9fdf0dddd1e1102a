import type { BenchState } from '../log/benchState';
import type { FormPlan } from '../forms/formKind';
import { PRACTICE } from '../acts/practice';

/** Something that goes wrong at the bench: what is seen, why it likely came about, and what helps. All common practice. */
export interface Fault {
  readonly id: string;
  readonly seen: string;
  readonly cause: string;
  readonly remedy: string;
  /** True where it has a place on the piece, which is marked and looked at again. */
  readonly hasPlace: boolean;
  /** Which pieces it can befall. */
  readonly of: 'all' | 'flat' | 'resist' | 'solid' | 'many';
}

export const FAULTS: readonly Fault[] = [
  {
    id: 'thin',
    seen: 'a thin spot or a hole',
    cause: 'uneven wisps, an edge, rubbed too soon, dents of the bubbles',
    remedy:
      'Stop rolling. Lay a thin wisp wider than the hole, wet it, press, rub through net; then back to pressing.',
    hasPlace: true,
    of: 'flat',
  },
  {
    id: 'slides',
    seen: 'fibres slide, the layout shifts',
    cause: 'too much water or soap, too much pressure',
    remedy: 'Blot, lighten the pressure, put the net on.',
    hasPlace: false,
    of: 'all',
  },
  {
    id: 'fluffy',
    seen: 'it stays fluffy and gets no skin',
    cause: 'too dry, cold, no soap, or a wool that does not felt',
    remedy: 'Warm soapy water. If that does not help, felt a swatch of the wool by itself.',
    hasPlace: false,
    of: 'all',
  },
  {
    id: 'foam',
    seen: 'foam everywhere',
    cause: 'too much soap',
    remedy: 'Rinse part of it out and go on.',
    hasPlace: false,
    of: 'all',
  },
  {
    id: 'fold',
    seen: 'a fold has felted in',
    cause: 'rolled crooked',
    remedy: 'Ease it apart at once with soap. If it is fast, cut it and heal the cut.',
    hasPlace: true,
    of: 'flat',
  },
  {
    id: 'stuck',
    seen: 'front stuck to back, the mouth closed',
    cause: 'the resist is short, or came out too early',
    remedy: 'Ease it apart, and put plastic back between.',
    hasPlace: true,
    of: 'resist',
  },
  {
    id: 'long',
    seen: 'one direction stays long',
    cause: 'rolled unevenly',
    remedy: 'Roll along the long direction only, and measure often.',
    hasPlace: false,
    of: 'flat',
  },
  {
    id: 'corner',
    seen: 'a corner or a side lags',
    cause: 'the bundle is slack there',
    remedy: 'Roll its diagonal; rub it by itself.',
    hasPlace: true,
    of: 'flat',
  },
  {
    id: 'ridge',
    seen: 'a ridge at the edge of the resist',
    cause: 'the fold-over is too thick or too loose',
    remedy: 'Rub the edge. Next time feather it and pull it tight.',
    hasPlace: true,
    of: 'resist',
  },
  {
    id: 'crack',
    seen: 'the ball is cracked, or shows a seam',
    cause: 'dry, too much pressure early, wrapped loosely',
    remedy: 'A thin veil of wool, warm soapy water, light as a feather.',
    hasPlace: false,
    of: 'solid',
  },
  {
    id: 'sausage',
    seen: 'the ball is flat, or a sausage',
    cause: 'one direction only, or a slick lid',
    remedy: 'Between the palms, always changing direction.',
    hasPlace: false,
    of: 'solid',
  },
  {
    id: 'soft',
    seen: 'the ball is soft inside',
    cause: 'the skin came too early, or the core is too loose',
    remedy: 'Hot water; squeeze and roll; finish it in a machine.',
    hasPlace: false,
    of: 'solid',
  },
  {
    id: 'stalled',
    seen: 'it shrinks no more',
    cause: 'cold, dry, cushioned, or at its limit',
    remedy: 'Hot water, bare mat, throw it. If it is dense, it is done.',
    hasPlace: false,
    of: 'all',
  },
  {
    id: 'small',
    seen: 'it is too small',
    cause: 'worked past its size',
    remedy: 'Stretch it wet on a form at once: a few per cent come back. Note it for next time.',
    hasPlace: false,
    of: 'all',
  },
  {
    id: 'unequal',
    seen: 'the pair is unequal',
    cause: 'unequal grams, or unequal work',
    remedy: 'Work the larger one by itself; measure both each round.',
    hasPlace: false,
    of: 'many',
  },
];

export const faultOf = (id: string): Fault | null => FAULTS.find(f => f.id === id) ?? null;

/** Whether something has to be taken out of a piece: its mouth is cut, and front and back can stick together. */
export const isHollow = ({ outlineIs }: FormPlan): boolean => outlineIs === 'resist' || outlineIs === 'ball';

/** Whether a fault can befall a piece of this form, of so many alike. */
export const canOccur = (fault: Fault, form: FormPlan, pieces: number): boolean => {
  switch (fault.of) {
    case 'all':
      return true;
    case 'solid':
      return form.solid !== null;
    case 'flat':
      return form.solid === null;
    case 'many':
      return pieces > 1;
    case 'resist':
      return isHollow(form);
  }
};

/** What the log says against or for a fault, in words; null where it says nothing. */
export const causeInLog = (
  id: string,
  state: BenchState,
  faces: readonly number[],
): { readonly likely: string; readonly weight: number } | null => {
  const by = (deg: number): number =>
    state.petals.filter(p => p.directionDeg === deg).reduce((sum, p) => sum + p.rolls, 0);
  const [along, across] = [by(0), by(90)];
  const leastRubbed = Math.min(...faces.map(f => state.rubs[f] ?? 0));
  if (id === 'long' && Math.abs(along - across) > 0.25 * Math.max(along, across))
    return { likely: `${along} rolls along against ${across} across`, weight: 3 };
  if (id === 'thin' && leastRubbed < PRACTICE.rubs && state.rolls > 0)
    return { likely: `rolled after only ${leastRubbed} rubs of a face`, weight: 2 };
  if (id === 'fluffy' && state.wettedFaces.length < faces.length)
    return { likely: 'not every face was wetted', weight: 3 };
  if (id === 'fluffy' && state.water === 'cold') return { likely: 'the water is cold', weight: 2 };
  if ((id === 'foam' || id === 'slides') && state.look?.foam === 'much')
    return { likely: 'much foam was seen', weight: 2 };
  if (id === 'slides' && state.look?.wetness === 'pools')
    return { likely: 'pools of water were seen', weight: 2 };
  if (id === 'stalled' && state.water !== 'hot' && state.water !== null)
    return { likely: `the water is ${state.water}`, weight: 2 };
  if (id === 'ridge' && leastRubbed < PRACTICE.rubs)
    return { likely: `a face had only ${leastRubbed} rubs`, weight: 1 };
  return null;
};
