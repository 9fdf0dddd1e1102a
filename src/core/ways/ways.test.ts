import { describe, expect, it } from 'vitest';
import { nextAct } from '../advice/nextAct';
import { ACT_STEPS, CONTROLS, type Act, workOfAct } from '../acts/act';
import { progressForecast } from '../forecast/progressForecast';
import { FORM_KINDS } from '../forms/kinds/registry';
import { gaugeOf, logOf, stateOf, wet } from '../log/testing/logs';
import { makePlan } from '../plan/makePlan';
import { newPlan } from '../plan/newPlan';
import { schoolsOf } from '../recipe/schools';
import { actOfStep } from '../recipe/recipeSteps';
import { benchState } from '../log/benchState';
import type { WayId } from '../forms/wayId';
import { WAY_IDS } from '../forms/wayId';
import { actsOf, wayOf, waysOf } from './register';
import { shrinkOf, workOfOne } from './shrinkOf';

const USUAL = { setOfRolls: 30, cushion: 'bubble', pressure: 'arms' } as const;
const way = (id: WayId) => wayOf({}, { outlineIs: 'layout', solid: null }, id);
const GAUGES = [gaugeOf('A', 100, 70)];
const BODY = { laid: { points: [], open: [] }, solid: null, outlineIs: 'rolled' } as const;
const next = (id: WayId, judge: 'tape' | 'feel', ...acts: Act[]) => {
  const state = benchState(logOf(...acts));
  return nextAct(state, progressForecast(GAUGES, state), {
    faces: [1],
    setOfRolls: 30,
    form: BODY,
    way: way(id),
    judge,
  });
};

describe('the ways of working', () => {
  it('are the twelve of the craft, and every act of theirs can be tapped', () => {
    expect(WAY_IDS).toHaveLength(12);
    for (const id of WAY_IDS) {
      const { id: own, acts, skin, shrink, firms } = way(id);
      expect(own).toBe(id);
      const keyed = CONTROLS.filter(c => c.key !== null).map(c => c.kind);
      expect(keyed).toEqual(expect.arrayContaining([...acts]));
      for (const one of [skin, shrink, firms]) expect(keyed).toContain(one.kind);
    }
  });

  it('each has two schools to start from, and none asks for what is not done in it', () => {
    for (const id of WAY_IDS) {
      expect(schoolsOf(id).length).toBeGreaterThanOrEqual(2);
      const own = new Set<string>(actsOf(way(id)));
      const keyed = new Set(CONTROLS.filter(c => c.key !== null).map(c => c.kind));
      const asked = schoolsOf(id).flatMap(s => s.steps.flatMap(step => actOfStep(step.act) ?? []));
      expect(asked.filter(kind => keyed.has(kind) && !own.has(kind) && kind !== 'pinch')).toEqual([]);
    }
    // A ball is never told to roll a bundle, nor a bundle to go between the palms.
    const steps = (id: WayId) => schoolsOf(id).flatMap(s => s.steps.map(step => step.act));
    expect(steps('palms')).not.toContain('roll');
    expect(steps('bundle')).not.toContain('palms');
    expect(ACT_STEPS.map(s => s.step)).toEqual(
      expect.arrayContaining(steps('stocking').filter(s => s === 'machine')),
    );
  });

  it('every form is worked in a way that makes sense for it', () => {
    const usual = new Map(
      FORM_KINDS.map(kind => {
        const plan = makePlan(newPlan(kind));
        if (!plan.ok) throw new Error(kind.kind);
        return [kind.kind, waysOf(kind, plan.value.form)[0]];
      }),
    );
    expect(usual.get('ball')).toBe('palms');
    expect(usual.get('pod')).toBe('ball');
    expect(usual.get('rolled-flower')).toBe('tube');
    expect(usual.get('beret')).toBe('hands');
    expect(usual.get('nuno')).toBe('cloth');
    expect(usual.get('grid-relief')).toBe('grid');
    expect(usual.get('cord')).toBe('cord');
    expect(usual.get('bottle-sleeve')).toBe('bundle');
    expect(usual.get('disc')).toBe('sheet');
  });

  // Reference rolls a minute: common practice, as docs/model-notes.md lists them.
  it.each([
    ['palms', 120],
    ['bead', 200],
    ['stocking', 120],
    ['board', 80],
    ['shake', 60],
    ['handRub', 35],
    ['stir', 20],
    ['tube', 10],
    ['machine', 400],
  ])('%s counts %i reference rolls a unit, in hot water', (kind, rolls) => {
    expect(workOfOne(kind, USUAL, 'hot')).toBe(rolls);
    expect(workOfOne(kind, USUAL, 'cold')).toBe(kind === 'machine' ? rolls : rolls / 2);
  });

  it('a small ball goes quicker between the palms', () => {
    expect(shrinkOf(way('palms'), [gaugeOf('A', 30, 20)]).kind).toBe('bead');
    expect(shrinkOf(way('palms'), [gaugeOf('A', 100, 70)]).kind).toBe('palms');
    expect(shrinkOf(way('stocking'), [gaugeOf('A', 30, 20)]).kind).toBe('stocking');
  });
});

