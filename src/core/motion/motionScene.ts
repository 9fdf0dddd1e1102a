import { normal, type Random, seeded } from '../numeric/random';
import type { MotionPlace, MotionSample } from './motion';

/** What somebody does, made up; all else of it comes of its seed. */
export interface MotionScene {
  readonly place: MotionPlace;
  readonly rolls: number;
  readonly seed: number;
  /** Pauses between, each of some seconds; drawn up to three when left out. */
  readonly pauses?: number;
  /** Samples a second; drawn when left out. */
  readonly rate?: number;
  readonly hasGyro?: boolean;
  /** Share of samples that are lost. */
  readonly lost?: number;
  /** How much each stroke dips in its middle, 0 to 0.8. */
  readonly hump?: number;
  /** What is done before and after the rolling; some of each when left out. */
  readonly around?: readonly MotionDoing[];
}
export type MotionDoing = 'still' | 'walk' | 'open' | 'setDown';

/** What was made up, and when what was done. */
export interface Motion {
  readonly samples: readonly MotionSample[];
  /** Stretches of rolling: from, to, ms. */
  readonly rolling: ReadonlyArray<{ readonly fromMs: number; readonly toMs: number }>;
}

/** How it is moved at one moment: speed over the table (right, away, up), m/s, and how fast it turns about the same three, rad/s. */
interface Moved {
  readonly speed: readonly [number, number, number];
  readonly turn: readonly [number, number, number];
}
const STILL: Moved = { speed: [0, 0, 0], turn: [0, 0, 0] };
type Doing = { readonly ms: number; readonly isRolling: boolean; readonly at: (seconds: number) => Moved };

/** How a phone in each place takes part in a roll: how far it goes, m, and how far it turns, rad, about which axis. */
const TAKES_PART = {
  wrist: { far: [0.14, 0.28], turns: [0.1, 0.4], axis: [0.2, 0.1, 1] },
  pocket: { far: [0.02, 0.05], turns: [0.02, 0.06], axis: [1, 0.1, 0.2] },
  bundle: { far: [0.18, 0.32], turns: [2.4, 4.4], axis: [1, 0, 0] },
} as const;
const between = (random: Random, [least, most]: readonly [number, number]): number =>
  least + (most - least) * random();

/** So many rolls, stroke by stroke: tempo and strength drift, some strokes are weak. */
const rolling = (
  rolls: number,
  { place, hump }: { readonly place: MotionPlace; readonly hump: number },
  random: Random,
): Doing => {
  const own = TAKES_PART[place];
  const far = between(random, own.far);
  const turns = between(random, own.turns);
  const tempo = between(random, [0.75, 1.9]);
  const bounces = between(random, [0.03, 0.14]);
  const strokes = Array.from({ length: 2 * rolls }, (_, i) => ({
    seconds: (0.5 / tempo) * Math.exp(0.12 * Math.sin(i / 17 + tempo) + 0.045 * normal(random)),
    strength: Math.exp(0.1 * Math.sin(i / 23) + 0.07 * normal(random)) * (random() < 0.012 ? 0.5 : 1),
  }));
  const ends: number[] = [];
  for (const s of strokes) ends.push((ends.at(-1) ?? 0) + s.seconds);
  return {
    ms: 1000 * (ends.at(-1) ?? 0),
    isRolling: true,
    at: seconds => {
      const i = Math.max(
        0,
        ends.findIndex(e => e > seconds),
      );
      const stroke = strokes[i];
      if (!stroke || seconds >= (ends.at(-1) ?? 0)) return STILL;
      const t = (seconds - ((ends[i] ?? 0) - stroke.seconds)) / stroke.seconds;
      // A stroke with a dip in its middle: what it has of its third harmonic.
      const shape = Math.sin(Math.PI * t) * (1 - hump * Math.exp(-(((t - 0.5) / 0.13) ** 2)));
      const rate = ((i % 2 === 0 ? 1 : -1) * shape * stroke.strength * Math.PI) / 2 / stroke.seconds;
      const bounce = bounces * far * Math.sin(2 * Math.PI * t) * rate;
      return {
        speed: [0.1 * far * rate, far * rate, bounce],
        turn: [own.axis[0] * turns * rate, own.axis[1] * turns * rate, own.axis[2] * turns * rate],
      };
    },
  };
};

