import { useOwnPace } from './useOwnUsual';
import { useState } from 'react';
import {
  type CountEstimate,
  countFromMinutes,
  guessBetween,
  paceOfTaps,
  USUAL_PACE,
} from '../../core/log/counting';
import type { Settings } from '../../records/settings';
import { canSpeak } from '../../session/sound';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { type Act, controlOf } from '../../core/acts/act';
import type { UsualWork } from '../../core/acts/actSpec';
import { Clock, Pacer } from './Pacer';
import { countedNoun, countOf, isTimed, withCount } from './pacing';
import { MotionCounter } from './MotionCounter';
import { PanelFrame } from './PanelFrame';

/** What a lost count may have been, and how long it may have been. */
const GUESSES = [
  [10, 20],
  [20, 30],
  [30, 50],
  [50, 80],
  [80, 120],
  [120, 200],
] as const;
const LONG = [
  [0.5, 1],
  [1, 2],
  [2, 4],
  [4, 8],
  [8, 15],
  [15, 30],
] as const;
const MINUTES = [1, 2, 3, 5, 10] as const;
const PACERS: ReadonlyArray<{ readonly value: Settings['pacer']; readonly text: string }> = [
  { value: 'silent', text: 'silent' },
  { value: 'tick', text: 'a tick' },
  { value: 'spoken', text: 'spoken' },
];
/** Nobody rolls faster, a minute. */
const FASTEST = 400;
const RESTS = [0, 60, 90, 150, 300] as const;

interface CountProps {
  readonly act: Act;
  readonly pieceId: string;
  readonly settings: Settings;
  /** How this maker usually does it. */
  readonly usual: UsualWork;
  readonly onSettings: (change: Partial<Settings>) => void;
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}

/** What the pacer or the clock sounds like. */
const Sound = ({ settings, onSettings }: Pick<CountProps, 'settings' | 'onSettings'>) => (
  <Choice
    label="What the pacer sounds like"
    size="wet"
    value={settings.pacer}
    options={canSpeak() ? PACERS : PACERS.filter(p => p.value !== 'spoken')}
    onChoose={pacer => onSettings({ pacer })}
  />
);

/** A count that was lost: roughly how many, or how long. */
const Guesses = (props: {
  readonly of: ReadonlyArray<readonly [number, number]>;
  readonly unit: string;
  readonly onGuess: (guess: CountEstimate) => void;
  readonly isWhole: boolean;
}) => (
  <>
    <p className="text-[15px] text-chalk">Lost count? Roughly</p>
    <div className="grid grid-cols-3 gap-2">
      {props.of.map(([least, upper]) => (
        <Button
          key={least}
          size="wet"
          onClick={() => props.onGuess(guessBetween(least, upper, { isWhole: props.isWhole }))}
        >
          {least === 0.5 ? '½' : least}–{upper}
          {props.unit}
        </Button>
      ))}
    </div>
  </>
);

/** How often to measure and to rest. */
const Habits = ({ settings, onSettings }: Pick<CountProps, 'settings' | 'onSettings'>) => (
  <>
    <p className="text-[15px] text-chalk">Jorrit asks you to measure</p>
    <Choice
      label="How often to measure"
      size="wet"
      value={settings.pace}
      options={[
        { value: 'careful', text: 'often, after small steps' },
        { value: 'brisk', text: 'less often' },
      ]}
      onChoose={pace => onSettings({ pace })}
    />
    <p className="text-[15px] text-chalk">Remind me to rest after this many rolls</p>
    <Choice
      label="Rolls before a rest"
      size="wet"
      value={String(settings.restEvery)}
      options={RESTS.map(n => ({ value: String(n), text: n === 0 ? 'never' : n }))}
      onChoose={n => onSettings({ restEvery: Number(n) })}
    />
  </>
);

/** Nobody counted: as much as this maker usually does at once, and known as badly as that. */
const ByFeel = ({ act, usual, onLog }: CountProps) => {
  const control = controlOf(act.kind);
  const { count: _, ...chosen } = control?.choicesOf(act) ?? {};
  const felt = control?.byFeel ? control.make({ ...chosen, feel: true }, usual) : null;
  return (
    felt && (
      <Button size="wet" onClick={() => onLog(felt)}>
        By feel, as usual: about {countOf(felt)}
      </Button>
    )
  );
};

