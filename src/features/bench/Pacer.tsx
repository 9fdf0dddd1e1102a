import { useEffect, useRef, useState } from 'react';
import type { Act } from '../../core/acts/act';
import { clockWords, pacedCount } from '../../core/log/counting';
import type { Settings } from '../../records/settings';
import { useShortcuts } from '../../session/shortcuts';
import { say, tick } from '../../session/sound';
import { useWorkshop } from '../../session/workshop';
import { countOf, useClock, usePacing, withCount } from './pacing';
import { PanelFrame } from './PanelFrame';

/** Spoken numbers are this far apart, so that they are not late. */
const SPOKEN_EVERY = 5;
const LOOKS_MS = 60;
const CLOCK_LOOKS_MS = 250;
const MINUTE_MS = 60_000;

interface PacerProps {
  readonly act: Act;
  readonly pieceId: string;
  readonly settings: Settings;
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}

/** The number that runs, as large as the panel has room for. */
const Running = (props: { readonly figure: string; readonly of: string }) => (
  <>
    <p className="text-center text-[9rem] leading-none font-semibold" aria-live="off" data-testid="paced">
      {props.figure}
    </p>
    <p className="text-center text-2xl text-chalk">of {props.of}</p>
  </>
);

/** A panel whose number runs until it is stopped, by hand or pedal, and logged. */
const Stopwatch = (props: {
  readonly title: string;
  readonly figure: string;
  readonly of: string;
  readonly stop: string;
  readonly onStop: () => void;
  readonly onDiscard: () => void;
}) => {
  useShortcuts([
    {
      keys: [' ', 'Enter', 'PageDown'],
      shown: 'Space, PageDown',
      does: 'stop here and log it',
      run: props.onStop,
    },
  ]);
  return (
    <PanelFrame
      title={props.title}
      label="Pacer"
      onCancel={props.onDiscard}
      back="Discard, log nothing"
      great={{ words: props.stop, run: props.onStop }}
    >
      <Running figure={props.figure} of={props.of} />
    </PanelFrame>
  );
};

/** Ticks at the felter's own pace, counts, and stops at the set. @param props.perMinute rolls a minute */
export const Pacer = (props: PacerProps & { readonly perMinute: number }) => {
  const { act, perMinute, settings } = props;
  const [count, setCount] = useState(0);
  const [, keep] = usePacing(props.pieceId);
  const most = countOf(act);
  const how = settings.pacer;
  const heard = useRef(0);
  const stop = (now: number): void => {
    keep(null);
    if (now < 1) return props.onCancel();
    props.onLog(withCount(act, now));
  };
  const counted = useRef({ act, keep, stop });
  useEffect(() => {
    counted.current = { act, keep, stop };
  });
  useEffect(() => {
    const began = performance.now();
    const timer = setInterval(() => {
      const now = pacedCount(performance.now() - began, perMinute, most);
      if (now === heard.current) return;
      heard.current = now;
      setCount(now);
      counted.current.keep({ act: counted.current.act, count: now });
      if (how === 'tick') tick(now === most);
      if (how === 'spoken' && (now % SPOKEN_EVERY === 0 || now === most)) say(String(now));
      if (now >= most) {
        clearInterval(timer);
        counted.current.stop(now);
      }
    }, LOOKS_MS);
    return () => clearInterval(timer);
  }, [perMinute, most, how]);
  return (
    <Stopwatch
      title="The pacer counts"
      figure={String(count)}
      of={String(most)}
      stop={`Stop here and log ${count}`}
      onStop={() => stop(count)}
      onDiscard={() => {
        keep(null);
        props.onCancel();
      }}
    />
  );
};

/**
 * The clock of an act that takes minutes: it runs by the time of day, so that a tab that slept loses nothing, tells each minute, and
 * goes on past the usual time until it is stopped.
 */
export const Clock = (props: PacerProps) => {
  const { act, settings } = props;
  const { clock } = useWorkshop();
  const [kept, keep] = useClock(props.pieceId);
  const [began] = useState(() => kept?.beganMs ?? clock.nowMs());
  const [now, setNow] = useState(began);
  const heard = useRef(0);
  const most = countOf(act);
  const how = settings.pacer;
  useEffect(() => {
    keep({ act, beganMs: began });
  }, [keep, act, began]);
  useEffect(() => {
    const timer = setInterval(() => {
      const ms = clock.nowMs();
      setNow(ms);
      const minutes = Math.floor((ms - began) / MINUTE_MS);
      if (minutes === heard.current) return;
      heard.current = minutes;
      if (how === 'tick') tick(minutes >= most);
      if (how === 'spoken') say(minutes === 1 ? '1 minute' : `${minutes} minutes`);
    }, CLOCK_LOOKS_MS);
    return () => clearInterval(timer);
  }, [clock, began, most, how]);
  const drop = (): void => {
    keep(null);
    props.onCancel();
  };
  const stop = (): void => {
    const minutes = Math.round((10 * (clock.nowMs() - began)) / MINUTE_MS) / 10;
    keep(null);
    if (minutes <= 0) return props.onCancel();
    props.onLog(withCount(act, minutes));
  };
  return (
    <Stopwatch
      title="The clock runs"
      figure={clockWords(now - began)}
      of={clockWords(most * MINUTE_MS)}
      stop={`Stop and log ${clockWords(now - began)}`}
      onStop={stop}
      onDiscard={drop}
    />
  );
};
