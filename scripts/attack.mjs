// npm run attack: the promises of docs/promises.md, tried as long as a night allows, with a table of what came of it.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, root, tool } from './tools.mjs';

const folder = join(root, 'test-results', 'attack');
const read = file => JSON.parse(readFileSync(join(folder, file), 'utf8'));

install();
build();
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
const env = { ...process.env, ATTACK: 'long', PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, 'browser.json') };

tool(
  'vitest',
  ['run', 'src/files/mutations.test.ts', '--reporter=json', `--outputFile=${join(folder, 'files.json')}`],
  {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  },
);
tool(
  'playwright',
  ['test', 'e2e/promises', '--workers=1', '--reporter=line,json', ...process.argv.slice(2)],
  { env },
);

/** @returns {Array<[string, string, string]>} what was tried, whether it held, what was measured */
const ofFiles = () =>
  read('files.json').testResults.flatMap(file =>
    file.assertionResults.map(t => [
      t.fullName,
      t.status === 'passed' ? 'held' : 'BROKEN',
      t.meta?.measured ?? '',
    ]),
  );
const HELD = { expected: 'held', skipped: 'not tried' };
const inSuite = suite => [
  ...(suite.suites ?? []).flatMap(inSuite),
  ...suite.specs.flatMap(spec =>
    spec.tests.map(t => [
      spec.title,
      HELD[t.status] ?? 'BROKEN',
      t.annotations.find(a => a.type === 'measured')?.description ?? '',
    ]),
  ),
];
const rows = [...ofFiles(), ...read('browser.json').suites.flatMap(inSuite)];
console.log('\n| Tried | Came of it | Measured |\n| --- | --- | --- |');
for (const row of rows) console.log(`| ${row.join(' | ')} |`);
process.exit(rows.every(([, held]) => held !== 'BROKEN') ? 0 : 1);
