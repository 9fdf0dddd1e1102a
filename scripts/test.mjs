// npm test: installs what is missing, then rules, unit tests and the real interface in Chromium. It leaves out what takes long and what
// another test walks as well; npm run test:all leaves out nothing.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { browserPath } from './browser.mjs';
import { build, install, quietly, root, run, tool } from './tools.mjs';

if (process.argv.includes('--all')) process.env.TESTS = 'all';
const options = process.argv.slice(2).filter(a => a !== '--all');

const has = command => run('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }) === 0;

/** Debian's Chromium and poppler where there is apt; elsewhere says what to install. Gives its exit code when it is done. */
const browserInstalled = async () => {
  if (browserPath() && has('pdftocairo')) return 0;
  if (!has('apt-get')) {
    console.error(
      'These tests need Chromium (or set CHROMIUM to its path) and poppler-utils: install them first.',
    );
    process.exit(1);
  }
  console.log('Installing Chromium and poppler …');
  const sudo = process.getuid?.() === 0 || !has('sudo') ? '' : 'sudo ';
  const packages = ['chromium-headless-shell', 'chromium-common', 'poppler-utils', 'fonts-dejavu-core'];
  const apt = `${sudo}apt-get update -qq; ${sudo}apt-get install -y -qq --no-install-recommends ${packages.join(' ')}`;
  const child = spawn('sh', ['-c', apt], { stdio: ['ignore', 'ignore', 'inherit'] });
  const [code] = await once(child, 'exit');
  return code;
};

const results = join(root, 'test-results');
const read = file =>
  existsSync(join(results, file)) ? JSON.parse(readFileSync(join(results, file), 'utf8')) : null;

let since = Date.now();
/** What took how long, s. */
const took = [];
const done = what => {
  took.push(`${what} ${Math.round((Date.now() - since) / 1000)} s`);
  since = Date.now();
};

// The browser is fetched while all that needs none is done.
const browser = browserInstalled();
install();
done('packages');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
build();
done('build');

/** @type {ReadonlyArray<readonly [string, string, string[]]>} */
const rules = [
  ['format', 'oxfmt', ['--check', '.']],
  // The linter knows the types and checks them as it goes; the compiler itself, which takes as long again, with all tests and in npm run check.
  ['lint, rooms and types', 'oxlint', ['--type-aware', '--type-check', '--deny-warnings']],
  ...(process.env.TESTS === 'all' ? [['types', 'tsc', ['--noEmit']]] : []),
  ['dead code', 'knip', ['--no-config-hints']],
];
let passed = 0;
let failed = 0;
let skipped = 0;
// Each for itself, all at once, and with the unit tests, as neither fills two cores all the time; what they say is printed one after the other.
const checking = Promise.all(
  rules.map(async ([name, command, args]) => ({ name, ...(await quietly(command, args)) })),
);
const units = quietly('vitest', [
  'run',
  '--reporter=dot',
  '--reporter=json',
  '--outputFile.json=test-results/unit.json',
]);
for (const { name, code, said } of await checking) {
  console.log(`— ${name}`);
  process.stdout.write(said);
  if (code === 0) passed += 1;
  else failed += 1;
}
done('rules');
console.log('— unit tests');
const { code: unitCode, said: unitSaid } = await units;
process.stdout.write(unitSaid);
const unit = read('unit.json');
passed += unit?.numPassedTests ?? 0;
failed += Math.max(unit?.numFailedTests ?? 0, unitCode === 0 ? 0 : 1);
skipped += (unit?.numPendingTests ?? 0) + (unit?.numTodoTests ?? 0);

done('unit tests after them');
if ((await browser) !== 0) process.exit(1);
done('waiting for the browser');
console.log('— the interface in Chromium');
const e2eCode = tool('playwright', ['test', ...options]);
const e2e = read('e2e.json')?.stats;
passed += (e2e?.expected ?? 0) + (e2e?.flaky ?? 0);
failed += Math.max(e2e?.unexpected ?? 0, e2eCode === 0 ? 0 : 1);
skipped += e2e?.skipped ?? 0;

done('in Chromium');
if (process.env.TESTS !== 'all') console.log('\nThe long ones run with npm run test:all.');
console.log(took.join(', '));
console.log(`\n${passed} passed, ${failed} failed, ${skipped} skipped`);
process.exit(failed === 0 ? 0 : 1);
