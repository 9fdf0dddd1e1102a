import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('..', import.meta.url));
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
      "import { idbStore } from '../../store/idbStore';\nexport const x = idbStore;\n",
    ],
    ['src/features/plan/x.tsx', "import { y } from '../../app/routes';\nexport const x = y;\n"],
  ])('%s: %j', (file, source) => {
    expect(lint(file, source)).toMatch(/no-restricted-(imports|globals)/);
  });

  it.each([
    ['src/core/chain/x.ts', "import { issue } from '../issues';\nexport const x = issue;\n"],
    [
      'src/features/plan/x.tsx',
      "import { history } from '../../session/history';\nexport const x = history;\n",
    ],
    ['src/store/x.ts', "import { openDB } from 'idb';\nexport const x = openDB;\n"],
  ])('%s: %j is allowed', (file, source) => {
    expect(lint(file, source)).not.toMatch(/no-restricted/);
  });
});