const walking = (ms: number, place: MotionPlace, random: Random): Doing => {
  const f = between(random, [1.6, 2.1]);
  const up = between(random, [0.16, 0.3]);
  const swing = place === 'bundle' ? 0.12 : place === 'wrist' ? between(random, [0.2, 0.5]) : 0.35;
  const arm = place === 'wrist' ? 0.55 : 0.3;
  const phase = 2 * Math.PI * random();
  return {
    ms,
    isRolling: false,
    at: s => {
      const w = 2 * Math.PI * f;
      const angle = swing * Math.sin((w * s) / 2 + phase);
      const rate = ((swing * w) / 2) * Math.cos((w * s) / 2 + phase);
      return {
        speed: [
          0.06 * Math.sin((w * s) / 2),
          0.12 * Math.sin(w * s + 1) + arm * rate * Math.cos(angle),
          up * Math.sin(w * s) + 0.3 * up * Math.sin(2 * w * s) + arm * rate * Math.sin(angle),
        ],
        turn: [rate, 0.2 * Math.sin(w * s), 0.15 * Math.sin((w * s) / 2)],
      };
    },
  };
};

/** Unrolling, smoothing, laying out: now this, now that. */
const opening = (ms: number, random: Random): Doing => {
  const waves = Array.from({ length: 18 }, () => ({
    axis: Math.floor(6 * random()),
    f: between(random, [0.2, 1.7]),
    phase: 2 * Math.PI * random(),
    size: between(random, [0.03, 0.16]),
    from: random() * ms * 0.001,
    long: between(random, [0.6, 2.2]),
  }));
  return {
    ms,
    isRolling: false,
    at: s => {
      const v = [0, 0, 0, 0, 0, 0];
      for (const w of waves) {
        const t = (s - w.from) / w.long;
        if (t <= 0 || t >= 1) continue;
        v[w.axis] =
          (v[w.axis] ?? 0) +
          (w.axis < 3 ? 1 : 6) * w.size * Math.sin(Math.PI * t) * Math.sin(2 * Math.PI * w.f * s + w.phase);
      }
      const [a = 0, b = 0, c = 0, d = 0, e = 0, g = 0] = v;
      return { speed: [a, b, c], turn: [d, e, g] };
    },
  };
};
const settingDown = (): Doing => ({
  ms: 1500,
  isRolling: false,
  at: s => ({
    speed: [0, 0.1 * Math.exp(-(((s - 0.5) / 0.2) ** 2)), -0.35 * Math.exp(-(((s - 0.7) / 0.12) ** 2))],
    turn: [0.6 * Math.exp(-(((s - 0.6) / 0.2) ** 2)), 0, 0],
  }),
});
const still = (ms: number): Doing => ({ ms, isRolling: false, at: () => STILL });

const doingOf = (doing: MotionDoing, place: MotionPlace, random: Random): Doing => {
  const ms = 1000 * between(random, [3, 8]);
  if (doing === 'walk') return walking(2 * ms, place, random);
  if (doing === 'open') return opening(2 * ms, random);
  return doing === 'setDown' ? settingDown() : still(ms);
};

/** All that is done, in order. */
const doingsOf = (scene: MotionScene, random: Random): readonly Doing[] => {
  const { place, rolls } = scene;
  const hump = scene.hump ?? (random() < 0.4 ? 0.6 * random() : 0);
  const pauses = Math.min(scene.pauses ?? Math.floor(4 * random()), Math.max(0, Math.floor(rolls / 6) - 1));
  const around: readonly MotionDoing[] = scene.around ?? ['walk', 'setDown', 'still', 'open', 'walk'];
  const half = Math.ceil(around.length / 2);
  const parts = Array.from({ length: pauses + 1 }, (_, i) =>
    i < pauses ? Math.floor(rolls / (pauses + 1)) : rolls - pauses * Math.floor(rolls / (pauses + 1)),
  );
  const pick = (list: readonly MotionDoing[]): readonly Doing[] => list.map(d => doingOf(d, place, random));
  return [
    ...pick(around.slice(0, half)),
    still(1200),
    ...parts.flatMap((n, i) =>
      n > 0
        ? [
            rolling(n, { place, hump }, random),
            ...(i < pauses ? [still(1000 * between(random, [3, 7]))] : []),
          ]
        : [],
    ),
    still(2500),
    ...pick(around.slice(half)),
  ];
};

