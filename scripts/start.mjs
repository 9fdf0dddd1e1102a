// npm start: installs what is missing, builds what changed, serves it.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { build, install, root } from './tools.mjs';

install();
build();
const server = spawn(
  join(root, 'node_modules', '.bin', 'tsx'),
  ['server/main.ts', ...process.argv.slice(2)],
  {
    cwd: root,
    stdio: 'inherit',
  },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', code => process.exit(code ?? 0));
