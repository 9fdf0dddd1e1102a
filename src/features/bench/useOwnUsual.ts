import { useDeferredValue, useMemo } from 'react';
import type { UsualWork } from '../../core/acts/actSpec';
import { ownAmounts, ownPace } from '../../core/learning/ownUsual';
import { entriesInForce } from '../../core/log/entriesInForce';
import { USUAL_PACE } from '../../core/log/counting';
import type { Settings } from '../../records/settings';
import { logsSince } from '../../session/logsSince';
import { useAllEntries } from '../../session/useRecords';

/** Every log of the workshop, as it stands. */
const useStandingLogs = () => {
  // What was just tapped is shown first; what it teaches may come a moment later.
  const all = useDeferredValue(useAllEntries());
  return useMemo(() => [...logsSince(all, 0).values()].map(entriesInForce), [all]);
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
