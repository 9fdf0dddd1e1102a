import type { Advice } from '../../core/advice/nextAct';
import type { Act, RollDirection } from '../../core/cycles/entry';
import type { Settings } from '../../records/settings';

/** The kinds of act that one tap logs. */
export type TapKind = 'roll' | 'rub' | 'wet' | 'throw' | 'shock';
/** What the great button does: one of these, or opening a panel. */
export type BenchKind = TapKind | 'measure' | 'pinch';

/** What the felter has chosen against the advice. Session state; it is forgotten after the act. */
export interface Chosen {
  readonly kind?: BenchKind;
  readonly face?: number;
  readonly directionDeg?: RollDirection;
}

const RUBS = 40;
const THROWS = 12;

const advisedKind = (advice: Advice): BenchKind => {
  if (advice.act === 'stretch' || advice.act === 'stop') return 'measure';
  return advice.act;
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
      return { kind, face, water: 'hot' };
    case 'rub':
      return { kind, face, count: RUBS };
    case 'throw':
      return { kind, count: THROWS };
    case 'shock':
      return { kind, rounds: 1 };
    case 'roll':
      return {
        kind,
        face,
        directionDeg: chosen.directionDeg ?? (advice.act === 'roll' ? advice.directionDeg : 0),
        rolls: settings.setOfRolls,
        cushion: settings.cushion,
        pressure: settings.pressure,
      };
  }
};
