import { describe, expect, it } from 'vitest';
import { type Act, controlOf } from '../acts/act';
import type { UsualWork } from '../acts/actSpec';
import type { ActChoices } from '../acts/choices';
import type { LogEntry } from '../log/entry';
import { AT, logOf, roll as rollOf, rub as rubbed, wet } from '../log/testing/logs';
import { followed, stepBack } from './following';
import type { Recipe } from './recipe';
import { SCHOOLS } from './schools';
import type { RecipeStep, StepMove, WorkScope } from '../acts/recipeStep';

const recipeOf = (...steps: ReadonlyArray<Omit<RecipeStep, 'id'>>): Recipe => ({
  id: 'r',
  name: 'Ours',
  steps: steps.map((s, i) => ({ id: `s${i + 1}`, ...s })),
});
const USUAL: UsualWork = { setOfRolls: 30, cushion: 'bubble', pressure: 'arms' };
/** An act that a step still asks for. */
const asks = (kind: string, choices: ActChoices): StepMove => ({ does: 'act', kind, choices });
const FLAT: WorkScope = { faces: [1, 2], legs: [1, 2], judge: 'tape', hasDirections: true, wetted: [] };
const BALL: WorkScope = { faces: [1], legs: [1], judge: 'tape', hasDirections: false, wetted: [] };
const roll = (face: number, directionDeg: 0 | 45 | 90, rolls: number): Act =>
  rollOf(directionDeg, rolls, { face });
const rub = (face: number, count: number): Act => rubbed(count, face);
const step = (id: string, how: 'done' | 'skipped' | 'started' = 'done'): Act => ({
  kind: 'step',
  step: id,
  how,
});

/** A recipe done to the letter: what is counted is done, what is not is ticked off. */
const toTheLetter = (school: Recipe, as: WorkScope): readonly LogEntry[] => {
  const acts: Act[] = [];
  for (let guard = 0; guard < 200; guard += 1) {
    const { next, left } = followed(school, logOf(...acts), as);
    const [move] = left;
    if (!next || !move) break;
    // Rubbing by the clock goes on until it is ticked off, and an opening is ticked here too.
    const counts = move.does === 'act' && (move.kind !== 'rub' || next.count !== undefined);
    const act = counts && move.kind !== 'open' ? controlOf(move.kind)?.make(move.choices, USUAL) : null;
    acts.push(act ?? step(next.id));
  }
  return logOf(...acts);
};

