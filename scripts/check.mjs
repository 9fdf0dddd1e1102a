// npm run check: everything that needs no browser, quickly.
import { install, tool } from './tools.mjs';

install();
/** @type {ReadonlyArray<readonly [string, string, string[]]>} */
const steps = [
  ['format', 'oxfmt', ['--check', '.']],
  ['lint and rooms', 'oxlint', ['--type-aware', '--deny-warnings']],
  ['types', 'tsc', ['--noEmit']],
  ['dead code', 'knip', []],
  ['unit tests', 'vitest', ['run', '--reporter=dot']],
];
const failed = steps.filter(([name, command, args]) => {
  console.log(`— ${name}`);
  return tool(command, args) !== 0;
});
console.log(failed.length === 0 ? 'All well.' : `Failed: ${failed.map(([name]) => name).join(', ')}`);
process.exit(failed.length === 0 ? 0 : 1);
