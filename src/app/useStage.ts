import { useMemo } from 'react';
import { benchLog, layings, weighings } from '../core/log/logParts';
import type { PlanInput } from '../core/plan/planInput';
import { planOf } from '../core/plan/planOf';
import { refusalOf } from '../core/plan/refusalOf';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import type { ChangeLabel } from '../session/changes';
import { useNotify } from '../session/notices';
import type { PieceContext } from '../session/pieceContext';
import { useChangePiece } from '../session/useChanges';
import { useSettings, useWools } from '../session/useRecords';
import { afterwards } from '../ui/afterwards';
import { issueText } from '../words/issues';

/** A plan with the shrinkage changed is the felter's own, wherever the figure came from before. */
export const withPlan = (piece: Piece, plan: PlanInput): Piece => {
  if (plan === piece.plan) return piece;
  const same =
    plan.shrinkage.along === piece.plan.shrinkage.along &&
    plan.shrinkage.across === piece.plan.shrinkage.across;
  return { ...piece, plan, shrinkageFrom: same ? piece.shrinkageFrom : 'felter' };
};

/** What every stage of a piece stands on. */
export const useStage = (piece: Piece, entries: readonly Entry[]): PieceContext => {
  const settings = useSettings();
  const wools = useWools();
  const changePiece = useChangePiece();
  const { tell } = useNotify();
  const plan = planOf(piece.plan);
  const parts = useMemo(
    () => ({
      entries: benchLog(entries),
      weighings: weighings(entries),
      layings: layings(entries),
    }),
    [entries],
  );
  const change = (how: (p: Piece) => Piece, told: ChangeLabel): void => changePiece(piece.id, how, told);
  return {
    piece,
    plan,
    ...parts,
    settings,
    wool: wools.find(w => w.id === piece.woolId) ?? null,
    change,
    changePlan: (how, told) => {
      const next = how(piece.plan);
      // Worked out in a task of its own: it is as much again.
      afterwards(() => {
        const refused = refusalOf(piece.plan, next);
        if (refused.length > 0) return tell({ text: refused.map(issueText).join(' ') });
        // The plan that was asked about is the one that is shown: it is worked out once.
        afterwards(() => change(p => withPlan(p, p.plan === piece.plan ? next : how(p.plan)), told));
      });
    },
  };
};