/** Rolls and rubs otherwise than by whole sets: by the pacer, by minutes, or by a guess. */
const Beats = (props: CountProps & { readonly onStart: () => void; readonly onMotion: () => void }) => {
  const { act, settings, onSettings } = props;
  const [taps, setTaps] = useState<readonly number[]>([]);
  const own = settings.rollsPerMinute;
  const learnt = useOwnPace(act.kind);
  const perMinute = own ?? learnt;
  const log = ({ count, give }: CountEstimate): void =>
    props.onLog(withCount(act, count, give > 0 ? give : undefined));
  const tapped = (at: number): void => {
    const all = [...taps, at].slice(-12);
    setTaps(all);
    const pace = paceOfTaps(all);
    if (pace !== null) onSettings({ rollsPerMinute: Math.min(FASTEST, Math.round(pace * 10) / 10) });
  };
  return (
    <PanelFrame
      title={`Count the ${countedNoun(act) ?? ''} another way`}
      label="Counting"
      onCancel={props.onCancel}
      great={{ words: `Start the pacer: ${countOf(act)}`, run: props.onStart }}
    >
      <p className="text-lg">
        {own === null
          ? `It goes at ${Math.round(learnt)} a minute, ${learnt === USUAL_PACE ? 'a usual pace' : 'as your log says'}. Tap once for each as you do it, and it goes at yours.`
          : `Your pace is ${Math.round(own)} a minute. Tap once for each roll to set it again.`}
      </p>
      <Button size="wet" className="min-h-24 !text-2xl" onClick={e => tapped(e.timeStamp)}>
        Tap your pace
      </Button>
      <Sound {...props} />
      {act.kind === 'roll' && (
        <Button size="wet" onClick={props.onMotion}>
          By the phone’s motion …
        </Button>
      )}
      <Guesses of={GUESSES} unit="" isWhole onGuess={log} />
      <ByFeel {...props} />
      <p className="text-[15px] text-chalk">
        By the clock, at {own === null && learnt === USUAL_PACE ? 'a usual pace' : 'your own pace'}
      </p>
      <div className="grid grid-cols-5 gap-2">
        {MINUTES.map(minutes => (
          <Button
            key={minutes}
            size="wet"
            onClick={() => log(countFromMinutes(minutes, perMinute, { isOwn: own !== null }))}
          >
            {minutes} min
          </Button>
        ))}
      </div>
      <Habits {...props} />
    </PanelFrame>
  );
};

/** Minutes otherwise than as they stand: by the clock, or by a guess. */
const Minutes = (props: CountProps & { readonly onStart: () => void }) => (
  <PanelFrame
    title="Count the time another way"
    label="Counting"
    onCancel={props.onCancel}
    great={{ words: 'Start the clock', run: props.onStart }}
  >
    <p className="text-lg">The clock counts while you work. Stop it whenever you like.</p>
    <Sound {...props} />
    <Guesses
      of={LONG}
      unit=" min"
      isWhole={false}
      onGuess={({ count, give }) => props.onLog(withCount(props.act, count, give))}
    />
    <Habits {...props} />
  </PanelFrame>
);

/** Counting otherwise than as the great button has it: by the pacer, by the clock, or by a guess where the count was lost. */
export const CountPanel = (props: CountProps) => {
  const [isRunning, setRunning] = useState(false);
  const [isByMotion, setByMotion] = useState(false);
  const run = { ...props, onStart: () => setRunning(true), onMotion: () => setByMotion(true) };
  if (isByMotion)
    return <MotionCounter act={props.act} onLog={props.onLog} onCancel={() => setByMotion(false)} />;
  if (isTimed(props.act)) return isRunning ? <Clock {...props} /> : <Minutes {...run} />;
  return isRunning ? <Paced {...props} /> : <Beats {...run} />;
};

/** The pacer, as fast as the maker goes. */
const Paced = (props: CountProps) => {
  const learnt = useOwnPace(props.act.kind);
  return <Pacer {...props} perMinute={props.settings.rollsPerMinute ?? learnt} />;
};
