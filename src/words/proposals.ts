import type { ProposedAct, Reason } from '../core/advice/proposedAct';
import { actWords, controlOf } from '../core/acts/act';
import type { PieceWording } from '../core/acts/actSpec';
import { inDirection, onFace, rubbedOn, times } from '../core/acts/actWords';
import { showQuantity, type UnitSystem } from '../core/units/units';
import { recipeStepWords } from '../core/recipe/recipeSteps';
import { DEFAULT_SETTINGS } from '../records/settings';
import type { Way } from '../core/ways/way';
import { FELT_TEST_WORDS } from './feltTests';

/** The advice in a few words. */
export const proposalWords = (proposed: ProposedAct, of: PieceWording): string => {
  switch (proposed.act) {
    case 'wet':
      return `Wet it${onFace(proposed.face, of)}`;
    case 'rub':
      return `Rub ${proposed.count}${rubbedOn(proposed.face, of)}`;
    case 'pinch':
      return 'Pinch test';
    case 'test':
      return FELT_TEST_WORDS[proposed.test].name;
    case 'measure':
      return 'Measure';
    case 'compare':
      return 'Check it against the drawing';
    case 'roll':
      return `Roll ${proposed.rolls}${inDirection(proposed.directionDeg, of)}${onFace(proposed.face, of)}`;
    case 'throw':
      return `Throw it ${proposed.count} times`;
    case 'shock':
      return `Hot and cold, ${times(proposed.count)}`;
    case 'look':
      return 'Open it and look';
    case 'open':
      if (proposed.what === 'resist-out') return 'Take the resist out';
      return proposed.cut === undefined
        ? 'Cut it open'
        : `Make cut ${proposed.cut} of ${proposed.of ?? proposed.cut}`;
    case 'step':
      return recipeStepWords(proposed.step, of.faces);
    case 'other': {
      const act = controlOf(proposed.kind)?.make(proposed, DEFAULT_SETTINGS);
      return act ? actWords(act, of) : proposed.kind;
    }
    case 'stretch':
      return 'Stretch it wet now';
    case 'stop':
      return 'Stop: rinse and shape';
  }
};

const REASONS: Readonly<Record<Reason, string>> = {
  'dry-face': 'This side is still dry. Press it flat, with no dry tufts and no puddles. Do not rub yet.',
  'no-skin-yet': 'The skin does not hold yet. Rub as gently as you would hold an egg, edges first.',
  'skin-to-test': 'Pinch the surface and lift. When it lifts as one, you can roll.',
  'hairs-through': 'Hairs have come through. Turn it over and rub it from the back too.',
  'measure-due': 'You have rolled for a while. Measure it flat, without stretching.',
  'least-worked': 'This way has had the least work. Felt shrinks in the direction you roll.',
  'direction-lags': 'This direction is behind. Roll only this way, and measure often.',
  'nearly-there': 'It is almost the right size. Look before you go on.',
  'size-reached-soft': 'It is the right size but still soft. Throwing firms it; measure in between.',
  'soft-inside':
    'It is the right size but soft inside. Hot and cold in turn firms it most; squeeze and roll in between.',
  'size-and-firm': 'It is the right size and firm. Stop here: shrinking cannot be undone.',
  unmeasured: 'It has not been measured for a while, so we know less about it.',
  'time-to-open': 'It holds and has shrunk: open it now, a little at a time.',
  'cut-one-by-one': 'Cut along its line, a little at a time, and rub its edges before the next.',
  'edges-open': 'A fresh edge opens again. Rub it with soap until it heals.',
  'inside-next': 'Now you can reach the inside. Work it before you go on.',
  'made-inside-out': 'You laid the outside first, so turn it now.',
  'edges-now': 'The skin holds, so the fuzzy edges can be folded in. Then two more rounds.',
  'must-fit': 'It is open and firm: measure what must fit.',
  'hole-small': 'The opening is tight. Stretch it wet, a little at a time; wool gives.',
  'hole-wide': 'The opening is wide. Rub its edge hard with hot soapy water, which draws it in.',
  'edges-last': 'Trim the edges straight, then rub them until they heal.',
  'details-last': 'Last, settle details and hard spots with the needle, dry.',
  'form-last': 'It is firm. Stretch it over its form before you rinse it.',
  'water-foul': 'The water is foul by now. Change it before the next one.',
  'one-is-through': 'This one is done. Put it on the towel and take the next.',
  'like-the-others': 'It has had as much as the others. If it feels the same, take the next.',
  'next-of-many': 'This one is done already. Take the next.',
  'all-at-once': 'All of them are done. The machine firms them together.',
  'all-through': 'All of them are done.',
  'put-off': 'Put off for now. The work goes on.',
  'by-feel': 'You work by feel: work it and test it in turn until it is firm.',
  'firm-by-feel': 'It is firm. Stop here: shrinking cannot be undone.',
  'way-to-go': 'Then measure again: we can’t tell yet how far it shrinks.',
  'does-not-fit':
    'That does not fit your other measurements. Measure once more; if it is the same, it counts.',
  'look-again': 'It may be done. Measuring tells you more now than rolling.',
  'as-near-as-it-gets': 'It is as close as it is likely to get, and firm.',
  'at-its-limit':
    'It hardly shrinks any more. If it is dense, it is done. If not, try hot water, a bare mat and throwing.',
  'corner-lags':
    'A corner lags behind. Roll a little on its diagonal, then look again. Tap Mended when it has caught up.',
  'thin-to-mend':
    'You saw a thin spot. Lay a wet wisp on it and rub through net first; rolling makes it worse.',
  'by-recipe': 'The next step of the recipe.',
  'too-small': 'It is past its target. Stretch it wet over a form right away: a few per cent come back.',
};

