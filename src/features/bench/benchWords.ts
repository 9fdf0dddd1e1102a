import type { Advice, Reason } from '../../core/advice/nextAct';
import type { Act, ActKind, Cushion, PinchGrade, Pressure, RollDirection } from '../../core/cycles/entry';
import { showQuantity, type UnitSystem } from '../../core/units/units';

export const DIRECTION: Readonly<Record<RollDirection, string>> = {
  0: 'along',
  45: 'diagonal',
  90: 'across',
  135: 'other diagonal',
};

/** Arrow for a line on the screen, degrees clockwise from right. */
export const arrowAt = (screenDeg: number): string => {
  const turn = (((screenDeg % 180) + 180) % 180) / 45;
  return ['↔', '⤡', '↕', '⤢'][Math.round(turn) % 4] ?? '↔';
};

export const CUSHION_WORDS: Readonly<Record<Cushion, string>> = {
  thick: 'thick',
  bubble: 'bubble wrap',
  mat: 'mat',
  bare: 'bare mat',
};
export const PRESSURE_WORDS: Readonly<Record<Pressure, string>> = {
  light: 'light',
  arms: 'arms’ weight',
  hard: 'hard',
};

export const PINCH: Readonly<Record<PinchGrade, string>> = {
  0: 'strands come away',
  1: 'strands lift',
  2: 'the skin lifts as one',
  3: 'nothing lifts',
};

const face = (n: number, faces: number): string => (faces > 1 ? `, face ${n}` : '');

/** An act in words, as it is proposed, done or undone. */
export const actWords = (act: Act, of: { faces: number; units: UnitSystem }): string => {
  switch (act.kind) {
    case 'wet':
      return `Wet with ${act.water} water${face(act.face, of.faces)}`;
    case 'rub':
      return `Rub ${act.count}${face(act.face, of.faces)}`;
    case 'roll':
      return `Roll ${act.rolls} ${DIRECTION[act.directionDeg]}${face(act.face, of.faces)}`;
    case 'throw':
      return `Throw ${act.count}`;
    case 'shock':
      return `Hot and cold, ${act.rounds === 1 ? 'once' : `${act.rounds} times`}`;
    case 'measure':
      return `Measured ${Object.entries(act.readings)
        .filter(([, v]) => v !== null)
        .map(([id, v]) => `${id} ${showQuantity(v ?? Number.NaN, 'length', of.units)}`)
        .join(', ')}`;
    case 'pinch':
      return `Pinch: ${PINCH[act.grade]}`;
    case 'lay':
      return act.how === 'done' ? 'Laid' : 'Left out';
    case 'weigh':
      return `Weighed ${showQuantity(act.grams, 'mass', of.units)}`;
    case 'note':
      return act.text;
    case 'undo':
      return 'Undone';
  }
};

/** The advice in a few words. */
export const adviceWords = (advice: Advice, faces: number): string => {
  switch (advice.act) {
    case 'wet':
      return `Wet it${face(advice.face, faces)}`;
    case 'rub':
      return `Rub ${advice.count}${face(advice.face, faces)}`;
    case 'pinch':
      return 'Pinch test';
    case 'measure':
      return 'Measure';
    case 'roll':
      return `Roll ${advice.rolls} ${DIRECTION[advice.directionDeg]}${face(advice.face, faces)}`;
    case 'throw':
      return `Throw it ${advice.count} times`;
    case 'stretch':
      return 'Stretch it wet, now';
    case 'stop':
      return 'Stop: rinse and shape';
  }
};

const REASONS: Readonly<Record<Reason, string>> = {
  'dry-face': 'This side has not been wetted. Flat everywhere, no dry tufts, no puddles; press, do not rub.',
  'no-skin-yet': 'The skin does not hold yet. Pressure of an egg; edges first and longest.',
  'skin-to-test': 'Lift the surface between finger and thumb: when the skin lifts as one it may be rolled.',
  'measure-due': 'It has been rolled for a while since it was measured. Flat and unstretched.',
  'least-worked': 'This way has had the least work. It shrinks in the direction it is rolled.',
  'direction-lags': 'This direction is behind the other: roll only this way, and measure often.',
  'nearly-there': 'It is about at its size: see before going on.',
  'size-reached-soft': 'Size is reached, but it is still soft. Throwing firms it; measure in between.',
  'size-and-firm': 'Size and firmness are both there. Over-shrunk cannot be undone.',
  'too-small': 'It is past the target. A wet stretch on a form gives back a few per cent, if done at once.',
};

/** Why this advice, in a sentence or two. */
export const adviceReason = (advice: Advice, units: UnitSystem): string => {
  const about = advice.about;
  if (!about) return REASONS[advice.reason];
  const length = (v: number): string => showQuantity(v, 'length', units);
  return `${about.gauge.id} (${about.gauge.name}) is ${length(about.nowMm)}, wanted ${length(about.gauge.wantedMm)}. ${REASONS[advice.reason]}`;
};

/** A caution that belongs to a step, once and quietly. Not medical advice. */
export const CAUTION: Readonly<Partial<Record<ActKind, string>>> = {
  wet: 'Hands bear about 45–50 °C (113–122 °F); hotter water needs gloves. Children: about 40 °C (104 °F), an adult pours. Mind wet floors.',
  rub: 'Soap or wool can irritate skin: gloves, rinse. Stop at pain or numbness.',
  roll: 'Stand at counter height; change posture and stretch after every set. Stop at pain or numbness.',
  throw: 'Wipe up splashes before you step. Wrists: stop at pain or numbness.',
  shock:
    'Water too hot for hands needs gloves or a tool; pour away from people. An adult pours for children.',
};
