import { faultOf } from '../../core/advice/faults';
import type { LookFor, EarlySign } from '../../core/advice/lookFor';
import type { Act } from '../../core/acts/act';
import { FOAMS, type Water, WATERS, WETNESSES } from '../../core/acts/vocabulary';
import { Button } from '../../ui/Button';
import { FOAM_WORDS, WETNESS_WORDS } from '../../core/acts/look';
import { PanelFrame } from './PanelFrame';

/** What helps at each verdict. Common practice. */
const WETNESS_HELP = {
  dry: 'Sprinkle warm soapy water on, and press until no tuft stands up.',
  right: 'Go on.',
  pools: 'Press the water out, or soak it up with a sponge or towel.',
} as const;
const FOAM_HELP = {
  none: 'A little more soap: fingers should slip, without a mass of foam.',
  right: 'Go on.',
  much: 'Rinse part of the soap out; foam hides the wool and lets fibres slide.',
} as const;
const WATER_NAMES: Readonly<Record<Water, string>> = { hot: 'Hot again', warm: 'Warm again', cold: 'Cold' };

const SIGHTS: Readonly<Record<EarlySign, string>> = {
  tufts: 'Tufts that stand up are dry: wet and press them.',
  bubbles: 'Air under the net: press it out from the middle.',
  net: 'Wool that has grown into net or towel: peel it off slowly, flat along it.',
  popping: 'Bubbles that pop: it is pressed too hard.',
  cooling: 'Water that has gone cold: warm it, or heat it in its bundle.',
  inside: 'The inside, turned out: it wants its share of the work.',
  edges: 'Cut edges that open again: rub them with soap.',
};

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
  <PanelFrame title="How does it look?" label="Look" onCancel={props.onCancel}>
    <section aria-label="Look for" className="flex flex-col gap-2">
      <p className="text-[15px] text-chalk">What shows now; a tap says what helps</p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {looks.faults
          .flatMap(id => faultOf(id) ?? [])
          .map(fault => (
            <Button key={fault.id} size="wet" onClick={() => props.onWrong(fault.id)}>
              <span className="first-letter:uppercase">{fault.seen}</span>
            </Button>
          ))}
      </div>
      <ul className="list-disc pl-6 text-lg leading-snug">
        {looks.sights.map(sight => (
          <li key={sight}>{SIGHTS[sight]}</li>
        ))}
      </ul>
    </section>
    <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
      {WETNESSES.map(wetness => (
        <Button
          key={wetness}
          size="wet"
          className="min-h-28 !flex-col !gap-1"
          onClick={() => props.onLog({ kind: 'look', wetness, foam: null })}
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
          onClick={() => props.onLog({ kind: 'look', wetness: null, foam })}
        >
          <span className="first-letter:uppercase">{FOAM_WORDS[foam]}</span>
          <span className="text-base font-normal text-chalk">{FOAM_HELP[foam]}</span>
        </Button>
      ))}
    </div>
    <p className="text-[15px] text-chalk">The water was changed or heated</p>
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
