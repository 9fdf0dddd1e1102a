import type { ProposedAct, Reason } from '../../core/advice/proposedAct';
import { faultOf } from '../../core/advice/faults';
import { actWords, controlOf } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { inDirection, onFace, times } from '../../core/acts/actWords';
import { FELT_TESTS } from '../../core/acts/feltTests';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { recipeStepWords } from '../../core/recipe/recipeSteps';
import { DEFAULT_SETTINGS } from '../../records/settings';

/** Arrow for a line on the screen, degrees clockwise from right. */
export const arrowAt = (screenDeg: number): string => {
  const turn = (((screenDeg % 180) + 180) % 180) / 45;
  return ['↔', '⤡', '↕', '⤢'][Math.round(turn) % 4] ?? '↔';
};

/** What a fault is called that was seen. */
export const faultName = (fault: string): string => faultOf(fault)?.seen ?? fault;

/** The advice in a few words. */
export const proposalWords = (proposed: ProposedAct, of: PieceWording): string => {
  switch (proposed.act) {
    case 'wet':
      return `Wet it${onFace(proposed.face, of)}`;
    case 'rub':
      return `Rub ${proposed.count}${onFace(proposed.face, of)}`;
    case 'pinch':
      return 'Pinch test';
    case 'test':
      return FELT_TESTS[proposed.test].name;
    case 'measure':
      return 'Measure';
    case 'roll':
      return `Roll ${proposed.rolls}${inDirection(proposed.directionDeg, of)}${onFace(proposed.face, of)}`;
    case 'throw':
      return `Throw it ${proposed.count} times`;
    case 'shock':
      return `Hot and cold, ${times(proposed.count)}`;
    case 'look':
      return 'Open it and look';
    case 'open':
      return proposed.what === 'cut' ? 'Cut it open' : 'Take the resist out';
    case 'step':
      return recipeStepWords(proposed.step, of.faces);
    case 'other': {
      const act = controlOf(proposed.kind)?.make(proposed, DEFAULT_SETTINGS);
      return act ? actWords(act, of) : proposed.kind;
    }
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
export const proposalReason = (
  proposed: ProposedAct,
  units: UnitSystem,
  /** Where all readings together have a line, mm; null where that is not known. */
  reckoned: (gaugeId: string) => number | null = () => null,
): string => {
  const about = proposed.about;
  if (!about) return REASONS[proposed.reason];
  const length = (v: number): string => showQuantity(v, 'length', units);
  const all = proposed.reason === 'way-to-go' ? reckoned(about.gauge.id) : null;
  if (all !== null)
    return `${about.gauge.id} (${about.gauge.name}) is about ${length(all)} by all that was read, wanted ${length(about.gauge.wantedMm)}. ${REASONS[proposed.reason]}`;
  return `${about.gauge.id} (${about.gauge.name}) is ${length(about.nowMm)}, wanted ${length(about.gauge.wantedMm)}. ${REASONS[proposed.reason]}`;
};
