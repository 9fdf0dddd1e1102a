// @vitest-environment happy-dom
import { act as settle, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { type Act, actWords, workOfAct } from '../../core/acts/act';
import type { ProposedAct } from '../../core/advice/proposedAct';
import { recipeAct } from '../../core/advice/recipeAct';
import { feltingRecordOf, formForModel } from '../../core/felting/feltingRecordOf';
import { GENERAL_PRIOR } from '../../core/felting/feltingModel';
import { progressForecast } from '../../core/forecast/progressForecast';
import { disc } from '../../core/forms/kinds/disc';
import { benchState } from '../../core/log/benchState';
import { benchLog } from '../../core/log/logParts';
import { nextUndo } from '../../core/log/entriesInForce';
import { makePlan } from '../../core/plan/makePlan';
import { newPlan } from '../../core/plan/newPlan';
import { followed } from '../../core/recipe/following';
import { readWorkshop } from '../../files/readWorkshop';
import { writeWorkshop } from '../../files/writeWorkshop';
import { pieceKind } from '../../records/piece';
import { newRecipe, recipeKind } from '../../records/recipe';
import { DEFAULT_SETTINGS } from '../../records/settings';
import { aPiece, anEntry, aSnapshot, NOW, sent } from '../../records/testing/build';
import type { PieceContext } from '../../session/pieceContext';
import { aWorkshop } from '../../session/testing/open';
import type { Bench } from '../../session/useBench';
import { useShortcuts } from '../../session/shortcuts';
import { WorkshopContext } from '../../session/workshop';
import { doNow } from '../../ui/afterwards';
import { ActRow, Caution, GreatButton, HowItIsDone } from './Acts';
import { proposalWords } from '../../words/proposals';
import { actsOf, wayOf } from '../../core/ways/register';
import { faultName } from '../../words/faults';
import { markWords } from '../../words/drawingMarks';
import { testWords } from '../../words/feltTests';
import { nextKind, turned } from './chosenAct';
import { actSoFar, countedNoun } from './pacing';
import { useActSelection } from './useActSelection';
import type { BenchStatus } from './useBenchStatus';

// One line in the register of acts.
vi.mock('../../core/acts/register', async original => {
  const { ACTS } = await original<typeof import('../../core/acts/register')>();
  const { tread } = await import('../../core/acts/testing/tread');
  return { ACTS: [...ACTS, tread] };
});

/** What the types do not know: they are of the register as it ships. */
const treads = (steps: number): Act => ({ kind: 'tread', steps, water: 'hot' }) as unknown as Act;
const WORDING = { faces: 1, isSolid: false, units: 'metric', faultName, testWords, markWords } as const;
const FLAT = { faces: [1], legs: [1], judge: 'tape', hasDirections: true, wetted: [1] } as const;
const made = makePlan(newPlan(disc));
if (!made.ok) throw new Error('no plan');
const plan = made.value;

describe('a made-up act', () => {
  it('goes into the log, is undone there, and is refused where it is no good', async () => {
    const { store, outbox } = aWorkshop();
    await store.add(pieceKind, aPiece('p1'));
    expect(await outbox.send(sent('e1', 'p1', treads(40)))).toBeNull();
    expect((await outbox.send(sent('e2', 'p1', treads(-1))))?.path).toBe('entry.act.steps');
    const which = (log: Parameters<typeof nextUndo>[0]) => nextUndo(benchLog(log));
    await outbox.sendUndo({ id: 'u1', pieceId: 'p1', at: NOW }, which, await store.entries('p1'));
    const log = await store.entries('p1');
    expect(log.map(e => e.act.kind)).toEqual(['tread', 'undo']);
    expect(benchState(log).done).toEqual({});
  });

  it('goes out to a file and comes in', () => {
    const snapshot = aSnapshot([aPiece('p1')], [anEntry('e1', 1, 'p1', treads(40))]);
    const file = writeWorkshop({ snapshot, attachments: [], exportedAt: NOW });
    const read = file.ok ? readWorkshop(file.value.bytes, NOW) : file;
    expect(read.ok && read.value.snapshot.entries[0]?.act).toEqual(treads(40));
  });

  it('is folded: how much was done, the water it leaves, and that what was tested is not tested any more', () => {
    const pinch: Act = { kind: 'pinch', grade: 2 };
    const log = [pinch, treads(40), treads(25)].map((act, i) => anEntry(`e${i}`, i + 1, 'p1', act));
    expect(benchState(log)).toMatchObject({ done: { tread: 65 }, water: 'hot', workSincePinch: 65 });
  });

  it('works the felt as it says', () => {
    expect(workOfAct(treads(40), 'cold')).toEqual({ rolls: 80, spread: 0, directionDeg: null });
    const log = [anEntry('e1', 1, 'p1', treads(40))];
    expect(feltingRecordOf(log, formForModel(plan.form), GENERAL_PRIOR).since.free).toBe(80);
  });

  it('counts in a recipe, which may ask for it', async () => {
    const recipe = newRecipe(
      { id: 'r', name: 'Underfoot', steps: [{ id: 's1', act: 'tread', count: 100 }] },
      'bundle',
      NOW,
    );
    const { store } = aWorkshop();
    await store.add(recipeKind, recipe);
    const log = [anEntry('e1', 1, 'p1', treads(60))];
    const following = followed(recipe, log, FLAT);
    expect(following.left).toEqual([{ does: 'act', kind: 'tread', choices: { count: 40 } }]);
    expect(followed(recipe, [...log, anEntry('e2', 2, 'p1', treads(40))], FLAT).next).toBeNull();
    const rolling: ProposedAct = { act: 'roll', face: 1, directionDeg: 0, rolls: 30, reason: 'way-to-go' };
    const proposed = recipeAct(rolling, following, { model: null, gaugeProgress: [] });
    expect(proposed).toMatchObject({ act: 'other', kind: 'tread', count: 40, reason: 'by-recipe' });
    expect(proposalWords(proposed, WORDING)).toBe('Tread 40 steps in hot water');
  });

  it('is said in its own words', () => {
    expect(actWords(treads(40), WORDING)).toBe('Tread 40 steps in hot water');
  });

  it('is reached by the keys, turned, and counted by the pacer', () => {
    const kinds = ['roll'];
    for (let i = 0; i < 20; i += 1)
      kinds.push(nextKind(kinds.at(-1) ?? '', actsOf(wayOf({}, { outlineIs: 'resist', solid: null }, null))));
    expect(kinds).toContain('tread');
    expect(turned(treads(50), 1)).toEqual({ kind: 'tread', count: 100 });
    expect(countedNoun(treads(50))).toBe('steps');
    expect(actSoFar({ act: treads(50), count: 17 })).toEqual(treads(17));
  });
});

describe('a made-up act at the bench', () => {
  afterEach(cleanup);

  const way = wayOf({}, { outlineIs: 'resist', solid: null }, null);
  const standing = {
    way,
    acts: actsOf(way),
    isComputing: false,
    faces: [1],
    legs: [1],
    usual: DEFAULT_SETTINGS,
    judge: 'tape',
    forecast: progressForecast(plan.form.gauges, benchState([])),
    proposed: { act: 'other', kind: 'tread', count: 40, reason: 'by-recipe' },
    wording: WORDING,
  } as unknown as BenchStatus;
  const context = { piece: aPiece('p1'), settings: DEFAULT_SETTINGS, entries: [] } as unknown as PieceContext;

  const open = () => {
    const logged: Act[] = [];
    const bench: Bench = {
      log: async act => void logged.push(act),
      undo: null,
      redo: null,
      undoes: null,
      takeBack: async () => undefined,
    };
    const Harness = () => {
      const acting = useActSelection(context, standing, bench);
      useShortcuts([]);
      const parts = { acting, context, plan, standing };
      return (
        <>
          <Caution act={acting.act} />
          <HowItIsDone {...parts} />
          <GreatButton {...parts} />
          <ActRow {...parts} />
        </>
      );
    };
    render(
      <WorkshopContext value={aWorkshop()}>
        <MemoryRouter>
          <Harness />
        </MemoryRouter>
      </WorkshopContext>,
    );
    return logged;
  };
  const press = (name: string | RegExp): void => {
    fireEvent.click(screen.getByRole('button', { name }));
  };

  it('stands on the great button when it is asked for, with its caution, and a tap logs it', () => {
    const logged = open();
    expect(screen.getByText(/slippery underfoot/)).toBeTruthy();
    press(/^Done\s*Tread 40 steps in hot water/);
    expect(logged).toEqual([treads(40)]);
  });

  it('has its key among the acts, and its counts and waters to choose from', async () => {
    const logged = open();
    for (const name of ['Roll', 'Tread', '100', 'warm water']) {
      // How it is done comes a frame after its key.
      fireEvent.click(await screen.findByRole('radio', { name }));
      settle(doNow);
    }
    press(/^Done\s*Tread 100 steps in warm water/);
    expect(logged).toEqual([{ ...treads(100), water: 'warm' }]);
  });
});
