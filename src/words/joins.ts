import type { Join } from '../core/project/joins';
import { showQuantity, type UnitSystem } from '../core/units/units';

/** Whether a part fits, and what helps where it does not. */
export const joinWords = (join: Join, units: UnitSystem): string => {
  const mm = 'mm' in join ? showQuantity(join.mm, 'thickness', units) : '';
  return {
    holds: 'The ball is a little wider than its cap: it holds.',
    hidden: 'The back is hidden behind the piece.',
    drawn: 'A needle draws it through.',
    'falls-out': `The ball is ${mm} too thin for the cap: it falls out. Take a smaller cap, or glue it.`,
    bulges: `The ball is ${mm} wider than the cap: it bulges out. Take a larger cap.`,
    shows: `The back looks out: it should be ${mm} at the most.`,
    'too-thick': `It is too thick to be drawn through: leave a stick of ${mm} in while felting.`,
    'mind-cap': 'A ball a little wider than the inside of its cap holds in it.',
    'mind-thread':
      'The needle’s eye must take it. Let a string in before laying, or leave a stick in while felting.',
  }[join.is];
};
