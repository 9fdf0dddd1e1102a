import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { issue } from '../core/issues';
import { ISSUES, issueText } from './issues';

const table = readFileSync(new URL('../../docs/issues.md', import.meta.url), 'utf8')
  .split('\n')
  .filter(line => line.startsWith('| `'))
  .map(line => line.split('|').map(cell => cell.trim()));

describe('the catalogue of issues', () => {
  it('says the same as docs/issues.md, both ways', () => {
    const documented = table.map(([, code, message, cause, remedy]) => [
      code?.replaceAll('`', ''),
      { message, cause, remedy },
    ]);
    expect(Object.fromEntries(documented)).toEqual(ISSUES);
  });

  it('puts an issue in one sentence with its place', () => {
    const it1 = issue('OUT_OF_RANGE', 'plan.shrinkage.along', { got: 1.2, detail: 'From 0 to below 0.95.' });
    expect(issueText(it1)).toBe(
      'This number is outside what is possible here. From 0 to below 0.95. (plan.shrinkage.along: 1.2)',
    );
    expect(issueText(issue('FILE_NOT_JSON', ''))).toBe('This file cannot be read as JSON.');
    expect(issue('FILE_INVALID', 'x', { got: { a: 1 } }).got).toBe('{"a":1}');
  });
});
