import type { Act } from '../core/acts/act';
import { ball } from '../core/forms/kinds/ball';
import { bowl } from '../core/forms/kinds/bowl';
import { rectangle } from '../core/forms/kinds/rectangle';
import { sleeve } from '../core/forms/kinds/sleeve';
import { newPlan } from '../core/plan/newPlan';
import type { Lesson } from '../records/lesson';

const wet = (face = 1): Act => ({ kind: 'wet', face, water: 'hot' });
const rub = (count: number, face = 1): Act => ({ kind: 'rub', face, count });
const pinch2: Act = { kind: 'pinch', grade: 2 };
const roll = (rolls: number, directionDeg: 0 | 90, face = 1): Act => ({
  kind: 'roll',
  face,
  directionDeg,
  rolls,
  cushion: 'bubble',
  pressure: 'arms',
});
/** So many sets of thirty each way. */
const bothWays = (sets: number, face = 1): readonly Act[] =>
  Array.from({ length: sets }, () => [roll(30, 0, face), roll(30, 90, face)]).flat();
const look: Act = { kind: 'look', wetness: 'right', foam: 'right' };

const SHEET = { ...newPlan(rectangle), pieces: 1 };
const SLEEVE = { ...newPlan(sleeve), pieces: 1 };

const BASE = { kind: 'lesson', version: 1, judge: 'tape', faults: [], done: [] } as const;

