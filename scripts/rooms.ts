// npm run rooms: writes the linter's rules for the rooms from the one table.
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, withRoomRules } from './roomTable';

const path = join(ROOT, '.oxlintrc.json');
writeFileSync(path, JSON.stringify(withRoomRules(JSON.parse(readFileSync(path, 'utf8'))), null, 2));
execFileSync(join(ROOT, 'node_modules/.bin/oxfmt'), ['--write', path]);
