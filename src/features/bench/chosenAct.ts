import type { Advice } from '../../core/advice/advice';
import { PRACTICE } from '../../core/advice/practice';
import type { Act, RollDirection } from '../../core/cycles/entry';
import type { Settings } from '../../records/settings';

/** The kinds of act that one tap logs. */
export type TapKind = 'roll' | 'rub' | 'wet' | 'throw' | 'shock';
/** What the great button does: one of these, opening a panel, or leaving for the finish. */
export type BenchKind = TapKind | 'measure' | 'pinch' | 'finish';

/** What the great button says where it logs nothing by itself. */
export const GREAT: Readonly<Record<Exclude<BenchKind, TapKind>, string>> = {
  measure: 'Measure',
  pinch: 'Pinch test',
  finish: 'To the finish',
};
export const isTap = (kind: BenchKind): kind is TapKind => !(kind in GREAT);
export const opensPanel = (kind: BenchKind): kind is 'measure' | 'pinch' =>
  kind === 'measure' || kind === 'pinch';

/** What the felter has chosen against the advice. Session state; it is forgotten after the act. */
export interface Chosen {
  readonly kind?: BenchKind;
  readonly face?: number;
  readonly directionDeg?: RollDirection;
  /** Rubs, throws or rounds. */
  readonly count?: number;
  readonly rolls?: number;
  readonly water?: 'warm' | 'hot';
}

/** Counts to choose from; the usual one (common practice) is taken until another is chosen. */
export const COUNTS = {
  rub: { usual: PRACTICE.rubs, choices: [20, 40, 60, 100] },
  throw: { usual: PRACTICE.throws, choices: [6, 12, 24, 50] },
  shock: { usual: 1, choices: [1, 2, 3, 4] },
} as const;

const advisedKind = (advice: Advice): BenchKind => {
  if (advice.act === 'stretch') return 'measure';
  return advice.act === 'stop' ? 'finish' : advice.act;
};

/** What the great button stands for: the advice, unless the felter chose otherwise. */
export const benchKind = (advice: Advice, chosen: Chosen): BenchKind => chosen.kind ?? advisedKind(advice);

const advisedFace = (advice: Advice): number => ('face' in advice ? advice.face : 1);

/** The act that a tap would log now. */
export const actFor = (kind: TapKind, of: { advice: Advice; chosen: Chosen; settings: Settings }): Act => {
  const { advice, chosen, settings } = of;
  const face = chosen.face ?? advisedFace(advice);
  switch (kind) {
    case 'wet':
      return { kind, face, water: chosen.water ?? 'hot' };
    case 'rub':
      return { kind, face, count: chosen.count ?? COUNTS.rub.usual };
    case 'throw':
      return { kind, count: chosen.count ?? COUNTS.throw.usual };
    case 'shock':
      return { kind, rounds: chosen.count ?? COUNTS.shock.usual };
    case 'roll':
      return {
        kind,
        face,
        directionDeg: chosen.directionDeg ?? (advice.act === 'roll' ? advice.directionDeg : 0),
        rolls: chosen.rolls ?? (advice.act === 'roll' ? advice.rolls : settings.setOfRolls),
        cushion: settings.cushion,
        pressure: settings.pressure,
      };
  }
};
