import { useOutletContext } from 'react-router';
import type { Result } from '../core/result';
import type { Plan } from '../core/plan/makePlan';
import type { PlanInput } from '../core/plan/planInput';
import type { LayEntry, WeighEntry } from '../core/log/logParts';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { Settings } from '../records/settings';
import type { Wool } from '../records/wool';
import type { ChangeLabel } from './changes';

/** What every stage of a piece stands on: the record, and what follows from it. */
export interface PieceContext {
  readonly piece: Piece;
  readonly plan: Result<Plan>;
  /** The log of the bench. */
  readonly entries: readonly Entry[];
  /** Piles that were weighed for it. */
  readonly weighings: readonly WeighEntry[];
  /** Steps of laying that were done or left out. */
  readonly layings: readonly LayEntry[];
  readonly wool: Wool | null;
  readonly settings: Settings;
  readonly change: (change: (p: Piece) => Piece, told: ChangeLabel) => void;
  readonly changePlan: (change: (plan: PlanInput) => PlanInput, told: ChangeLabel) => void;
}

export const usePieceContext = (): PieceContext => useOutletContext<PieceContext>();
