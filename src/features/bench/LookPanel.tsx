import { faultOf } from '../../core/advice/faults';
import type { LookFor } from '../../core/advice/lookFor';
import type { Act } from '../../core/acts/act';
import { FOAMS, WATERS, WETNESSES } from '../../core/acts/vocabulary';
import { Button } from '../../ui/Button';
import { FOAM_WORDS, WETNESS_WORDS } from '../../core/acts/look';
import { EARLY_SIGNS, FOAM_HELP, WATER_NAMES, WETNESS_HELP } from '../../words/bench';
import { FAULT_WORDS } from '../../words/faults';
import { PanelFrame } from './PanelFrame';

/** How wet and how soapy it is, with what helps beside each verdict. */
const Verdicts = ({ onLog }: { readonly onLog: (act: Act) => void }) => (
  <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
    {WETNESSES.map(wetness => (
      <Button
        key={wetness}
        size="wet"
        className="min-h-28 !flex-col !gap-1"
        onClick={() => onLog({ kind: 'look', wetness, foam: null })}
      >
        <span className="first-letter:uppercase">{WETNESS_WORDS[wetness]}</span>
        <span className="text-base font-normal text-chalk">{WETNESS_HELP[wetness]}</span>
      </Button>
    ))}
    {FOAMS.map(foam => (
      <Button
        key={foam}
        size="wet"
        className="min-h-28 !flex-col !gap-1"
        onClick={() => onLog({ kind: 'look', wetness: null, foam })}
      >
        <span className="first-letter:uppercase">{FOAM_WORDS[foam]}</span>
        <span className="text-base font-normal text-chalk">{FOAM_HELP[foam]}</span>
      </Button>
    ))}
  </div>
);

/** One look at an opening: what matters now, how wet, how soapy, and whether the water was renewed. One tap each. */
export const LookPanel = ({
  looks,
  ...props
}: {
  readonly onLog: (act: Act) => void;
  readonly looks: LookFor;
  /** Looks up a fault, or any. */
  readonly onWrong: (fault: string | null) => void;
  readonly onCancel: () => void;
}) => (
  <PanelFrame title="How does it look?" label="Look" onCancel={props.onCancel} back="Back">
    <section aria-label="Look for" className="flex flex-col gap-2">
      <p className="text-[15px] text-chalk">What can show up now. Tap one for what helps.</p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {looks.faults
          .flatMap(id => faultOf(id) ?? [])
          .map(fault => (
            <Button key={fault.id} size="wet" onClick={() => props.onWrong(fault.id)}>
              <span className="first-letter:uppercase">{FAULT_WORDS[fault.id].seen}</span>
            </Button>
          ))}
      </div>
      <ul className="list-disc pl-6 text-lg leading-snug">
        {looks.sights.map(sight => (
          <li key={sight}>{EARLY_SIGNS[sight]}</li>
        ))}
      </ul>
    </section>
    <Verdicts onLog={props.onLog} />
    <p className="text-[15px] text-chalk">New water, or heated again</p>
    <div className="flex gap-2 *:flex-1">
      {WATERS.map(water => (
        <Button key={water} size="wet" onClick={() => props.onLog({ kind: 'water', water })}>
          {WATER_NAMES[water]}
        </Button>
      ))}
    </div>
    <Button size="wet" onClick={() => props.onWrong(null)}>
      Something else is wrong
    </Button>
  </PanelFrame>
);
