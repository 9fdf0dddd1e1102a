import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { disc } from '../core/forms/kinds/disc';
import { entrySpec, ENTRY_MIGRATIONS, ENTRY_VERSION } from './entry';
import { currentVersion, joinPath, loadRecord, type RecordSpec } from './migrate';
import { newPlan } from '../core/plan/newPlan';
import { newPiece, pieceKind } from './piece';
import { PIECE_MIGRATIONS } from './pieceMigrations';
import { DEFAULT_SETTINGS, SETTINGS_MIGRATIONS, settingsSpec } from './settings';
import { newRecipe, RECIPE_MIGRATIONS, recipeKind } from './recipe';
import { newSwatch, SWATCH_MIGRATIONS, swatchKind } from './swatch';
import { newWool, WOOL_MIGRATIONS, woolKind } from './wool';

const NOW = '2026-03-01T10:00:00.000Z';
const PIECE = newPiece({ id: 'p1', name: 'Pad', now: NOW, plan: newPlan(disc) });
const WOOL = newWool({
  id: 'w1',
  name: 'Oat',
  fibre: 'hill fleece',
  form: 'batt',
  colour: '#cdbf9f',
  now: NOW,
});
const ENTRY = {
  kind: 'entry',
  version: ENTRY_VERSION,
  id: 'e1',
  pieceId: 'p1',
  seq: 1,
  at: NOW,
  act: { kind: 'pinch', grade: 2 },
};

/** A record with a history of its own, to prove the machinery. */
interface Jar {
  readonly kind: 'jar';
  readonly version: 3;
  readonly girth: { readonly base: number; readonly rim: number };
}
const jarSpec: RecordSpec<Jar> = {
  kind: 'jar',
  schema: z.object({
    kind: z.literal('jar'),
    version: z.literal(3),
    girth: z.object({ base: z.number().positive(), rim: z.number().positive() }),
  }),
  migrations: [
    { version: 2, name: 'RenameRoundToGirth', up: ({ round, ...rest }) => ({ ...rest, girth: round }) },
    {
      version: 3,
      name: 'SplitGirthByPlace',
      up: old => ({ ...old, girth: { base: old['girth'], rim: old['girth'] } }),
    },
  ],
};

describe('loading a record', () => {
  it('runs each migration it lacks, in order, and leaves what it was given', () => {
    const raw = { kind: 'jar', version: 1, round: 200 };
    expect(loadRecord(jarSpec, raw, 'jars[0]')).toEqual({
      status: 'ok',
      value: { kind: 'jar', version: 3, girth: { base: 200, rim: 200 } },
    });
    expect(raw).toEqual({ kind: 'jar', version: 1, round: 200 });
    expect(loadRecord(jarSpec, { kind: 'jar', version: 2, girth: 90 }, '').status).toBe('ok');
  });

  it('does not touch a record of a later version', () => {
    expect(loadRecord(jarSpec, { kind: 'jar', version: 4 }, 'jars[7]')).toMatchObject({
      status: 'newer',
      issues: [{ code: 'RECORD_NEWER', path: 'jars[7].version' }],
    });
  });

  it('names the place of what is wrong', () => {
    const bad = loadRecord(jarSpec, { kind: 'jar', version: 3, girth: { base: 10, rim: -1 } }, 'jars[2]');
    expect(bad).toMatchObject({ status: 'invalid', issues: [{ path: 'jars[2].girth.rim' }] });
  });

  it.each([null, 3, 'jar', [], {}, { version: '1' }, { version: 0 }, { version: 1.5 }])('refuses %j', raw => {
    expect(loadRecord(jarSpec, raw, 'jars[0]').status).toBe('invalid');
  });

  it('writes paths as people do', () => {
    expect(joinPath('pieces[2]', ['gauges', 'A', 0, 'mm'])).toBe('pieces[2].gauges.A[0].mm');
    expect(joinPath('', ['a'])).toBe('a');
  });
});

describe('every stored record', () => {
  const SPECS = [
    [pieceKind, PIECE_MIGRATIONS, PIECE],
    [woolKind, WOOL_MIGRATIONS, WOOL],
    [swatchKind, SWATCH_MIGRATIONS, newSwatch({ id: 's1', woolId: 'w1', now: NOW })],
    [
      recipeKind,
      RECIPE_MIGRATIONS,
      newRecipe({ id: 'r1', name: 'Ours', steps: [{ id: 's1', act: 'rub', count: 40 }] }, 'palms', NOW),
    ],
    [entrySpec, ENTRY_MIGRATIONS, ENTRY],
    [settingsSpec, SETTINGS_MIGRATIONS, DEFAULT_SETTINGS],
  ] as const;

  it.each(SPECS.map(s => [s[0].kind, ...s] as const))(
    '%s: migrations are numbered without a gap, and a new record is current',
    (_, spec, migrations, fresh) => {
      expect(migrations.map(m => m.version)).toEqual(migrations.map((__, i) => i + 2));
      expect(fresh.version).toBe(currentVersion(spec));
      expect(loadRecord<unknown>(spec, JSON.parse(JSON.stringify(fresh)), '')).toEqual({
        status: 'ok',
        value: fresh,
      });
    },
  );

  it.each([
    ['plan.shrinkage.along', { plan: { ...PIECE.plan, shrinkage: { along: 1.2, across: 0.3 } } }],
    ['name', { name: '' }],
    ['id', { id: 'has a space' }],
    ['result.grams', { result: { ...PIECE.result, grams: 0 } }],
    ['createdAt', { createdAt: 'yesterday' }],
    ['plan.pinned[0]', { plan: { ...PIECE.plan, pinned: ['sizes'] } }],
    [
      'plan.form.measures.diameter',
      { plan: { ...PIECE.plan, form: { kind: 'disc', measures: { diameter: null } } } },
    ],
  ])('a piece with a bad %s is refused there', (path, change) => {
    const bad = loadRecord(pieceKind, { ...PIECE, ...change }, '');
    expect(bad).toMatchObject({
      status: 'invalid',
      issues: expect.arrayContaining([expect.objectContaining({ path })]),
    });
  });

  it.each([
    { kind: 'roll', face: 1, directionDeg: 30, rolls: 10, cushion: 'bubble', pressure: 'arms' },
    { kind: 'roll', face: 1, directionDeg: 90, rolls: 0, cushion: 'bubble', pressure: 'arms' },
    { kind: 'pinch', grade: 4 },
    { kind: 'measure', readings: { A: 0 } },
    { kind: 'dance' },
  ])('the act %j is refused', act => {
    expect(loadRecord(entrySpec, { ...ENTRY, act }, 'entries[0]').status).toBe('invalid');
  });
});
