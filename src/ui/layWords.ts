import type { LayStep } from '../core/wool/layOrder';

/** A step of laying in words, as it is ticked off. */
export const layWords = (step: LayStep, of: { readonly faces: number; readonly layers: number }): string => {
  const face = of.faces > 1 ? `, face ${step.face}` : '';
  switch (step.act) {
    case 'lay':
      return `Lay layer ${step.layer} of ${of.layers}${face}`;
    case 'wet':
      return `Wet and press down${face}`;
    case 'cover':
      return `Cover, and press the air out${face}`;
    case 'flip':
      return `Flip it: face ${step.face} goes under`;
    case 'fold':
      return `Fold the spill of face ${step.face} over, tight to the resist`;
  }
};
