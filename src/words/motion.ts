import type { MotionPlace } from '../core/motion/motion';
import type { MotionDoubt } from '../core/motion/rollCounter';

/** Where the phone is: its name, and how to carry it. */
export const MOTION_PLACE_WORDS: Readonly<
  Record<MotionPlace, { readonly name: string; readonly how: string }>
> = {
  wrist: { name: 'On the wrist', how: 'Strapped to the forearm that rolls, screen outwards.' },
  pocket: { name: 'In a pocket', how: 'In a tight trouser or apron pocket, at the hip.' },
  bundle: {
    name: 'In the bundle',
    how: 'In a sealed bag, in the hollow of the tube or pipe, wedged so that it turns with it.',
  },
};

/** Why a count is only about right. */
export const MOTION_DOUBT_WORDS: Readonly<Record<MotionDoubt, string>> = {
  odd: 'some rolls began or ended half way',
  lost: 'the phone was silent for a moment',
  unlike: 'the rolls were unlike one another',
  uncounted: 'something else went to and fro as evenly',
  noTurning: 'this phone does not feel how it turns',
};
