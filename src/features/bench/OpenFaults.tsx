import { faultOf } from '../../core/advice/faults';
import type { BenchState } from '../../core/log/benchState';
import type { Act } from '../../core/acts/act';
import { Button } from '../../ui/Button';
import { FAULT_WORDS, faultName } from '../../words/faults';

/** What was wrong and is not mended yet, with what to do, so that it is looked at again. */
export const OpenFaults = (props: { readonly state: BenchState; readonly onLog: (act: Act) => void }) => {
  const { state } = props;
  if (state.faults.length === 0) return null;
  return (
    <ul aria-label="Look at again" className="flex flex-col gap-1">
      {state.faults.map(seen => {
        const fault = faultOf(seen.fault);
        const since = state.rolls - seen.rollsThen;
        return (
          <li key={seen.entryId} className="flex items-center gap-3 border-l-4 border-wanted pl-3">
            <span className="min-w-0 flex-1">
              <span className="inline-block font-semibold first-letter:uppercase">
                {faultName(seen.fault)}
              </span>
              {since > 0 && <span className="text-chalk">, {since} rolls ago: look again</span>}
              <span className="block text-base leading-tight">{fault && FAULT_WORDS[fault.id].remedy}</span>
            </span>
            <Button size="wet" onClick={() => props.onLog({ kind: 'mended', of: seen.entryId })}>
              Mended
            </Button>
          </li>
        );
      })}
    </ul>
  );
};
