import { intake, type Step } from './intake';
import { CHANNELS, type MotionPlace, type MotionSample, STEP_MS } from './motion';
import { alongAxis, axisOf, type Period, periodOf } from './period';
import { refusalOf } from './refusals';
import { chainOf, type Stroke, strokesOf } from './strokes';

/** What has been counted. */
export interface RollCount {
  readonly rolls: number;
  /** True while it goes to and fro. */
  readonly isRolling: boolean;
  /** Why the count may be off; none where it is sure. */
  readonly doubts: readonly MotionDoubt[];
  /** Deviation of the count, rolls; 0 where it is sure. */
  readonly spread: number;
}

/** What makes a count unsure: strokes without a fellow, samples lost, strokes that are unlike, evenness that was not counted, a device that feels no turning. */
export const MOTION_DOUBTS = ['odd', 'lost', 'unlike', 'uncounted', 'noTurning'] as const;
export type MotionDoubt = (typeof MOTION_DOUBTS)[number];

/** How alike each time has to be like the one before, and how strong at least, m/s. Set on made-up signals. */
const ALIKE: Readonly<Record<MotionPlace, number>> = { wrist: 0.7, pocket: 0.78, bundle: 0.7 };
const LEAST: Readonly<Record<MotionPlace, number>> = { wrist: 0.14, pocket: 0.011, bundle: 0.5 };
/** While it goes it may be less even. */
const EASIER = 0.15;
/** So many strokes, one after the other, are rolling. */
const BEGINS = 6;
/** So long is kept, ms, and looked at so often. */
const KEPT_MS = 11_000;
const EVERY_MS = 200;
/** Strokes of one run are so large beside the ones before them. */
const GOES_ON = { least: 0.3, most: 2.6 } as const;
/** A stroke that comes later than so many half periods comes after a break; then so many in a row are asked for. */
const BREAK = { gap: 1.7, again: 4 } as const;
/** It has stopped after so many periods without a stroke. */
const STOPS = 2.2;
/** An odd stroke at the end makes a roll only if both ends are so large beside the usual one. */
const FULL = 0.75;
/** Shares beyond which it is not sure. */
const DOUBT = { odd: 3, lost: 0.03, unlike: 0.12, uncountedMs: 6000, alike: 0.8 } as const;
/** Deviation of a count that is not sure, as a share and at least, rolls. From made-up signals. */
const UNSURE = { share: 0.03, least: 1 } as const;

/** One stretch of rolling. */
interface Run {
  readonly strokes: readonly Stroke[];
  readonly lost: number;
}

const strength = (steps: readonly Step[]): number => {
  let sum = 0;
  for (const s of steps) for (let c = 0; c < CHANNELS; c += 1) sum += (s.speed[c] ?? 0) ** 2;
  return Math.sqrt(sum / Math.max(1, steps.length));
};

const usualOf = (strokes: readonly Stroke[]): number =>
  strokes.map(s => Math.abs(s.peak)).toSorted((a, b) => a - b)[Math.floor(strokes.length / 2)] ?? 0;

/** Rolls of a run: two strokes each; one that is left over counts where the run began and ended with a whole one. */
const rollsOf = ({ strokes, lost }: Run): number => {
  const count = strokes.length + lost;
  const usual = usualOf(strokes);
  const isFull = [strokes[0], strokes.at(-1)].every(s => s && Math.abs(s.peak) > FULL * usual);
  return Math.floor(count / 2) + (count % 2 === 1 && isFull ? 1 : 0);
};

/**
 * Counts rolls by what a phone feels, as it comes. It begins after three or four rolls, which it counts at once, and stops by itself. Each sample costs
 * the same. Tried on made-up signals only: it cannot tell rolling from wiping the table, nor always from walking with a swinging wrist.
 */
