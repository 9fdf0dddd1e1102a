import { describe, expect, it } from 'vitest';
import type { Act } from '../acts/act';
import { addWork, NO_WORK, type FeltingWork } from '../felting/feltingModel';
import type { GaugeProgress } from '../forecast/forecast';
import { gaugeOf, logOf } from '../log/testing/logs';
import { followed } from '../recipe/following';
import type { Recipe } from '../recipe/recipe';
import type { RecipeStep } from '../acts/recipeStep';
import type { ProposedAct } from './proposedAct';
import type { ModelAnswer } from './modelAct';
import { recipeAct } from './recipeAct';

const followingOf = (step: Omit<RecipeStep, 'id'>, ...acts: readonly Act[]) => {
  const recipe: Recipe = { id: 'r', name: 'Ours', steps: [{ id: 's1', ...step }] };
  return followed(recipe, logOf(...acts), {
    faces: [1, 2],
    legs: [1, 2],
    judge: 'tape',
    hasDirections: true,
    wetted: [],
  });
};
const standAt = (directionDeg: number, nowMm: number, wantedMm: number): GaugeProgress => ({
  gauge: gaugeOf(directionDeg === 0 ? 'A' : 'B', 600, wantedMm),
  nowMm,
  measured: true,
  progress: 0.5,
});
const FAR = [standAt(0, 550, 400), standAt(90, 550, 400)];
/** A model that has so many rolls left each way, of which so much was done. */
const model = (along: number, across: number, since: FeltingWork = NO_WORK, measurings = 2): ModelAnswer => ({
  pieceForecast: {
    measurings,
    move: { kind: 'roll', rolls: { along, across } },
  } as ModelAnswer['pieceForecast'],
  intensity: 1,
  perUnit: 1,
  since,
  hasDirections: true,
  learntFrom: { ownShare: 0, pieces: 0 },
});
const WAY_TO_GO: ProposedAct = { act: 'roll', face: 1, directionDeg: 0, rolls: 30, reason: 'way-to-go' };
const by = (
  step: Omit<RecipeStep, 'id'>,
  proposed: ProposedAct,
  pieceState: { model?: ModelAnswer | null; gaugeProgress?: readonly GaugeProgress[] } = {},
): ProposedAct => recipeAct(proposed, followingOf(step), { model: null, gaugeProgress: FAR, ...pieceState });

