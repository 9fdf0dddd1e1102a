import { useEffect, useRef, useState } from 'react';
import {
  type CountEstimate,
  countFromMinutes,
  guessBetween,
  pacedCount,
  paceOfTaps,
} from '../../core/log/counting';
import type { Settings } from '../../records/settings';
import { useShortcuts } from '../../session/shortcuts';
import { canSpeak, say, tick } from '../../session/sound';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import type { Act } from '../../core/acts/act';
import { countedNoun, countOf, usePacing, withCount } from './pacing';
import { PanelFrame } from './PanelFrame';

/** What a lost count may have been. */
const GUESSES = [
  [10, 20],
  [20, 30],
  [30, 50],
  [50, 80],
  [80, 120],
  [120, 200],
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
/** Spoken numbers are this far apart, so that they are not late. */
const SPOKEN_EVERY = 5;
const LOOKS_MS = 60;

/** Ticks at the felter's own pace, counts, and stops at the set. */
const Pacer = (props: {
  readonly perMinute: number;
  readonly most: number;
  readonly how: Settings['pacer'];
  readonly onCount: (count: number) => void;
  readonly onDone: (count: number) => void;
}) => {
  const { perMinute, most, how, onCount, onDone } = props;
  const [count, setCount] = useState(0);
  const heard = useRef(0);
  const counted = useRef(onCount);
  const finish = useRef(onDone);
  useEffect(() => {
    counted.current = onCount;
    finish.current = onDone;
  });
  useEffect(() => {
    const began = performance.now();
    const timer = setInterval(() => {
      const now = pacedCount(performance.now() - began, perMinute, most);
      if (now === heard.current) return;
      heard.current = now;
      setCount(now);
      counted.current(now);
      if (how === 'tick') tick(now === most);
      if (how === 'spoken' && (now % SPOKEN_EVERY === 0 || now === most)) say(String(now));
      if (now >= most) {
        clearInterval(timer);
        finish.current(now);
      }
    }, LOOKS_MS);
    return () => clearInterval(timer);
  }, [perMinute, most, how]);
  useShortcuts([
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'stop here and log the count',
      run: () => onDone(count),
    },
  ]);
  return (
    <>
      <p className="text-center text-[9rem] leading-none font-semibold" aria-live="off" data-testid="paced">
        {count}
      </p>
      <p className="text-center text-2xl text-chalk">of {most}</p>
      <Button size="wet" look="main" className="min-h-28 !text-3xl" onClick={() => onDone(count)}>
        Stop here and log {count}
      </Button>
    </>
  );
};

/** Counting otherwise than by whole sets: by the pacer, by minutes, or by a guess where the count was lost. */
export const CountPanel = (props: {
  readonly act: Act;
  readonly pieceId: string;
  readonly settings: Settings;
  readonly onSettings: (change: Partial<Settings>) => void;
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}) => {
  const { act, settings } = props;
  const [paced, setPaced] = useState(false);
  const [, keep] = usePacing(props.pieceId);
  const [taps, setTaps] = useState<readonly number[]>([]);
  const perMinute = settings.rollsPerMinute;
  const most = countOf(act);
  const noun = countedNoun(act);
  const log = ({ count, give }: CountEstimate): void => {
    if (count < 1) return props.onCancel();
    props.onLog(withCount(act, count, give > 0 ? give : undefined));
  };
  const tapped = (at: number): void => {
    const all = [...taps, at].slice(-12);
    setTaps(all);
    const pace = paceOfTaps(all);
    if (pace !== null) props.onSettings({ rollsPerMinute: Math.min(FASTEST, Math.round(pace * 10) / 10) });
  };
  if (paced && perMinute !== null)
    return (
      <PanelFrame
        title="The pacer counts"
        label="Pacer"
        onCancel={() => {
          keep(null);
          props.onCancel();
        }}
        back="Discard, log nothing"
      >
        <Pacer
          perMinute={perMinute}
          most={most}
          how={settings.pacer}
          onCount={count => keep({ act, count })}
          onDone={count => {
            keep(null);
            log({ count, give: 0 });
          }}
        />
      </PanelFrame>
    );
  return (
    <PanelFrame title={`Count the ${noun} another way`} label="Counting" onCancel={props.onCancel}>
      <p className="text-lg">
        {perMinute === null
          ? 'Tap once for each roll as you roll, and Jorrit knows your pace.'
          : `Your pace is ${Math.round(perMinute)} a minute. Tap once for each roll to set it again.`}
      </p>
      <div className="flex gap-2 *:flex-1">
        <Button size="wet" className="min-h-24 !text-2xl" onClick={e => tapped(e.timeStamp)}>
          Tap your pace
        </Button>
        <Button
          size="wet"
          look="main"
          className="min-h-24 !text-2xl"
          disabled={perMinute === null}
          onClick={() => setPaced(true)}
        >
          Start the pacer: {most}
        </Button>
      </div>
      <Choice
        label="What the pacer sounds like"
        size="wet"
        value={settings.pacer}
        options={canSpeak() ? PACERS : PACERS.filter(p => p.value !== 'spoken')}
        onChoose={pacer => props.onSettings({ pacer })}
      />
      <p className="text-[15px] text-chalk">Lost count? Roughly</p>
      <div className="grid grid-cols-3 gap-2">
        {GUESSES.map(([least, upper]) => (
          <Button key={least} size="wet" onClick={() => log(guessBetween(least, upper))}>
            {least}–{upper}
          </Button>
        ))}
      </div>
      {perMinute !== null && (
        <>
          <p className="text-[15px] text-chalk">By the clock, at your own pace</p>
          <div className="grid grid-cols-5 gap-2">
            {MINUTES.map(minutes => (
              <Button key={minutes} size="wet" onClick={() => log(countFromMinutes(minutes, perMinute))}>
                {minutes} min
              </Button>
            ))}
          </div>
        </>
      )}
      <p className="text-[15px] text-chalk">Jorrit asks you to measure</p>
      <Choice
        label="How often to measure"
        size="wet"
        value={settings.pace}
        options={[
          { value: 'careful', text: 'often, after small steps' },
          { value: 'brisk', text: 'less often' },
        ]}
        onChoose={pace => props.onSettings({ pace })}
      />
      <p className="text-[15px] text-chalk">Remind me to rest after this many rolls</p>
      <Choice
        label="Rolls before a rest"
        size="wet"
        value={String(settings.restEvery)}
        options={RESTS.map(n => ({ value: String(n), text: n === 0 ? 'never' : n }))}
        onChoose={n => props.onSettings({ restEvery: Number(n) })}
      />
    </PanelFrame>
  );
};
