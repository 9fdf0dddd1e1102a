import type { Step } from './intake';
import { type MotionPlace, STEP_MS } from './motion';
import type { Axis } from './period';

/**
 * Walking shakes up and down; rolling goes along the table. Beyond these it is walking: so much of all motion is upright; less where it swings as an arm
 * does (little way for its turning, m), or hangs heavy, or does not feel its turning. Set on made-up signals.
 */
const UPRIGHT = { wrist: 0.12, wristUnsure: 0.085, wristSwinging: 0.065, pocket: 0.33 } as const;
const SWING_M = 0.33;
const HEAVY = 9.95;
/** In a pocket nobody rolls so hard, m/s and m/s², nor turns so fast, rad/s: that is a leg. */
const LEG = { speed: 0.25, push: 3, turn: 0.5 } as const;
/** A forearm that slides on a table turns about what is upright; one that swings does not. */
const UPRIGHT_TURNING = 0.5;
/** A bundle turns at least so far each way, rad; carried in the hand it hangs still in gravity and turns less than the second. */
const TURNS = { least: 0.6, carried: 1.4, still: 9.3 } as const;
/** What turns on and on is being unrolled. */
const ON_AND_ON = 1.2;

/** Share of a motion that is upright. */
const uprightOf = (steps: readonly Step[], of: (s: Step) => Float64Array): number => {
  let [upright, all] = [0, 0];
  for (const s of steps) {
    const [x = 0, y = 0, z = 0] = of(s);
    const [dx = 0, dy = 0, dz = 0] = s.down;
    const long = Math.max(1e-6, Math.hypot(dx, dy, dz));
    upright += ((x * dx + y * dy + z * dz) / long) ** 2;
    all += x * x + y * y + z * z;
  }
  return all > 0 ? upright / all : 0;
};
const rms = (steps: readonly Step[], of: (s: Step) => Float64Array): number =>
  Math.sqrt(
    steps.reduce((sum, s) => sum + of(s).reduce((a, v) => a + v * v, 0), 0) / Math.max(1, steps.length),
  );
/** How heavy it hangs on average, m/s². */
const meanDown = (steps: readonly Step[]): number =>
  Math.hypot(
    ...[0, 1, 2].map(i => steps.reduce((sum, s) => sum + (s.down[i] ?? 0), 0) / Math.max(1, steps.length)),
  );

/** How far something turns each way in half a period, rad, and how far it has turned in all over two of them. */
const turningOf = (steps: readonly Step[], axis: Axis): { readonly each: number; readonly net: number } => {
  const way = axis.along.subarray(3);
  const long = Math.max(1e-6, Math.hypot(...way));
  let [angle, least, most] = [0, 0, 0];
  for (const s of steps) {
    const rate = s.turn.reduce((sum, v, i) => sum + (v * (way[i] ?? 0)) / long, 0);
    angle += (rate * STEP_MS) / 1000;
    least = Math.min(least, angle);
    most = Math.max(most, angle);
  }
  return { each: most - least, net: Math.abs(angle) };
};

/** Why a motion that comes again evenly is no rolling; null where it may be. @param steps the last two periods */
export const refusalOf = (
  steps: readonly Step[],
  axis: Axis,
  place: MotionPlace,
): 'walking' | 'carried' | 'unrolled' | null => {
  if (place === 'bundle') {
    const { each, net } = turningOf(steps, axis);
    if (each < TURNS.least) return 'carried';
    if (meanDown(steps) > TURNS.still && each < TURNS.carried) return 'carried';
    return net > ON_AND_ON * each ? 'unrolled' : null;
  }
  const speed = (s: Step): Float64Array => s.speed.subarray(0, 3);
  const upright = Math.sqrt(uprightOf(steps, s => s.push) * uprightOf(steps, speed));
  const [fast, turning] = [rms(steps, speed), rms(steps, s => s.turn)];
  if (place === 'pocket') {
    const isLeg = turning > 0 ? turning > LEG.turn : fast > LEG.speed || rms(steps, s => s.push) > LEG.push;
    return isLeg || upright > UPRIGHT.pocket ? 'walking' : null;
  }
  const isUnsure = turning === 0 || meanDown(steps) > HEAVY;
  const isSwinging = turning > 0 && fast / turning < SWING_M;
  if (isSwinging && uprightOf(steps, s => s.turn) < UPRIGHT_TURNING) return 'walking';
  const most = isSwinging ? UPRIGHT.wristSwinging : isUnsure ? UPRIGHT.wristUnsure : UPRIGHT.wrist;
  return upright > most ? 'walking' : null;
};
