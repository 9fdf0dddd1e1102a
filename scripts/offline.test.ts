import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { builtFiles } from './offline';

const built = (files: Readonly<Record<string, string>>): string => {
  const root = mkdtempSync(join(tmpdir(), 'built-'));
  mkdirSync(join(root, 'assets'));
  for (const [path, text] of Object.entries(files)) writeFileSync(join(root, path), text);
  return root;
};

it('every file of a build is kept for offline, once, but for packed copies and the worker itself', () => {
  const files = {
    'index.html': 'page',
    'icon.svg': 'icon',
    'sw.js': 'worker',
    'assets/app-1a2B_3c4.js': 'x',
    'assets/app-1a2B_3c4.js.br': 'x',
    'assets/app-1a2B_3c4.js.gz': 'x',
    'assets/plain.ttf': 'y',
  };
  const kept = builtFiles(built(files));
  expect(kept.map(f => f.url)).toEqual([
    '/assets/app-1a2B_3c4.js',
    '/assets/plain.ttf',
    '/icon.svg',
    '/index.html',
  ]);
  // A name that says its revision needs none; any other has one that changes with what is in it.
  expect(kept.map(f => f.revision !== null)).toEqual([false, true, true, true]);
  const page = (text: string) =>
    builtFiles(built({ ...files, 'index.html': text })).find(f => f.url === '/index.html');
  expect(page('page')?.revision).toBe(kept.at(-1)?.revision);
  expect(page('newer page')?.revision).not.toBe(kept.at(-1)?.revision);
});