type Turned = readonly [number, number, number, number];
/** A quarter-turn of numbers that holds how the phone lies; turned on by a small turn about the table's axes. */
const turnedOn = (q: Turned, [x, y, z]: readonly [number, number, number]): Turned => {
  const [w, a, b, c] = q;
  const [dx, dy, dz] = [x / 2, y / 2, z / 2];
  const next = [
    w - dx * a - dy * b - dz * c,
    a + dx * w + dy * c - dz * b,
    b + dy * w + dz * a - dx * c,
    c + dz * w + dx * b - dy * a,
  ];
  const long = Math.hypot(...next);
  const [n0 = 1, n1 = 0, n2 = 0, n3 = 0] = next.map(v => v / long);
  return [n0, n1, n2, n3];
};
/** What points some way over the table, along the phone's own axes. */
const inPhone = (
  [w, x, y, z]: Turned,
  [a, b, c]: readonly [number, number, number],
): [number, number, number] => [
  (1 - 2 * (y * y + z * z)) * a + 2 * (x * y + w * z) * b + 2 * (x * z - w * y) * c,
  2 * (x * y - w * z) * a + (1 - 2 * (x * x + z * z)) * b + 2 * (y * z + w * x) * c,
  2 * (x * z + w * y) * a + 2 * (y * z - w * x) * b + (1 - 2 * (x * x + y * y)) * c,
];

/** Steps by which it is reckoned, s. */
const FINE = 0.005;
const GRAVITY = 9.81;
const NOISE = { push: 0.05, turn: 0.01 } as const;

/**
 * A made-up motion as a phone feels it: somebody walks up, rolls with pauses, opens what was rolled and walks off. The same scene gives the same
 * samples everywhere. It stands in for a phone's sensors, and is what counting by motion was tried on.
 */
export const motionOf = (scene: MotionScene): Motion => {
  const random = seeded(scene.seed);
  const doings = doingsOf(scene, random);
  const rate = scene.rate ?? (random() < 0.25 ? 20 : 50 + 10 * random());
  const hasGyro = scene.hasGyro ?? random() > 0.1;
  const lost = scene.lost ?? (random() < 0.3 ? 0.04 * random() : 0);
  let lies: Turned = [1, 0, 0, 0];
  for (let i = 0; i < 12; i += 1) lies = turnedOn(lies, [normal(random), normal(random), normal(random)]);
  const samples: MotionSample[] = [];
  const rollings: Array<{ readonly fromMs: number; readonly toMs: number }> = [];
  let before = STILL;
  let [nowS, nextS, begun] = [0, 0, 0];
  for (const doing of doings) {
    const end = begun + doing.ms / 1000;
    if (doing.isRolling) rollings.push({ fromMs: 1000 * begun, toMs: 1000 * end });
    for (; nowS < end; nowS += FINE) {
      const moved = doing.at(nowS - begun);
      lies = turnedOn(lies, [FINE * moved.turn[0], FINE * moved.turn[1], FINE * moved.turn[2]]);
      const [x, y, z] = moved.speed.map((v, i) => (v - (before.speed[i] ?? 0)) / FINE);
      before = moved;
      if (nowS < nextS) continue;
      nextS += (1 / rate) * (1 + 0.15 * normal(random));
      if (random() < lost) continue;
      const push = inPhone(lies, [x ?? 0, y ?? 0, (z ?? 0) + GRAVITY]);
      const turn = inPhone(lies, moved.turn);
      samples.push({
        atMs: 1000 * nowS,
        push: [
          push[0] + NOISE.push * normal(random),
          push[1] + NOISE.push * normal(random),
          push[2] + NOISE.push * normal(random),
        ],
        turn: hasGyro
          ? [
              turn[0] + NOISE.turn * normal(random),
              turn[1] + NOISE.turn * normal(random),
              turn[2] + NOISE.turn * normal(random),
            ]
          : null,
      });
    }
    begun = end;
  }
  return { samples, rolling: rollings };
};
