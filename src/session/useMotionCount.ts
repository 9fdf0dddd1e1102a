import { useCallback, useEffect, useRef, useState } from 'react';
import type { MotionPlace, MotionSample } from '../core/motion/motion';
import { type RollCount, rollCounter } from '../core/motion/rollCounter';
import { valueOf } from './jobError';
import { useNotify } from './notices';
import { useWorkshop } from './workshop';

/** Why nothing is counted: the address is not safe, the device feels nothing, it was not allowed, or it says nothing. */
export type MotionTrouble = 'unsafe' | 'none' | 'denied' | 'silent';

/** What counts rolls by motion. */
export interface MotionCount {
  /** Null while nothing is listened to. */
  readonly count: RollCount | null;
  /** False once it has stopped listening: by hand, or after long stillness. */
  readonly isListening: boolean;
  readonly trouble: MotionTrouble | null;
  readonly isMadeUp: boolean;
  readonly start: () => void;
  readonly madeUp: () => void;
  readonly stop: () => void;
}

/** What is not said within this long is not said at all, ms. */
const SILENT_MS = 2500;
/** Nothing is listened to any more after so long without rolling, ms. */
const IDLE_MS = 180_000;
/** The count is shown so often, ms. */
const SHOWN_MS = 200;
/** A made-up motion goes so many times as fast. */
const FASTER = 4;
const MADE_UP_ROLLS = 30;

/** What an iPhone asks for on a tap. */
const permissionOf = async (): Promise<boolean> => {
  const ask: unknown = Reflect.get(DeviceMotionEvent, 'requestPermission');
  if (typeof ask !== 'function') return true;
  try {
    return (await ask.call(DeviceMotionEvent)) === 'granted';
  } catch {
    return false;
  }
};

/** Whether two counts are shown alike: then nothing is drawn anew. */
const isSame = (a: RollCount, b: RollCount): boolean =>
  a.rolls === b.rolls && a.isRolling === b.isRolling && a.doubts.join() === b.doubts.join();

const RAD = Math.PI / 180;
/** What the device says, as a sample; null where it says nothing of how it is pushed. */
const sampleOf = (e: DeviceMotionEvent): MotionSample | null => {
  const { accelerationIncludingGravity: push, rotationRate: turn } = e;
  if (!push || push.x === null || push.y === null || push.z === null) return null;
  const turns = turn && turn.alpha !== null && turn.beta !== null && turn.gamma !== null ? turn : null;
  return {
    atMs: e.timeStamp,
    push: [push.x, push.y, push.z],
    turn: turns ? [RAD * (turns.beta ?? 0), RAD * (turns.gamma ?? 0), RAD * (turns.alpha ?? 0)] : null,
  };
};

/** Counts rolls by how the phone is moved, while it is asked to. */
export const useMotionCount = (place: MotionPlace): MotionCount => {
  const { workers, chance } = useWorkshop();
  const { failed } = useNotify();
  const [count, setCount] = useState<RollCount | null>(null);
  const [isListening, setListening] = useState(false);
  const [trouble, setTrouble] = useState<MotionTrouble | null>(null);
  const [isMadeUp, setMadeUp] = useState(false);
  const ending = useRef<() => void>(() => {});
  /** False once the page is left: what was asked for before that comes too late. */
  const isHere = useRef(true);
  const stop = useCallback((): void => ending.current(), []);
  useEffect(() => {
    isHere.current = true;
    return () => {
      isHere.current = false;
      stop();
    };
  }, [stop]);

  /** Counts what comes until it is stopped, or long nothing has rolled. */
  const listen = useCallback(
    (to: (take: (sample: MotionSample) => void) => () => void): void => {
      if (!isHere.current) return;
      ending.current();
      const counter = rollCounter(place);
      let [heard, rolledAt] = [false, performance.now()];
      setTrouble(null);
      setListening(true);
      setCount(counter.now());
      const silence = to(sample => {
        heard = true;
        counter.take(sample);
      });
      const timer = setInterval(() => {
        const now = counter.now();
        if (now.isRolling) rolledAt = performance.now();
        setCount(was => (was && isSame(was, now) ? was : now));
        if (performance.now() - rolledAt > IDLE_MS) ending.current();
      }, SHOWN_MS);
      const quiet = setTimeout(() => {
        if (heard) return;
        ending.current();
        setCount(null);
        setTrouble('silent');
      }, SILENT_MS);
      ending.current = () => {
        silence();
        clearInterval(timer);
        clearTimeout(quiet);
        setCount(counter.now());
        setListening(false);
        ending.current = () => {};
      };
    },
    [place],
  );

  const start = useCallback((): void => {
    setMadeUp(false);
    if (!window.isSecureContext) return setTrouble('unsafe');
    if (Reflect.get(window, 'DeviceMotionEvent') === undefined) return setTrouble('none');
    void permissionOf().then(isGiven => {
      if (!isGiven) return setTrouble('denied');
      listen(take => {
        const hear = (e: DeviceMotionEvent): void => {
          const sample = sampleOf(e);
          if (sample) take(sample);
        };
        window.addEventListener('devicemotion', hear);
        return () => window.removeEventListener('devicemotion', hear);
      });
    });
  }, [listen]);

  const madeUp = useCallback((): void => {
    setMadeUp(true);
    const ask = { place, rolls: MADE_UP_ROLLS, seed: chance.seed(), pauses: 1, around: [] };
    workers.long
      .run('madeUpMotion', ask)
      .then(answer => {
        const samples = valueOf(answer);
        listen(take => {
          const began = performance.now();
          let next = 0;
          const timer = setInterval(() => {
            const until = FASTER * (performance.now() - began);
            for (; (samples[next]?.atMs ?? Number.POSITIVE_INFINITY) <= until; next += 1) {
              const sample = samples[next];
              if (sample) take(sample);
            }
          }, SHOWN_MS / 2);
          return () => clearInterval(timer);
        });
      })
      .catch(failed);
  }, [place, listen, workers, chance, failed]);

  return { count, isListening, trouble, isMadeUp, start, madeUp, stop };
};