export const rollCounter = (
  place: MotionPlace,
): { readonly take: (sample: MotionSample) => void; readonly now: () => RollCount } => {
  const into = intake(place);
  let steps: Step[] = [];
  let runs: readonly Run[] = [];
  let run: Run | null = null;
  let lastPeriod: Period | null = null;
  let since = 0;
  let uncountedMs = 0;
  let unlike = 0;
  let looks = 0;
  let feelsTurning = true;

  const end = (): void => {
    if (run) runs = [...runs, run];
    run = null;
  };
  /** Strokes that came after what was counted already, as far as they belong to the same run. */
  const goOn = (chain: readonly Stroke[], periodMs: number): void => {
    const counted =
      run?.strokes.at(-1)?.atMs ?? runs.at(-1)?.strokes.at(-1)?.atMs ?? Number.NEGATIVE_INFINITY;
    const fresh = chain.filter(s => s.atMs > counted + 0.3 * (periodMs / 2));
    if (fresh.length === 0) return;
    // What goes on far more weakly or far more strongly is something else.
    const usual = run ? usualOf(run.strokes.slice(-12)) : 0;
    const isOther = (s: Stroke): boolean =>
      Math.abs(s.peak) < GOES_ON.least * usual || Math.abs(s.peak) > GOES_ON.most * usual;
    if (run && fresh.every(isOther)) return;
    if (!run) {
      run = { strokes: fresh, lost: 0 };
      return;
    }
    const gap = ((fresh[0]?.atMs ?? 0) - counted) / (periodMs / 2);
    const between = steps.filter(s => s.atMs > counted && s.atMs < (fresh[0]?.atMs ?? 0));
    // What was lost is taken as going on at the same pace.
    const isLost = between.some(s => s.isLost);
    const lost = isLost && gap > 1.5 ? Math.round(gap) - 1 : 0;
    // After a break some in a row show that it goes on.
    if (!isLost && gap > BREAK.gap && fresh.length < BREAK.again) return;
    run = { strokes: [...run.strokes, ...fresh], lost: run.lost + lost };
  };

  const look = (): void => {
    const nowMs = steps.at(-1)?.atMs ?? 0;
    const period = periodOf(steps);
    const needed = ALIKE[place] - (run ? EASIER : 0);
    const held = lastPeriod && run ? lastPeriod : null;
    const good = period && period.alike >= needed ? period : null;
    const used = good ?? held;
    if (used) {
      const recent = steps.slice(-Math.round((2 * used.ms) / STEP_MS));
      const axis = axisOf(steps, used.ms);
      const isStrong = strength(recent) >= LEAST[place];
      const refusal = refusalOf(recent, axis, place);
      if (isStrong && refusal === null) {
        const signal = alongAxis(steps, axis, used.ms);
        const all = strokesOf(
          signal,
          steps.map(s => s.atMs),
          used.ms,
        );
        const chain = chainOf(all, used.ms);
        if (run ? chain.length >= 1 : good !== null && chain.length >= BEGINS) goOn(chain, used.ms);
        if (good) lastPeriod = good;
        if (run && good) {
          looks += 1;
          if (good.alike < DOUBT.alike) unlike += 1;
        } else if (good) uncountedMs += EVERY_MS;
      }
    }
    const last = run?.strokes.at(-1)?.atMs;
    if (last !== undefined && nowMs - last > STOPS * (lastPeriod?.ms ?? 1000)) end();
  };

  const now = (): RollCount => {
    const all = run ? [...runs, run] : runs;
    const rolls = all.reduce((sum, r) => sum + rollsOf(r), 0);
    const strokes = all.reduce((sum, r) => sum + r.strokes.length + r.lost, 0);
    const lost = all.reduce((sum, r) => sum + r.lost, 0);
    const odd = runs.filter(r => (r.strokes.length + r.lost) % 2 === 1).length;
    const is: Readonly<Record<MotionDoubt, boolean>> = {
      odd: odd >= DOUBT.odd,
      lost: lost > DOUBT.lost * strokes,
      unlike: unlike > DOUBT.unlike * Math.max(1, looks),
      uncounted: uncountedMs > DOUBT.uncountedMs,
      noTurning: place === 'bundle' && !feelsTurning,
    };
    const doubts = MOTION_DOUBTS.filter(d => is[d]);
    return {
      rolls,
      isRolling: run !== null,
      doubts,
      spread: doubts.length === 0 ? 0 : Math.max(UNSURE.least, UNSURE.share * rolls),
    };
  };

  return {
    now,
    take: sample => {
      feelsTurning = sample.turn !== null;
      for (const step of into(sample)) {
        steps.push(step);
        since += STEP_MS;
        if (since < EVERY_MS) continue;
        since = 0;
        const oldest = step.atMs - KEPT_MS;
        if ((steps[0]?.atMs ?? 0) < oldest) steps = steps.filter(s => s.atMs >= oldest);
        look();
      }
    },
  };
};