/** Lessons that are there from the start: each a few minutes, each one thing. What they say of felt is common practice. */
export const LESSONS: readonly Lesson[] = [
  {
    ...BASE,
    id: 'skin',
    title: 'Feel the skin',
    about: 'A fresh layout is only laid wool. When its skin holds it may be rolled, and not before.',
    plan: SHEET,
    seed: 21,
    steps: [
      {
        says: 'This sheet is laid. Wet it: the great button at the bench says Done. Nothing you do here uses wool.',
        until: { is: 'done', act: 'wet', least: 1 },
      },
      {
        says: 'Rub it, with soap and the net on it. Tap Done: that writes down forty rubs.',
        until: { is: 'done', act: 'rub', least: 30 },
      },
      {
        says: 'Now pinch it, with “Pinch it” beside its picture. Then tap Pinch test, and write down what you found.',
        until: { is: 'tested', test: 'pinch', least: 0 },
      },
      {
        says: 'Where strands still lift, rub on and pinch again. Go on until the skin lifts as one, and write that down.',
        until: { is: 'tested', test: 'pinch', least: 2 },
      },
    ],
    shows: [
      {
        goal: { is: 'skin', least: 0.93 },
        good: 'The skin holds. From here it can be rolled.',
        bad: 'It was written down that it holds, and it does not yet: rolled now, its layers would slide.',
      },
    ],
  },
  {
    ...BASE,
    id: 'long',
    title: 'Long one way',
    about: 'A roll shortens most the way it is rolled. Rolled one way only, a square comes out long.',
    plan: SHEET,
    seed: 4,
    done: [wet(), rub(60), pinch2, look, roll(30, 0), roll(30, 0), look, roll(30, 0), roll(30, 0)],
    steps: [
      {
        says: 'Somebody has rolled this sheet lengthwise only. Lay the tape on, and write both lengths down with Measure.',
        until: { is: 'done', act: 'measure', least: 1 },
      },
      {
        says: 'Which way lags? Roll it that way, until both are as far on their ways. Look at the per cent beside each line.',
        until: { is: 'even', most: 0.06 },
      },
    ],
    shows: [
      {
        goal: { is: 'even', most: 0.08 },
        good: 'Length and width are as far by now. Turn the bundle after every set, and it stays so.',
        bad: 'One way is still further than the other. Roll the way that lags.',
      },
    ],
  },
  {
    ...BASE,
    id: 'cut',
    title: 'When to cut',
    about: 'Cut too early, the edge ravels; cut too late, it stays hard. Between them it heals.',
    plan: { ...newPlan(bowl), pieces: 1 },
    seed: 9,
    faults: ['ravel', 'hard', 'stuck'],
    done: [wet(1), wet(2), rub(60, 1), rub(60, 2), pinch2, look, ...bothWays(1, 1), look, ...bothWays(1, 2)],
    steps: [
      {
        says: 'This bowl is closed about its resist, and its skin holds. Roll on, and measure now and then. When it has begun to shrink well, and is not firm yet, cut it: choose “Open it” when the bench says so, or before.',
        until: { is: 'done', act: 'open', least: 1 },
      },
      {
        says: 'Rub the cut edge until it closes.',
        until: { is: 'done', act: 'edge', least: 1 },
      },
    ],
    shows: [
      {
        goal: { is: 'opened', least: 0.15, most: 0.7 },
        good: 'Cut in time: the edge heals.',
        bad: 'That was too early or too late: between a sixth and two thirds of its way is good.',
      },
      {
        goal: { is: 'sound' },
        good: 'Nothing else went wrong.',
        bad: 'Something has felted in that will stay.',
      },
    ],
  },
  {
    ...BASE,
    id: 'wet',
    title: 'Too wet, too dry',
    about: 'Dry wool does not felt; wool that swims slides apart. Wet all through and no more is right.',
    plan: SHEET,
    seed: 2,
    faults: ['thin'],
    steps: [
      {
        says: 'Wet it, and press the water through.',
        until: { is: 'done', act: 'wet', least: 1 },
      },
      {
        says: 'Open it and look. If no tuft is dry, leave the jug alone. Rub until the skin lifts as one, and write that down.',
        until: { is: 'tested', test: 'pinch', least: 2 },
      },
      {
        says: 'Hold it to the light, and write down under Tests what you see.',
        until: { is: 'tested', test: 'light', least: 0 },
      },
    ],
    shows: [
      {
        goal: { is: 'caught', fault: 'thin' },
        good: 'It is even: no wool has floated away.',
        bad: 'Wool has floated away from one place: it was wetted once too often.',
      },
    ],
  },
  {
    ...BASE,
    id: 'thin',
    title: 'The thin spot',
    about: 'A thin spot cannot be seen on the table. Against the light it can, while there is still time.',
    plan: SHEET,
    seed: 7,
    faults: ['thin'],
    done: [wet(), wet(), wet(), rub(20)],
    steps: [
      {
        says: 'Somebody has wetted this sheet three times. Hold it to the light.',
        until: { is: 'tested', test: 'light', least: 0 },
      },
      {
        says: 'A pale place? Write it down under “Problem?”: that is where wool is laid on while it still takes.',
        until: { is: 'done', act: 'fault', least: 1 },
      },
    ],
    shows: [
      {
        goal: { is: 'caught', fault: 'thin' },
        good: 'Seen in time: wool laid on now still takes.',
        bad: 'Too late: the thin spot has felted in. Look before the first hundred rolls.',
      },
    ],
  },
  {
    ...BASE,
    id: 'crack',
    title: 'A ball without a crack',
    about: 'A ball that is pressed before it has a skin cracks, and the crack stays.',
    plan: { ...newPlan(ball), pieces: 1 },
    seed: 5,
    faults: ['crack'],
    steps: [
      {
        says: 'Wet it, and roll it in the palms as if it were an egg of the smallest bird. Roll a fingertip on it now and then: when hairs do not move, write that down under Tests.',
        until: { is: 'tested', test: 'finger', least: 1 },
      },
      {
        says: 'Now it may be pressed: under the board, for a minute or more.',
        until: { is: 'done', act: 'board', least: 1 },
      },
    ],
    shows: [
      {
        goal: { is: 'caught', fault: 'crack' },
        good: 'No crack: it had its skin first.',
        bad: 'It cracked: it was pressed before half of its skin was there.',
      },
    ],
  },
  {
    ...BASE,
    id: 'stop',
    title: 'Stop in time',
    about:
      'Felt goes on shrinking as long as it is worked, and never comes back. Near its size each set counts.',
    plan: SHEET,
    seed: 12,
    done: [wet(), rub(60), pinch2, ...Array.from({ length: 7 }, () => [look, ...bothWays(1)]).flat()],
    steps: [
      {
        says: 'This sheet is well on its way. Measure it before you roll.',
        until: { is: 'done', act: 'measure', least: 1 },
      },
      {
        says: 'Roll no more than is left, and measure again. Where you think that it is there, ask how it is truly.',
        until: { is: 'way', least: 0.93, most: 2 },
      },
    ],
    shows: [
      {
        goal: { is: 'way', least: 0.9, most: 1.08 },
        good: 'Stopped in time: it is within a finger of its size.',
        bad: 'It is not at its size: too long, and it can still be rolled; too short, and nothing brings it back.',
      },
    ],
  },
  {
    ...BASE,
    id: 'half',
    title: 'Half as big',
    about: 'Half as big is half the area: not half the length, but three tenths off each way.',
    plan: SHEET,
    seed: 30,
    done: [wet(), rub(60), pinch2, look, ...bothWays(2)],
    steps: [
      {
        says: 'Roll it until it lies on half of the place it was laid on. Measure when you think that you are near: 70 for every 100 it was laid.',
        until: { is: 'area', least: 0, most: 0.55 },
      },
    ],
    shows: [
      {
        goal: { is: 'area', least: 0.44, most: 0.57 },
        good: 'Half as big: about seven tenths of its length and of its width.',
        bad: 'That is less than half. Half of the length would be a quarter of the area.',
      },
      {
        goal: { is: 'even', most: 0.12 },
        good: 'And it kept its shape.',
        bad: 'It has lost its shape: one way went further than the other.',
      },
    ],
  },
  {
    ...BASE,
    id: 'small-resist',
    title: 'The resist that was too small',
    about: 'Where too little shrinkage was planned for, a piece is at its size and still soft.',
    plan: { ...SLEEVE, shrinkage: { along: 0.16, across: 0.16 } },
    seed: 8,
    firmAt: 1.8,
    done: [wet(1), wet(2), rub(60, 1), rub(60, 2), pinch2, look, ...bothWays(1, 1), look, ...bothWays(1, 2)],
    steps: [
      {
        says: 'Roll this sleeve to its size: its resist was cut for little shrinkage. Measure now and then.',
        until: { is: 'way', least: 0.85, most: 9 },
      },
      {
        says: 'Pinch it, and write down what you find.',
        until: { is: 'tested', test: 'pinch', least: 2 },
      },
      {
        says: 'At its size, and soft. Rolling on makes it firm and too small: that cannot be had both ways. Stop here, and write a note for the next resist: it must be larger.',
        until: { is: 'done', act: 'note', least: 1 },
      },
    ],
    shows: [
      {
        goal: { is: 'way', least: 0.8, most: 1.2 },
        good: 'You kept its size. The next one is laid larger, and comes out firm.',
        bad: 'It is smaller than it should be: the size is gone, and the next resist has to be larger all the same.',
      },
    ],
  },
];