/** What is said otherwise where a piece is not worked side by side. */
const ROUND: Readonly<Partial<Record<Reason, string>>> = {
  'dry-face': 'It is still dry. Wet it with warm soapy water, all the way around; hardly press.',
  'no-skin-yet': 'The skin does not hold yet. Handle it as gently as an egg, always changing direction.',
  'way-to-go': 'Then look again: we can’t tell yet how far it shrinks.',
  'least-worked': 'Always change direction; warmer and harder as it firms up.',
};

/** The fingertip says what the pinch says elsewhere. */
const FINGER = 'Roll a fingertip on it. When no hairs move, the skin holds.';

/** On cloth hairs say it. */
const BACK = 'Look at the back. When hairs stand through everywhere, the wool holds.';

const DRAWING = 'Lay it flat on its template or resist, and tap where its edge is.';

/** Why this advice, in a sentence or two. */
export const proposalReason = (
  proposed: ProposedAct,
  of: {
    readonly units: UnitSystem;
    readonly way: Way;
    /** Where all readings together have a line, mm; null where that is not known. */
    readonly computed?: (gaugeId: string) => number | null;
    /** At the bench: where it stands is enough, and the rest is behind “Why?”. */
    readonly isBrief?: boolean;
  },
): string => {
  const { about, reason } = proposed;
  const why =
    proposed.act === 'compare'
      ? DRAWING
      : reason === 'skin-to-test' && proposed.act === 'test'
        ? proposed.test === 'cloth'
          ? BACK
          : FINGER
        : ((of.way.bySide ? undefined : ROUND[reason]) ?? REASONS[reason]);
  if (!about) return why;
  const length = (v: number): string => showQuantity(v, 'length', of.units);
  const all = reason === 'way-to-go' ? (of.computed?.(about.gauge.id) ?? null) : null;
  const { id, name, wantedMm } = about.gauge;
  if (of.isBrief && reason === 'way-to-go' && all !== null)
    return `${id} (${name}) is about ${length(all)} now, target ${length(wantedMm)}.`;
  return all === null
    ? `${id} (${name}) is ${length(about.nowMm)}, target ${length(wantedMm)}. ${why}`
    : `${id} (${name}) is about ${length(all)} by your measurements, target ${length(wantedMm)}. ${why}`;
};
