import { useEffect, useRef, useState } from 'react';
import { seeded } from '../core/numeric/random';
import { isStill, scaleLine, type ScaleUnit } from '../core/wool/scaleLine';
import { type SimulatedScale, simulatedScale } from '../core/wool/simulatedScale';
import { serialScale } from './serialScale';

/** Where readings come from: nowhere, the simulated scale, or one on the serial port. */
export type ScaleSource = 'none' | 'simulated' | 'serial';

export interface Scale {
  readonly source: ScaleSource;
  /** What the scale says now, g, the bowl included; null before it said anything. */
  readonly grams: number | null;
  readonly isStill: boolean;
  /** What went wrong, in words; null when nothing did. */
  readonly trouble: string | null;
  /** Asks for a port and listens; the speed as the scale's booklet says, and what a line without a unit means. */
  readonly connect: (settings: ScaleSettings) => void;
  readonly simulate: () => void;
  readonly letGo: () => void;
  /** Of the simulated scale: puts grams on, or takes them off. */
  readonly add: (grams: number) => void;
}

/** How the lines of a scale are to be read. */
export interface ScaleSettings {
  readonly baudRate: number;
  readonly unit: ScaleUnit;
}

const TICK_MS = 150;
const KEPT = 12;
/** This many lines without a figure are told of. */
const GARBAGE = 8;
const UNPLUGGED =
  'The scale is disconnected. What you weighed is kept; connect it again, or type the weight.';

/** A kitchen scale, real or simulated, as the view reads it. Session state. */
export const useScale = (stepG: number): Scale => {
  const [source, setSource] = useState<ScaleSource>('none');
  const [readings, setReadings] = useState<readonly number[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const simulated = useRef<SimulatedScale | null>(null);
  const release = useRef<() => void>(() => undefined);
  const garbage = useRef(0);
  const hear = (line: string, unit: ScaleUnit = 'g'): void => {
    const grams = scaleLine(line, unit);
    garbage.current = grams === null ? garbage.current + 1 : 0;
    if (garbage.current === GARBAGE)
      setTrouble(
        `The scale sent “${line.slice(0, 24)}”, which has no number in it. Check its speed and units.`,
      );
    if (grams === null) return;
    setTrouble(null);
    setReadings(all => [...all.slice(1 - KEPT), grams]);
  };
  const letGo = (): void => {
    release.current();
    release.current = () => undefined;
    simulated.current = null;
    setSource('none');
    setReadings([]);
    setTrouble(null);
  };
  useEffect(() => () => release.current(), []);
  return {
    source,
    grams: readings.at(-1) ?? null,
    isStill: isStill(readings, stepG),
    trouble,
    simulate: () => {
      letGo();
      const made = simulatedScale({ stepG, random: seeded(Date.now()) });
      const timer = setInterval(() => hear(made.after(TICK_MS)), TICK_MS);
      simulated.current = made;
      release.current = () => clearInterval(timer);
      setSource('simulated');
    },
    connect: ({ baudRate, unit }) => {
      letGo();
      serialScale({
        baudRate,
        onLine: line => hear(line, unit),
        onGone: () => {
          letGo();
          setTrouble(UNPLUGGED);
        },
      }).then(
        letGoOf => {
          release.current = letGoOf;
          setSource('serial');
        },
        (error: unknown) => setTrouble(error instanceof Error ? error.message : String(error)),
      );
    },
    letGo,
    add: grams => simulated.current?.put(simulated.current.load() + grams),
  };
};
