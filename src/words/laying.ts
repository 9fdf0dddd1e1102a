import type { LayMethod } from '../core/plan/layMethodOf';
import type { Habits } from '../core/ways/habits';
import { habitOf } from '../core/ways/habits';
import type { Decoration, fibreDirection, LayAct, LayStep } from '../core/wool/layOrder';

const decorationWords = ({ kind, name, first }: Decoration, face: string): string => {
  if (kind === 'stem') return `Spread the dry fan of ${name} into the wool${face}; rub the join longest`;
  const how = first ? ', mirrored, because it lies face down' : '';
  return kind === 'silk'
    ? `Lay ${name}${face}${how}, and a thin net of wool over it`
    : `Lay ${name}${face}${how}`;
};

/** How it is wetted, by where the soap goes. */
const WETTED = {
  water: 'Wet and press down',
  wool: 'Wet it, rub soap on the wool and press down',
  foam: 'Lay foam on it and press down',
  flakes: 'Strew soap flakes, sprinkle water and press down',
} as const;

/** Steps that are said in one way, whatever the piece. */
const PLAIN: Readonly<Partial<Record<LayAct, string>>> = {
  grid: 'Lay the grid on, square to the edges',
  place: 'Lay the resist in the middle of the wool',
  close: 'Close the wool over the resist; leave the gap, or fill it with wisps',
  blow: 'Blow the ball up to its size and stand it in a bowl',
  felt: 'Pat it all over, then rub gently for 3 min; push holes shut, and blot it',
  loop: 'Let a loop of string in at the top, its ends spread into the wool',
  tack: 'Tack the loose ends with a felting needle, dry, on a cushion; never toward your hand',
  bag: 'Put it into the stocking and knot that close',
  plastic: 'Lay thin plastic down, cut to the height of the tube',
  'roll-up': 'Roll the strip on the tube, heart first, and bind it with bands',
  twist: 'Twist it dry to the thickness you want',
  tip: 'Dip the tip, without soap; keep the root dry',
};

const winding = (act: LayAct, name: string): string | null => {
  switch (act) {
    case 'wind':
      return `Tease the ${name} and wind it up tight, a little at a time, each wrap across the last`;
    case 'wad':
      return `Wad the ${name} hard and round`;
    case 'wrap':
      return `Wrap the ${name} around it like a parcel until nothing shows and no seam is left`;
    default:
      return null;
  }
};

/** A step of laying in words, as it is ticked off. */
export const layWords = (
  step: LayStep,
  of: LayMethod & { readonly layers: number; readonly habits?: Habits },
): string => {
  const stacked = of.build === 'stacked';
  const sheet = stacked ? of.names[step.face - 1] : undefined;
  const face = step.isWide || of.faces < 2 ? '' : `, ${sheet ?? `side ${step.face}`}`;
  const plain = PLAIN[step.act] ?? winding(step.act, of.names[step.face - 1] ?? 'wool');
  if (plain) return plain;
  const habits = of.habits ?? {};
  switch (step.act) {
    case 'make':
      return `Make ${step.what?.name ?? ''} first; felt all but a dry fan at its root`;
    case 'decorate':
      return step.what ? decorationWords(step.what, face) : '';
    case 'lay':
      if (of.build === 'dabbed')
        return `Dab layer ${step.layer} of ${of.layers} on, damp, in patches every way`;
      return `Lay layer ${step.layer} of ${of.layers}${step.isWide ? ', wide enough to close over the resist' : face}`;
    case 'wet':
      return stacked
        ? 'Wet it and press down through both sheets'
        : `${WETTED[habitOf(habits, 'soap')]}${face}`;
    case 'cover':
      return `${habitOf(habits, 'cover') === 'plastic' ? 'Lay plastic on' : 'Cover it'} and press the air out${stacked ? '' : face}`;
    case 'flip':
      return `Turn it over: side ${step.face} goes underneath`;
    case 'fold':
      return `Fold the overhang of side ${step.face} over, tight around the resist`;
    default:
      return step.act;
  }
};

/** Which way a layer’s fibres lie. */
export const directionWords = (way: ReturnType<typeof fibreDirection>): string =>
  way === 0 ? 'lengthwise' : way === 90 ? 'crosswise' : way === 'radial' ? 'outwards' : 'every way';
