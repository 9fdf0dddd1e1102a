import { useDeferredValue, useMemo } from 'react';
import type { UsualWork } from '../../core/acts/actSpec';
import { ownAmounts, ownPace } from '../../core/learning/ownUsual';
import { entriesInForce } from '../../core/log/entriesInForce';
import { USUAL_PACE } from '../../core/log/counting';
import type { Settings } from '../../records/settings';
import { useSomePieces } from '../../session/useSomePieces';
import { useSummaries } from '../../session/useSummaries';

/** The pieces that were worked last say how a maker does it now; more of them hardly say more. */
const MOST = 24;

/** Logs of the pieces that were worked last, as they stand, the earliest first. */
const useStandingLogs = () => {
  const summaries = useSummaries();
  const ids = summaries
    .filter(s => s.lastAt !== null)
    .toSorted((a, b) => ((a.lastAt ?? '') < (b.lastAt ?? '') ? 1 : -1))
    .slice(0, MOST)
    .map(s => s.id)
    .toReversed();
  // What was just tapped is shown first; what it teaches may come a moment later.
  const pieces = useDeferredValue(useSomePieces(ids));
  return useMemo(() => pieces.map(p => entriesInForce(p.log)), [pieces]);
};

/** How this maker usually does it: as was chosen, and as much at once as the logs say. */
export const useOwnUsual = (settings: Settings): UsualWork => {
  const logs = useStandingLogs();
  const amounts = useMemo(() => ownAmounts(logs.flat().map(e => e.act)), [logs]);
  return useMemo(() => ({ ...settings, amounts }), [settings, amounts]);
};

/** How many a minute this maker does of an act, by the logs. */
export const useOwnPace = (kind: string): number => {
  const logs = useStandingLogs();
  return useMemo(
    () =>
      ownPace(
        kind,
        logs.map(log => log.map(({ at, act }) => ({ atMs: Date.parse(at), act }))),
        USUAL_PACE,
      ),
    [logs, kind],
  );
};
