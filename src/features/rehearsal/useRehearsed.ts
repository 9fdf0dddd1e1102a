import { useMemo } from 'react';
import type { Rehearsed } from '../../core/rehearsal/hidden';
import { type FeltTruth, rehearse } from '../../core/rehearsal/rehearse';
import { type RehearsalSetup, rehearsedOf } from '../../core/rehearsal/rehearsedOf';
import type { PieceContext } from '../../session/pieceContext';
import { useRehearsal } from '../../session/rehearsal';

/** What is rehearsed here, and how the felt truly is by now; null where its plan has to be mended first. */
export const useRehearsed = ({
  piece,
  settings,
  entries,
}: Pick<PieceContext, 'piece' | 'settings' | 'entries'>): {
  readonly setup: RehearsalSetup;
  readonly rehearsed: Rehearsed;
  readonly truth: FeltTruth;
} | null => {
  const { hidden } = useRehearsal();
  const { plan, way, judge, habits } = piece;
  const { setOfRolls, cushion, pressure } = settings;
  const setup = useMemo<RehearsalSetup>(
    () => ({ plan, way, judge, habits, usual: { setOfRolls, cushion, pressure } }),
    [plan, way, judge, habits, setOfRolls, cushion, pressure],
  );
  return useMemo(() => {
    const rehearsed = rehearsedOf(setup);
    return rehearsed.ok
      ? { setup, rehearsed: rehearsed.value, truth: rehearse(rehearsed.value, hidden, entries) }
      : null;
  }, [setup, hidden, entries]);
};
