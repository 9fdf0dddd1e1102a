import type { Advice } from '../../core/advice/advice';
import { PRACTICE } from '../../core/log/practice';
import { type Act, type Cushion, ROLL_DIRECTIONS, type RollDirection } from '../../core/log/entry';
import type { Settings } from '../../records/settings';

/** The kinds of act that one tap logs. */
export type TapKind = 'roll' | 'rub' | 'wet' | 'throw' | 'shock' | 'open' | 'step';
/** What the great button does: one of these, opening a panel, or leaving for the finish. */
export type BenchKind = TapKind | PanelKind | 'finish';
/** What opens a panel. */
export type PanelKind = 'measure' | 'pinch' | 'look' | 'tests' | 'wrong' | 'count' | 'curve' | 'recipe';

/** What the great button says where it logs nothing by itself. */
export const GREAT: Readonly<Record<Exclude<BenchKind, TapKind>, string>> = {
  measure: 'Measure',
  pinch: 'Pinch test',
  look: 'Open it and look',
  tests: 'Test it',
  wrong: 'Something is wrong',
  count: 'Count, pace',
  curve: 'Curve',
  recipe: 'Recipe',
  finish: 'To the finish',
};
export const isTap = (kind: BenchKind): kind is TapKind => !(kind in GREAT);
export const opensPanel = (kind: BenchKind): kind is PanelKind => !isTap(kind) && kind !== 'finish';

/** What a key goes on to, one after the other: every act of the bench and every panel. */
const ROUND: readonly BenchKind[] = [
  'roll',
  'rub',
  'wet',
  'throw',
  'shock',
  'measure',
  'pinch',
  'look',
  'tests',
  'wrong',
  'count',
  'recipe',
  'curve',
];

/** The act after another; after what only a recipe or the end asks for, the first. */
export const nextKind = (kind: BenchKind): BenchKind =>
  ROUND[(ROUND.indexOf(kind) + 1) % ROUND.length] ?? 'roll';

/** What the felter has chosen against the advice. Session state; it is forgotten after the act. */
export interface Chosen {
  readonly kind?: BenchKind;
  readonly face?: number;
  readonly directionDeg?: RollDirection;
  readonly cushion?: Cushion;
  /** Rubs, throws or rounds. */
  readonly count?: number;
  readonly rolls?: number;
  readonly water?: 'warm' | 'hot';
}

/** The next of a few to choose from, going round. */
const following = <T>(all: readonly T[], now: T, by: 1 | -1): T | undefined =>
  all[(all.indexOf(now) + by + all.length) % all.length];

/** What a key to the right or left chooses of an act: its direction, its count, or how warm the water is; by default it rolls. */
export const turned = (act: Act | null, by: 1 | -1): Chosen => {
  switch (act?.kind) {
    case 'rub':
    case 'throw': {
      const count = following<number>(COUNTS[act.kind].choices, act.count, by);
      return { kind: act.kind, ...(count === undefined ? {} : { count }) };
    }
    case 'shock': {
      const count = following<number>(COUNTS.shock.choices, act.rounds, by);
      return { kind: 'shock', ...(count === undefined ? {} : { count }) };
    }
    case 'wet':
      return { kind: 'wet', water: act.water === 'hot' ? 'warm' : 'hot' };
    default: {
      const now = act?.kind === 'roll' ? act.directionDeg : 0;
      return { kind: 'roll', directionDeg: following(ROLL_DIRECTIONS, now, by) ?? 0 };
    }
  }
};

/** Counts to choose from; the usual one (common practice) is taken until another is chosen. */
export const COUNTS = {
  rub: { usual: PRACTICE.rubs, choices: [20, 40, 60, 100] },
  throw: { usual: PRACTICE.throws, choices: [6, 12, 24, 50] },
  shock: { usual: 1, choices: [1, 2, 3, 4] },
} as const;

const advisedKind = (advice: Advice): BenchKind => {
  if (advice.act === 'stretch') return 'measure';
  if (advice.act === 'test') return 'tests';
  return advice.act === 'stop' ? 'finish' : advice.act;
};

/** What the great button stands for: the advice, unless the felter chose otherwise. */
export const benchKind = (advice: Advice, chosen: Chosen): BenchKind => chosen.kind ?? advisedKind(advice);

const advisedFace = (advice: Advice): number => ('face' in advice ? advice.face : 1);

const usualCount = (kind: keyof typeof COUNTS, advice: Advice): number =>
  advice.act === kind ? advice.count : COUNTS[kind].usual;

/** The act that a tap would log now; null where it is not the kind's to say and the advice does not ask for it. */
export const actFor = (
  kind: TapKind,
  of: { advice: Advice; chosen: Chosen; settings: Settings },
): Act | null => {
  const { advice, chosen, settings } = of;
  const face = chosen.face ?? advisedFace(advice);
  switch (kind) {
    case 'wet':
      return { kind, face, water: chosen.water ?? (advice.act === 'wet' ? advice.water : null) ?? 'hot' };
    case 'rub':
      return { kind, face, count: chosen.count ?? usualCount(kind, advice) };
    case 'throw':
      return { kind, count: chosen.count ?? usualCount(kind, advice) };
    case 'shock':
      return { kind, rounds: chosen.count ?? usualCount(kind, advice) };
    case 'open':
      return advice.act === 'open' ? { kind, what: advice.what } : null;
    case 'step':
      return advice.act === 'step' ? { kind, step: advice.step.id, how: 'done' } : null;
    case 'roll': {
      const roll = advice.act === 'roll' ? advice : null;
      return {
        kind,
        face,
        directionDeg: chosen.directionDeg ?? roll?.directionDeg ?? 0,
        rolls: chosen.rolls ?? roll?.rolls ?? settings.setOfRolls,
        cushion: chosen.cushion ?? roll?.cushion ?? settings.cushion,
        pressure: settings.pressure,
      };
    }
  }
};

/** All of an act that can be chosen. */
const chosenOf = (act: Act | null): Chosen => {
  switch (act?.kind) {
    case 'wet':
      return { kind: act.kind, face: act.face, water: act.water };
    case 'rub':
      return { kind: act.kind, face: act.face, count: act.count };
    case 'throw':
      return { kind: act.kind, count: act.count };
    case 'shock':
      return { kind: act.kind, count: act.rounds };
    case 'roll': {
      const { kind, face, directionDeg, rolls, cushion } = act;
      return { kind, face, directionDeg, rolls, cushion };
    }
    default:
      return {};
  }
};

/**
 * What is chosen after one more choice. What was not chosen is settled as it stands: an answer that comes meanwhile must not
 * change the act under the hand.
 */
export const chosenWith = (
  was: Chosen,
  more: Chosen,
  of: { readonly advice: Advice; readonly settings: Settings },
): Chosen => {
  const isOther = more.kind !== undefined && more.kind !== benchKind(of.advice, was);
  const next: Chosen = isOther ? more : { ...was, ...more };
  const kind = benchKind(of.advice, next);
  return isTap(kind) ? { ...next, ...chosenOf(actFor(kind, { ...of, chosen: next })) } : next;
};