describe('the advice where a recipe is followed', () => {
  it('is the step of the recipe, with its own count, cushion and water, and keeps what it would have been', () => {
    expect(by({ act: 'roll', count: 50, cushion: 'thick' }, WAY_TO_GO, { model: model(80, 80) })).toEqual({
      act: 'roll',
      face: 1,
      directionDeg: 0,
      rolls: 50,
      cushion: 'thick',
      reason: 'by-recipe',
      alone: WAY_TO_GO,
    });
    expect(by({ act: 'throw', count: 24 }, WAY_TO_GO)).toMatchObject({ act: 'throw', count: 24 });
    expect(by({ act: 'shock', count: 3 }, WAY_TO_GO)).toMatchObject({ act: 'shock', count: 3 });
    expect(by({ act: 'wet', water: 'warm' }, { act: 'wet', face: 1, reason: 'dry-face' })).toMatchObject({
      water: 'warm',
      reason: 'by-recipe',
    });
    expect(by({ act: 'look' }, WAY_TO_GO)).toMatchObject({ act: 'look' });
    expect(by({ act: 'cut' }, WAY_TO_GO)).toMatchObject({ act: 'open', what: 'cut' });
    expect(by({ act: 'edges' }, WAY_TO_GO)).toMatchObject({ act: 'other', kind: 'edge', count: 2 });
    expect(by({ act: 'rinse' }, WAY_TO_GO)).toBe(WAY_TO_GO);
  });

  it('rolls its own sets, whole; a way that is measured and done is passed over, and the risk is kept beside it', () => {
    const recipe = { act: 'roll', count: 50 } as const;
    expect(by(recipe, WAY_TO_GO, { model: model(20, 80) })).toMatchObject({
      directionDeg: 0,
      rolls: 50,
      alone: WAY_TO_GO,
    });
    const across: ProposedAct = { ...WAY_TO_GO, directionDeg: 90 };
    // Lengthwise is done: the round goes on crosswise. Where both are, it waits.
    expect(by(recipe, across, { model: model(0, 80) })).toMatchObject({
      directionDeg: 90,
      rolls: 50,
      reason: 'by-recipe',
    });
    const since = addWork(NO_WORK, 60, 0);
    expect(by(recipe, across, { model: model(60, 3, since) })).toBe(across);
    // Nobody has measured: what the model thinks is no reason to cut it short.
    expect(by(recipe, across, { model: model(60, 3, since, 0) })).toMatchObject({
      directionDeg: 0,
      rolls: 50,
    });
  });

  it('is not held up by a measuring that nobody takes', () => {
    for (const proposed of [
      { act: 'measure', reason: 'measure-due' },
      { act: 'measure', reason: 'look-again' },
      { act: 'compare', reason: 'nearly-there' },
    ] as const)
      expect(by({ act: 'roll', count: 50 }, proposed)).toMatchObject({
        act: 'roll',
        rolls: 50,
        alone: proposed,
      });
    const odd: ProposedAct = { act: 'measure', reason: 'does-not-fit' };
    expect(by({ act: 'roll', count: 50 }, odd)).toBe(odd);
    // Who goes by feel is never sent to measure, by a recipe either.
    const recipe: Recipe = {
      id: 'r',
      name: 'Ours',
      steps: [
        { id: 's1', act: 'measure' },
        { id: 's2', act: 'throw' },
      ],
    };
    const as = { faces: [1], legs: [1], judge: 'feel', hasDirections: true, wetted: [] } as const;
    expect(followed(recipe, logOf({ kind: 'look', wetness: 'right', foam: null }), as).next?.id).toBe('s2');
  });

  it('without a model rolls no way that is there, and only the one that lags', () => {
    const least: ProposedAct = { ...WAY_TO_GO, directionDeg: 90, reason: 'least-worked' };
    expect(by({ act: 'roll' }, least)).toMatchObject({ directionDeg: 0, reason: 'by-recipe' });
    const alongIsThere = [standAt(0, 405, 400), standAt(90, 550, 400)];
    expect(by({ act: 'roll' }, least, { gaugeProgress: alongIsThere })).toMatchObject({
      directionDeg: 90,
      alone: least,
    });
    const bothAre = [standAt(0, 405, 400), standAt(90, 405, 400)];
    expect(by({ act: 'roll' }, least, { gaugeProgress: bothAre })).toBe(least);
    const lags: ProposedAct = { ...WAY_TO_GO, directionDeg: 90, reason: 'direction-lags' };
    expect(by({ act: 'roll' }, lags)).toMatchObject({ directionDeg: 90, reason: 'by-recipe' });
    expect(by({ act: 'roll' }, { ...lags, directionDeg: 0 })).toMatchObject({ reason: 'by-recipe' });
  });

  it('waits for a dry face, a skin that does not hold, a size that is reached', () => {
    const first: readonly ProposedAct[] = [
      { act: 'wet', face: 2, reason: 'dry-face' },
      { act: 'rub', face: 1, count: 40, reason: 'no-skin-yet' },
      { act: 'pinch', reason: 'skin-to-test' },
      { act: 'throw', count: 12, reason: 'size-reached-soft' },
      { act: 'rub', face: 1, count: 40, reason: 'thin-to-mend' },
      { act: 'roll', face: 1, directionDeg: 45, rolls: 20, reason: 'corner-lags' },
      { act: 'stretch', reason: 'too-small' },
      { act: 'stop', reason: 'size-and-firm' },
    ];
    for (const proposed of first) expect(by({ act: 'roll', count: 50 }, proposed)).toBe(proposed);
    // The same act by the recipe is the recipe's.
    expect(by({ act: 'measure' }, { act: 'measure', reason: 'measure-due' })).toMatchObject({
      reason: 'by-recipe',
    });
    expect(
      by({ act: 'rub', count: 60 }, { act: 'rub', face: 1, count: 40, reason: 'no-skin-yet' }),
    ).toMatchObject({
      count: 60,
    });
  });

  it('does not rinse what is still to be felted, and is the advice alone without a step', () => {
    expect(by({ act: 'rinse' }, WAY_TO_GO)).toBe(WAY_TO_GO);
    expect(recipeAct(WAY_TO_GO, null, { model: null, gaugeProgress: FAR })).toBe(WAY_TO_GO);
    const done = followingOf({ act: 'measure' }, { kind: 'measure', readings: { A: 500 } });
    expect(recipeAct(WAY_TO_GO, done, { model: null, gaugeProgress: FAR })).toBe(WAY_TO_GO);
  });
});
