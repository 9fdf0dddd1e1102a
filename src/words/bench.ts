import type { EarlySign } from '../core/advice/lookFor';
import type { Gate } from '../core/advice/gates';
import type { Pressure, Water } from '../core/acts/vocabulary';

export const PRESSURE_WORDS: Readonly<Record<Pressure, string>> = {
  light: 'light',
  arms: 'weight of the arms',
  hard: 'hard',
};

/** What a piece has reached. */
export const GATE_WORDS: Readonly<Record<Gate, string>> = {
  'may-roll': 'The skin holds: you can roll it now.',
  'may-open':
    'You can cut it open now. Cut a little at a time, away from your other hand, not into the resist; rub the cut with soap at once.',
  'open-soon': 'It is still closed. Cut it soon, while a cut still heals.',
  'may-take-out': 'You can pull the resist out at the opening now. Then rub the rim and the inside.',
  'take-out-soon': 'The resist is still in. Take it out soon, while you can still work the inside.',
  'firm-but-large': 'It is firm but still too large. Hot water, a bare mat and throwing may still shrink it.',
  'size-but-soft': 'It is the right size but still soft. Firm it with as little shrinking as you can.',
};

/** What helps at each verdict. Common practice. */
export const WETNESS_HELP = {
  dry: 'Sprinkle warm soapy water on and press until no tuft stands up.',
  right: 'Carry on.',
  pools: 'Press the water out, or soak it up with a sponge or towel.',
} as const;
export const FOAM_HELP = {
  none: 'Add a little soap: your fingers should slip, without a lot of foam.',
  right: 'Carry on.',
  much: 'Rinse some soap out: foam hides the wool and lets fibres slide.',
} as const;
export const WATER_NAMES: Readonly<Record<Water, string>> = {
  hot: 'Hot again',
  warm: 'Warm again',
  cold: 'Cold',
};

export const EARLY_SIGNS: Readonly<Record<EarlySign, string>> = {
  tufts: 'Tufts that stand up are dry: wet them and press.',
  bubbles: 'Air under the net: press it out from the middle.',
  net: 'Wool growing into the net or towel: peel it off slowly, close to the surface.',
  popping: 'Bubbles popping: you are pressing too hard.',
  cooling: 'Water gone cold: pour it off and add warm water.',
  inside: 'The inside: turn it out and work it too.',
  edges: 'Cut edges opening again: rub them with soap.',
};
