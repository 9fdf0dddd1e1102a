import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { circles, folderOf, importGraph, isForTests } from './importGraph';
import { CORE_ORDER, ROOMS, ROOT, withRoomRules } from './roomTable';

const root = ROOT;
let place = '';

/** Lints one planted file in a copy of the tree's shape, with the project's own rules. */
const lint = (file: string, source: string): string => {
  const path = join(place, file);
  mkdirSync(join(path, '..'), { recursive: true });
  writeFileSync(path, source);
  try {
    return execFileSync(join(root, 'node_modules/.bin/oxlint'), [file], {
      cwd: place,
      encoding: 'utf8',
      stdio: 'pipe',
    });
  } catch (error) {
    return error instanceof Error && 'stdout' in error ? String(error.stdout) : String(error);
  } finally {
    rmSync(path);
  }
};

beforeAll(() => {
  place = mkdtempSync(join(root, 'node_modules', '.rooms-'));
  const rules: Record<string, unknown> = JSON.parse(readFileSync(join(root, '.oxlintrc.json'), 'utf8'));
  writeFileSync(join(place, '.oxlintrc.json'), JSON.stringify({ ...rules, ignorePatterns: [] }));
});
afterAll(() => rmSync(place, { recursive: true }));

describe('the rooms: a planted violation is found', () => {
  it.each([
    ['src/core/x.ts', "import { useState } from 'react';\nexport const x = useState;\n"],
    [
      'src/core/chain/x.ts',
      "import { pieceSpec } from '../../records/piece';\nexport const x = pieceSpec;\n",
    ],
    ['src/core/x.ts', 'export const x = (): string => document.title;\n'],
    ['src/core/x.ts', 'export const x = (): number => Date.now();\n'],
    ['src/records/x.ts', "import { y } from '../store/store';\nexport const x = y;\n"],
    ['src/drawing/x.ts', "import { y } from '../ui/Button';\nexport const x = y;\n"],
    ['src/store/x.ts', "import { y } from 'react';\nexport const x = y;\n"],
    ['src/ui/x.tsx', "import { y } from '../session/history';\nexport const x = y;\n"],
    ['src/features/plan/x.tsx', "import { Rose } from '../bench/Rose';\nexport const x = Rose;\n"],
    [
      'src/features/plan/x.tsx',
      "import { idbStore } from '../../store/makeStore';\nexport const x = idbStore;\n",
    ],
    ['src/features/plan/x.tsx', "import { y } from '../../app/routes';\nexport const x = y;\n"],
  ])('%s: %j', (file, source) => {
    expect(lint(file, source)).toMatch(/no-restricted-(imports|globals)/);
  });

  it.each([
    ['src/core/chain/x.ts', "import { issue } from '../issues';\nexport const x = issue;\n"],
    [
      'src/features/plan/x.tsx',
      "import { makeHistory } from '../../session/history';\nexport const x = makeHistory;\n",
    ],
    ['src/store/x.ts', "import { openDB } from 'idb';\nexport const x = openDB;\n"],
  ])('%s: %j is allowed', (file, source) => {
    expect(lint(file, source)).not.toMatch(/no-restricted/);
  });
});

const GRAPH = importGraph();
const roomOf = (file: string): string => file.split('/')[1] ?? '';
const inside = GRAPH.filter(e => !e.isPackage);
/** `src/core/forms/kinds/x.ts` → `forms/kinds`. */
const coreFolder = (file: string): string => folderOf(file).replace(/^core\/?/, '');

describe('every import of the source, types and lazy ones too', () => {
  it('is seen: the graph is not empty, and knows types from values', () => {
    expect(GRAPH.length).toBeGreaterThan(1500);
    expect(inside).toContainEqual({
      from: 'src/core/forms/formKind.ts',
      to: 'src/core/outline/polygon.ts',
      isPackage: false,
    });
    expect(new Set(inside.map(e => roomOf(e.from)))).toEqual(new Set(Object.keys(ROOMS)));
  });

  it('goes down the rooms as the table has them', () => {
    const wrong = inside.filter(({ from, to }) => {
      const [a, b] = [roomOf(from), roomOf(to)];
      const isExcepted = ROOMS[a]?.except?.some(path => to.startsWith(`src/${path}.`)) === true;
      return isExcepted || (a !== b && !ROOMS[a]?.below.includes(b));
    });
    expect(wrong).toEqual([]);
  });

  it('names no package that its room may not', () => {
    const wrong = GRAPH.filter(e => e.isPackage && !ROOMS[roomOf(e.from)]?.packages.includes(e.to));
    expect(wrong).toEqual([]);
  });

  it('does not cross from one feature to another', () => {
    const feature = (file: string): string => file.split('/')[2] ?? '';
    const wrong = inside.filter(
      e => roomOf(e.from) === 'features' && roomOf(e.to) === 'features' && feature(e.from) !== feature(e.to),
    );
    expect(wrong).toEqual([]);
  });

  it('goes one way inside the core', () => {
    const core = inside.filter(e => roomOf(e.from) === 'core');
    const wrong = core.filter(
      e => CORE_ORDER.indexOf(coreFolder(e.to)) > CORE_ORDER.indexOf(coreFolder(e.from)),
    );
    expect(wrong).toEqual([]);
    expect([...new Set(core.map(e => coreFolder(e.from)))].filter(f => !CORE_ORDER.includes(f))).toEqual([]);
  });

  it('makes no circle of files, and none of folders', () => {
    expect(circles(inside.map(e => [e.from, e.to]))).toEqual([]);
    const folders = inside.map(e => [folderOf(e.from), folderOf(e.to)] as const).filter(([a, b]) => a !== b);
    expect(circles(folders)).toEqual([]);
    expect(circles([...folders, ['core/units', 'core/wool']])).toHaveLength(1);
  });

  it('does not lead into what is there for tests', () => {
    expect(inside.filter(e => isForTests(e.to))).toEqual([]);
  });

  it('lies no more than four folders deep', () => {
    expect(inside.filter(e => e.from.split('/').length > 5)).toEqual([]);
  });
});

it('the linter’s rules are those of the table (npm run rooms writes them)', () => {
  const config: unknown = JSON.parse(readFileSync(join(root, '.oxlintrc.json'), 'utf8'));
  expect(config).toEqual(withRoomRules(config));
});
