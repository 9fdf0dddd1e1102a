import type { CameAboutId } from '../core/rehearsal/cameAbout';
import type { Foam, PinchGrade, Water, Wetness } from '../core/acts/vocabulary';
import { PINCH } from '../core/acts/pinch';

/** What a fault looks like as long as it can be mended, once it is fast, and what brought it. */
export const CAME_ABOUT: Readonly<
  Record<CameAboutId, { readonly begun: string; readonly fast: string; readonly by: string }>
> = {
  fold: {
    begun: 'A crease lies across it. It can still be pulled apart.',
    fast: 'A fold has felted in.',
    by: 'rolled on without a look into the bundle',
  },
  stuck: {
    begun: 'Front and back cling to one another. They can still be pulled apart.',
    fast: 'Front and back have felted together.',
    by: 'the resist came out before the skin held',
  },
  ravel: {
    begun: 'The cut edge sheds wool. Rubbed now it still closes.',
    fast: 'The edge has ravelled.',
    by: 'cut before the skin held',
  },
  hard: {
    begun: 'The cut edge is hard and does not close.',
    fast: 'The edge is hard: it will not heal any more.',
    by: 'cut when most of the way was behind it',
  },
  crack: {
    begun: 'A fine crack runs over it. Wool laid on would still take.',
    fast: 'It is cracked through.',
    by: 'pressed before half of its skin was there',
  },
  thin: {
    begun: 'The wool floats apart here. Wool laid on would still take.',
    fast: 'A thin spot has felted in.',
    by: 'wetted a third time before the skin held',
  },
  sausage: {
    begun: 'It has grown longer than it is thick. Turned and rolled across it still comes round.',
    fast: 'It has become a sausage.',
    by: 'rolled one way for more than six minutes on end',
  },
};

/** How wet it is seen to be, and how warm the water is to the hand. */
export const WETNESS_SEEN: Readonly<Record<Wetness, string>> = {
  dry: 'Some of it is still dry.',
  right: 'It is wet all through, and slippery.',
  pools: 'Water stands in pools on it.',
};
export const WATER_FELT: Readonly<Record<Water, string>> = {
  hot: 'The water is hot.',
  warm: 'The water is warm.',
  cold: 'The water has gone cold.',
};

/** How it foams between the fingers. */
export const FOAM_SEEN: Readonly<Record<Foam, string>> = {
  none: 'There is no soap to feel.',
  right: 'It foams a little.',
  much: 'It foams so much that it slides.',
};

/** What the fingers find when the skin is pinched. */
export const pinchFound = (grade: PinchGrade): string => `You pinch it: ${PINCH[grade]}.`;
