import { type Act, FOAMS, type Water, WATERS, WETNESSES } from '../../core/cycles/entry';
import { Button } from '../../ui/Button';
import { FOAM_WORDS, WETNESS_WORDS } from './benchWords';
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

const CHECKS =
  'Open it and look: folds that would felt in, front stuck to back, wool stuck to net or towel, bubbles that pop.';

/** One look at an opening: how wet, how soapy, and whether the water was renewed. One tap each. */
export const LookPanel = (props: {
  readonly onLog: (act: Act) => void;
  readonly onWrong: () => void;
  readonly onCancel: () => void;
}) => (
  <PanelFrame title="How does it look?" label="Look" onCancel={props.onCancel}>
    <p className="text-lg">{CHECKS}</p>
    <div className="grid grid-cols-1 gap-2 sm:grid-cols-3">
      {WETNESSES.map(wetness => (
        <Button
          key={wetness}
          size="wet"
          className="min-h-28 !flex-col !gap-1 first-letter:uppercase"
          onClick={() => props.onLog({ kind: 'look', wetness, foam: null })}
        >
          {WETNESS_WORDS[wetness]}
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
          {FOAM_WORDS[foam]}
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
    <Button size="wet" onClick={props.onWrong}>
      Something is wrong
    </Button>
  </PanelFrame>
);