describe('done by feel', () => {
  it('an act counts as its usual minutes, and is known only to a half of them', () => {
    const control = CONTROLS.find(c => c.kind === 'palms');
    const act = control?.make({ feel: true }, USUAL);
    expect(act).toEqual({ kind: 'palms', minutes: 2, give: 1, feel: true });
    expect(act && workOfAct(act, 'hot')).toEqual({ rolls: 240, spread: 120, directionDeg: null });
    expect(stateOf(act ?? wet()).done).toEqual({ palms: 2 });
  });
});

describe('the next act in a way', () => {
  const finger = (grade: number): Act => ({ kind: 'test', test: 'finger', grade });
  const palms = (minutes: number): Act => ({ kind: 'palms', minutes });

  it('of a ball is wetting, the palms lightly, a fingertip, and then the palms, in minutes', () => {
    expect(next('palms', 'tape')).toMatchObject({ act: 'wet' });
    expect(next('palms', 'tape', wet())).toMatchObject({
      act: 'other',
      kind: 'palms',
      count: 1,
      reason: 'no-skin-yet',
    });
    expect(next('palms', 'tape', wet(), palms(1))).toMatchObject({ act: 'test', test: 'finger' });
    expect(next('palms', 'tape', wet(), palms(1), finger(0))).toMatchObject({
      kind: 'palms',
      reason: 'no-skin-yet',
    });
    expect(next('palms', 'tape', wet(), palms(1), finger(1))).toMatchObject({
      act: 'other',
      kind: 'palms',
      count: 2,
    });
  });

  it('by feel is work and test in turn, without a tape, until it is firm', () => {
    const log: Act[] = [wet(), palms(1), finger(1)];
    const met: string[] = [];
    for (let i = 0; i < 8; i += 1) {
      const said = next('palms', 'feel', ...log);
      met.push(said.act === 'other' ? said.kind : said.act);
      log.push(said.act === 'other' ? palms(2) : { kind: 'test', test: 'squeeze', grade: 1 });
    }
    expect(met).not.toContain('measure');
    expect(met).toContain('test');
    expect(met.filter(m => m === 'palms').length).toBeGreaterThan(4);
    const firm = next('palms', 'feel', ...log, { kind: 'test', test: 'squeeze', grade: 3 });
    expect(firm).toEqual({ act: 'stop', reason: 'firm-by-feel' });
  });

  it('over a ball is rubbed, never rolled; a rose is rolled on its tube', () => {
    expect(next('ball', 'tape', wet())).toMatchObject({ kind: 'handRub' });
    expect(next('tube', 'tape', wet(), finger(1))).toMatchObject({ kind: 'tube', count: 10 });
    expect(next('basin', 'tape', wet())).toMatchObject({ kind: 'stir' });
  });
});
