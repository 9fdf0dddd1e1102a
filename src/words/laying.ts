import type { LayMethod } from '../core/plan/layMethodOf';
import type { Decoration, fibreDirection, LayStep } from '../core/wool/layOrder';

const decorationWords = ({ kind, name, first }: Decoration, face: string): string => {
  if (kind === 'stem') return `Spread the dry fan of ${name} into the wool${face}; rub the join longest`;
  const how = first ? ', mirrored, because it lies face down' : '';
  return kind === 'silk'
    ? `Lay ${name}${face}${how}, and a thin net of wool over it`
    : `Lay ${name}${face}${how}`;
};

/** A step of laying in words, as it is ticked off. */
export const layWords = (step: LayStep, of: LayMethod & { readonly layers: number }): string => {
  const stacked = of.build === 'stacked';
  const sheet = stacked ? of.names[step.face - 1] : undefined;
  const face = of.faces > 1 ? `, ${sheet ?? `side ${step.face}`}` : '';
  switch (step.act) {
    case 'make':
      return `Make ${step.what?.name ?? ''} first; felt all but a dry fan at its root`;
    case 'decorate':
      return step.what ? decorationWords(step.what, face) : '';
    case 'lay':
      return `Lay layer ${step.layer} of ${of.layers}${face}`;
    case 'grid':
      return 'Lay the grid on, square to the edges';
    case 'wind':
      return `Tease the ${of.names[step.face - 1] ?? 'wool'} and wind it up tight, a little at a time, each wrap across the last`;
    case 'wet':
      return stacked ? 'Wet it and press down through both sheets' : `Wet and press down${face}`;
    case 'cover':
      return `Cover it and press the air out${stacked ? '' : face}`;
    case 'flip':
      return `Turn it over: side ${step.face} goes underneath`;
    case 'fold':
      return `Fold the overhang of side ${step.face} over, tight around the resist`;
  }
};

/** Which way a layer's fibres lie. */
export const directionWords = (way: ReturnType<typeof fibreDirection>): string =>
  way === 0 ? 'lengthwise' : way === 90 ? 'crosswise' : way === 'radial' ? 'outwards' : 'every way';
