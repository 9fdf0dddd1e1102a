import type { UsualAmount } from '../ways/way';
import type { ProposedAct, Reason } from './proposedAct';

/** A usual amount of an act, proposed for a reason. Rolls and rubs are proposed where their side and direction are known. */
export const usualAct = ({ kind, count }: UsualAmount, reason: Reason): ProposedAct =>
  kind === 'throw' || kind === 'shock' ? { act: kind, count, reason } : { act: 'other', kind, count, reason };