describe('a recipe that is followed', () => {
  const ours = recipeOf(
    { act: 'wet', water: 'warm' },
    { act: 'rub', count: 40 },
    { act: 'roll', count: 50, cushion: 'thick' },
    { act: 'measure' },
    { act: 'rinse' },
  );

  it('begins with its first step, each face in turn', () => {
    const { next, left, done, last } = followed(ours, [], FLAT);
    expect(next?.id).toBe('s1');
    expect(left).toEqual([asks('wet', { face: 1, water: 'warm' }), asks('wet', { face: 2, water: 'warm' })]);
    expect([done, last]).toEqual([0, null]);
  });

  it('is settled step by step by the work itself, whichever way round it is done', () => {
    const log = logOf(wet(2), wet(1), rub(1, 30), rub(2, 40), rub(1, 10), roll(2, 90, 50), roll(1, 0, 20));
    expect(followed(ours, log.slice(0, 1), FLAT).left).toEqual([asks('wet', { face: 1, water: 'warm' })]);
    expect(followed(ours, log.slice(0, 4), FLAT).left).toEqual([asks('rub', { face: 1, count: 10 })]);
    const now = followed(ours, log, FLAT);
    expect(now.next?.id).toBe('s3');
    expect(now.done).toBe(2);
    expect(now.left).toEqual([
      asks('roll', { face: 1, directionDeg: 0, count: 30, cushion: 'thick' }),
      asks('roll', { face: 1, directionDeg: 90, count: 50, cushion: 'thick' }),
      asks('roll', { face: 2, directionDeg: 0, count: 50, cushion: 'thick' }),
    ]);
    const rolled = [
      ...log,
      ...logOf(...log.map(e => e.act), roll(1, 0, 30), roll(1, 90, 60), roll(2, 0, 50)).slice(7),
    ];
    expect(followed(ours, rolled, FLAT).left).toEqual([{ does: 'panel', panel: 'measure' }]);
  });

  it('counts only what was done since the step before it, and not what it does not ask for', () => {
    // Rolled before the step's turn, diagonally within it, and a note between.
    const log = logOf(wet(1), wet(2), roll(1, 0, 50), rub(1, 40), rub(2, 40), roll(1, 45, 50), {
      kind: 'note',
      text: 'cold',
    });
    expect(followed(ours, log, FLAT).left).toHaveLength(4);
  });

  it('goes back with the log: what is undone was not done', () => {
    const log = logOf(wet(1), wet(2), { kind: 'undo', of: 'e2' });
    expect(followed(ours, log, FLAT).left).toEqual([asks('wet', { face: 2, water: 'warm' })]);
    expect(
      followed(ours, logOf(wet(1), wet(2), { kind: 'undo', of: 'e2' }, { kind: 'undo', of: 'e3' }), FLAT).next
        ?.id,
    ).toBe('s2');
  });

  it('takes what was wetted while it was laid as wetted', () => {
    expect(followed(ours, [], { ...FLAT, wetted: [1, 2] }).next?.id).toBe('s2');
    expect(followed(ours, [], { ...FLAT, wetted: [2] }).left).toEqual([
      asks('wet', { face: 1, water: 'warm' }),
    ]);
  });

  it('is ticked off or left out by hand at any time; one out of turn does not hide the one before', () => {
    expect(followed(ours, logOf(step('s1'), step('s2', 'skipped')), FLAT)).toMatchObject({
      next: { id: 's3' },
      done: 2,
    });
    const early = followed(ours, logOf(wet(1), step('s3')), FLAT);
    expect(early).toMatchObject({ next: { id: 's1' }, done: 1 });
    expect(early.left).toEqual([asks('wet', { face: 2, water: 'warm' })]);
    expect(followed(ours, logOf(step('of another recipe')), FLAT)).toMatchObject({ done: 0, last: null });
    const all = followed(ours, logOf(...ours.steps.map(s => step(s.id))), FLAT);
    expect(all).toMatchObject({ next: null, left: [], done: 5 });
  });

  it('no work on the felt says that it is rinsed: finishing it does, or the felter’s tick', () => {
    const worked = [...['s1', 's2', 's3', 's4'].map(id => step(id)), wet(1), rub(1, 100)];
    const rinsed = (how: 'again' | 'done'): Act => ({ kind: 'finish', step: 'rinse', how });
    expect(followed(ours, logOf(...worked), FLAT)).toMatchObject({
      next: { id: 's5' },
      left: [asks('finish', { step: 'rinse' })],
    });
    expect(followed(ours, logOf(...worked, rinsed('again')), FLAT).next?.id).toBe('s5');
    expect(followed(ours, logOf(...worked, rinsed('done')), FLAT).next).toBeNull();
  });

  it('steps back: a tick is taken back, and what the work settled is begun anew', () => {
    const ticked = followed(ours, logOf(step('s1', 'skipped')), FLAT);
    expect(stepBack(ticked)).toEqual({ kind: 'undo', of: 'e1' });
    const worked = logOf(wet(1), wet(2), rub(1, 40), rub(2, 45));
    const back = stepBack(followed(ours, worked, FLAT));
    expect(back).toEqual(step('s2', 'started'));
    if (!back) throw new Error('nothing to step back to');
    const again = followed(ours, logOf(...worked.map(e => e.act), back), FLAT);
    expect(again).toMatchObject({ next: { id: 's2' }, done: 1 });
    expect(again.left).toEqual([asks('rub', { face: 1, count: 40 }), asks('rub', { face: 2, count: 40 })]);
    expect(stepBack(followed(ours, [], FLAT))).toBeNull();
  });

  it('by the clock goes on until it is ticked off; the clock keeps when it was started', () => {
    const clocked = recipeOf({ act: 'rub', minutes: 10 }, { act: 'soak', minutes: 15 });
    const log = logOf(step('s1', 'started'), rub(1, 40), rub(2, 10));
    expect(followed(clocked, log, FLAT)).toMatchObject({ next: { id: 's1' }, startedAt: AT });
    expect(followed(clocked, log, FLAT).left[0]).toEqual(asks('rub', { face: 2, count: 40 }));
    expect(followed(clocked, logOf(step('s1', 'started'), step('s1')), FLAT)).toMatchObject({
      next: { id: 's2' },
      startedAt: null,
    });
  });

  it('of a ball counts its rolls every way together', () => {
    const ball = recipeOf(
      { act: 'roll', count: 100, cushion: 'bare' },
      { act: 'shock', count: 2 },
      { act: 'throw' },
    );
    expect(followed(ball, logOf(roll(1, 0, 60)), BALL).left).toEqual([
      asks('roll', { face: 1, directionDeg: 0, count: 40, cushion: 'bare' }),
    ]);
    const log = logOf(roll(1, 0, 60), roll(1, 0, 40), { kind: 'shock', rounds: 1 });
    expect(followed(ball, log, BALL).left).toEqual([asks('shock', { count: 1 })]);
    expect(
      followed(ball, [...log, ...logOf(...log.map(e => e.act), { kind: 'shock', rounds: 1 }).slice(3)], BALL)
        .left,
    ).toEqual([asks('throw', { count: 12 })]);
  });

  it('taking the resist out is cutting it open as well', () => {
    const open = recipeOf({ act: 'cut' }, { act: 'look' }, { act: 'pinch' }, { act: 'resist-out' });
    expect(followed(open, logOf({ kind: 'open', what: 'resist-out' }), FLAT).next?.id).toBe('s2');
    const log = logOf(
      { kind: 'open', what: 'cut' },
      { kind: 'look', wetness: 'right', foam: null },
      { kind: 'pinch', grade: 2 },
    );
    expect(followed(open, log, FLAT).left).toEqual([asks('open', { what: 'resist-out' })]);
  });

  it('by the clock, a school of the palms is so many minutes', () => {
    const minutes = (id: string) =>
      toTheLetter(SCHOOLS.find(s => s.id === id) ?? recipeOf(), BALL).reduce(
        (n, { act }) => n + ('minutes' in act ? act.minutes : 0),
        0,
      );
    expect(['ball', 'stocking', 'many', 'pod', 'hands', 'rose', 'basin'].map(minutes)).toEqual([
      1 + 4 + 2,
      2 + 2,
      3 + 3 + 5 + 1,
      5 + 10 + 2 + 5,
      20 + 2 + 10,
      60,
      5 + 10,
    ]);
  });

  it('done to the letter, every school comes to its end, with the work that stands in it', () => {
    const sum = (log: readonly LogEntry[], of: (act: Act) => number): number =>
      log.reduce((n, { act }) => n + of(act), 0);
    // Counted from the tables of the schools: rolls each way on each side, rubs on each side, throws.
    const worked: Readonly<Record<string, readonly [rolls: number, rubs: number, throws: number]>> = {
      'by-count': [4 * (50 + 50 + 50 + 30), 2 * 40, 12],
      'by-clock': [4 * (30 + 100 + 100), 0, 24],
      sheet: [4 * (100 + 100), 2 * 40, 12],
      grid: [4 * (100 + 60), 2 * 60, 0],
      cloth: [4 * (120 + 120), 0, 30],
      'hot-and-cold': [4 * (100 + 50), 2 * 60, 12],
      gentle: [4 * (100 + 100), 2 * 60, 24],
    };
    for (const school of SCHOOLS) {
      const as = school.id in worked ? FLAT : BALL;
      const log = toTheLetter(school, as);
      expect(followed(school, log, as)).toMatchObject({
        next: null,
        done: school.steps.length,
      });
      expect([
        school.id,
        sum(log, a => (a.kind === 'roll' ? a.rolls : 0)),
        sum(log, a => (a.kind === 'rub' ? a.count : 0)),
        sum(log, a => (a.kind === 'throw' ? a.count : 0)),
      ]).toEqual([school.id, ...(worked[school.id] ?? [0, 0, 0])]);
    }
  });
});
