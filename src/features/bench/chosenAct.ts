import type { Advice } from '../../core/advice/advice';
import { PRACTICE } from '../../core/advice/practice';
import type { Act, Cushion, RollDirection } from '../../core/cycles/entry';
import type { Settings } from '../../records/settings';

/** The kinds of act that one tap logs. */
export type TapKind = 'roll' | 'rub' | 'wet' | 'throw' | 'shock' | 'open' | 'step';
/** What the great button does: one of these, opening a panel, or leaving for the finish. */
export type BenchKind = TapKind | PanelKind | 'finish';
/** What opens a panel. */
type PanelKind = 'measure' | 'pinch' | 'look';

/** What the great button says where it logs nothing by itself. */
export const GREAT: Readonly<Record<Exclude<BenchKind, TapKind>, string>> = {
  measure: 'Measure',
  pinch: 'Pinch test',
  look: 'Open it and look',
  finish: 'To the finish',
};
export const isTap = (kind: BenchKind): kind is TapKind => !(kind in GREAT);
export const opensPanel = (kind: BenchKind): kind is PanelKind =>
  kind === 'measure' || kind === 'pinch' || kind === 'look';

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
