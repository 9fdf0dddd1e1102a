import type { Advice, Reason } from '../../core/advice/advice';
import type { Act, ActKind, PinchGrade, RollDirection } from '../../core/log/entry';
import { faultOf } from '../../core/advice/faults';
import { FELT_TESTS } from '../../core/log/tests';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { recipeWords } from './recipeWords';

export const WETNESS_WORDS = {
  dry: 'dry tufts',
  right: 'wet right through',
  pools: 'pools of water',
} as const;
export const FOAM_WORDS = { none: 'no soap to feel', right: 'slippery', much: 'much foam' } as const;

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

export const PINCH: Readonly<Record<PinchGrade, string>> = {
  0: 'strands come away',
  1: 'strands lift',
  2: 'the skin lifts as one',
  3: 'nothing lifts',
};

const face = (n: number, faces: number): string => (faces > 1 ? `, face ${n}` : '');

/** How a piece is spoken of: its faces, whether its rolls have a direction, and in which units. */
export interface Spoken {
  readonly faces: number;
  readonly isSolid: boolean;
  readonly units: UnitSystem;
}

const way = (deg: RollDirection, { isSolid }: Spoken): string =>
  isSolid ? ', every way' : ` ${DIRECTION[deg]}`;

const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);

/** A count that was not counted. */
const roughly = (give?: number): string => (give ? 'about ' : '');

/** An act in words, as it is proposed, done or undone. */
export const actWords = (act: Act, of: Spoken): string => {
  switch (act.kind) {
    case 'wet':
      return `Wet with ${act.water} water${face(act.face, of.faces)}`;
    case 'rub':
      return `Rub ${roughly(act.give)}${act.count}${face(act.face, of.faces)}`;
    case 'roll':
      return `Roll ${roughly(act.give)}${act.rolls}${way(act.directionDeg, of)}${face(act.face, of.faces)}`;
    case 'throw':
      return `Throw ${act.count}`;
    case 'shock':
      return `Hot and cold, ${times(act.rounds)}`;
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
    case 'water':
      return `${{ hot: 'Hot', warm: 'Warm', cold: 'Cold' }[act.water]} water again`;
    case 'look':
      return `Looked: ${[act.wetness && WETNESS_WORDS[act.wetness], act.foam && FOAM_WORDS[act.foam]].filter(Boolean).join(', ')}`;
    case 'test':
      return `${FELT_TESTS[act.test].name}: ${FELT_TESTS[act.test].grades[act.grade] ?? act.grade}`;
    case 'thickness':
      return `Thickness ${showQuantity(act.thicknessMm, 'thickness', of.units)}`;
    case 'open':
      return act.what === 'cut' ? 'Cut open' : 'Resist taken out';
    case 'fault':
      return `Seen: ${faultOf(act.fault)?.seen ?? act.fault}`;
    case 'step':
      return { done: 'Step done', skipped: 'Step left out', started: 'Clock started' }[act.how];
    case 'mended':
      return 'Mended';
    case 'note':
      return act.text;
    case 'undo':
      return 'Undone';
  }
};

/** The advice in a few words. */
export const adviceWords = (advice: Advice, of: Spoken): string => {
  const { faces } = of;
  switch (advice.act) {
    case 'wet':
      return `Wet it${face(advice.face, faces)}`;
    case 'rub':
      return `Rub ${advice.count}${face(advice.face, faces)}`;
    case 'pinch':
      return 'Pinch test';
    case 'test':
      return FELT_TESTS[advice.test].name;
    case 'measure':
      return 'Measure';
    case 'roll':
      return `Roll ${advice.rolls}${way(advice.directionDeg, of)}${face(advice.face, faces)}`;
    case 'throw':
      return `Throw it ${advice.count} times`;
    case 'shock':
      return `Hot and cold, ${times(advice.count)}`;
    case 'look':
      return 'Open it and look';
    case 'open':
      return advice.what === 'cut' ? 'Cut it open' : 'Take the resist out';
    case 'step':
      return recipeWords(advice.step, faces);
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
  'soft-inside':
    'Size is reached, but it is soft inside. Hot and cold in turn, squeezed and rolled between them, firms it most.',
  'size-and-firm': 'Size and firmness are both there. Over-shrunk cannot be undone.',
  'way-to-go': 'Then measure again: how far it goes is not known before.',
  'does-not-fit':
    'That does not fit what was done and read before: measure it once more. If it stands, it counts.',
  'look-again': 'It may be there. Another reading tells more than another roll.',
  'as-near-as-it-gets': 'It is as near as it is likely to get, and firm.',
  'at-its-limit':
    'It hardly moves any more. If it is dense, it is done; hot water, a bare mat and throwing are what is left.',
  'corner-lags':
    'A corner lags: it is rolled on its own diagonal, a little, and looked at again. When it has come along, it is mended.',
  'thin-to-mend':
    'A thin spot was seen. Once a wisp lies on it, wet, rub it through net before it is rolled on; rolling makes it worse.',
  'by-recipe': 'The next step of the recipe.',
  'too-small': 'It is past the target. A wet stretch on a form gives back a few per cent, if done at once.',
};

/** Why this advice, in a sentence or two. */
export const adviceReason = (
  advice: Advice,
  units: UnitSystem,
  /** Where all readings together have a line, mm; null where that is not known. */
  reckoned: (gaugeId: string) => number | null = () => null,
): string => {
  const about = advice.about;
  if (!about) return REASONS[advice.reason];
  const length = (v: number): string => showQuantity(v, 'length', units);
  const all = advice.reason === 'way-to-go' ? reckoned(about.gauge.id) : null;
  if (all !== null)
    return `${about.gauge.id} (${about.gauge.name}) is about ${length(all)} by all that was read, wanted ${length(about.gauge.wantedMm)}. ${REASONS[advice.reason]}`;
  return `${about.gauge.id} (${about.gauge.name}) is ${length(about.nowMm)}, wanted ${length(about.gauge.wantedMm)}. ${REASONS[advice.reason]}`;
};

/** A caution that belongs to a step, once and quietly. Not medical advice. */
export const CAUTION: Readonly<Partial<Record<ActKind, string>>> = {
  wet: 'Hands bear about 45–50 °C (113–122 °F); hotter water needs gloves. Children: about 40 °C (104 °F), an adult pours. Mind wet floors.',
  rub: 'Soap or wool can irritate skin: gloves, rinse. Stop at pain or numbness.',
  roll: 'Stand at counter height; change posture and stretch after every set. Stop at pain or numbness.',
  throw: 'Wipe up splashes before you step. Wrists: stop at pain or numbness.',
  open: 'A little at a time, not into the resist. Blades away from the other hand; an adult cuts for children.',
  shock:
    'Water too hot for hands needs gloves or a tool; pour away from people. An adult pours for children.',
};
