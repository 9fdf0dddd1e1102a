// Shared by the scripts: run a command, install and build only when something changed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { once as onceOf } from 'node:events';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const stamps = join(root, '.stamp');
const bin = name => join(root, 'node_modules', '.bin', name);

/** Runs a command in the project and returns its exit code; prints its output as it comes. */
export const run = (command, args, options = {}) =>
  spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options }).status ?? 1;

/** Runs a tool of the project's own node_modules. */
export const tool = (name, args, options) => run(bin(name), args, options);

/** Runs a tool of the project's own beside others, and hands over its exit code and what it said. */
export const quietly = async (name, args) => {
  const child = spawn(bin(name), args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', chunk => {
      said += chunk.toString();
    });
  const [code] = await onceOf(child, 'close');
  return { code: code ?? 1, said };
};

const files = path => {
  if (!existsSync(path)) return [];
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path, { withFileTypes: true })
    .filter(e => e.name !== 'node_modules')
    .flatMap(e => files(join(path, e.name)));
};

const fingerprint = paths => {
  const hash = createHash('sha256').update(process.version);
  for (const file of paths.flatMap(p => files(join(root, p))).toSorted())
    hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
};

/** Does the work only when the files it depends on changed since it last succeeded. */
export const once = (name, { from, needs, work }) => {
  const now = fingerprint(from);
  const stamp = join(stamps, name);
  if (existsSync(join(root, needs)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  const code = work();
  if (code !== 0) process.exit(code);
  mkdirSync(stamps, { recursive: true });
  writeFileSync(stamp, now);
};

export const install = () =>
  once('install', {
    from: ['package.json', 'package-lock.json'],
    needs: 'node_modules',
    work: () => {
      console.log('Installing what is missing …');
      return run('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error']);
    },
  });

export const build = () =>
  once('build', {
    from: [
      'package-lock.json',
      'vite.config.ts',
      'scripts/notices.ts',
      'scripts/compressed.ts',
      'scripts/early.ts',
      'scripts/firstView.ts',
      'scripts/offline.ts',
      'scripts/staticHost.ts',
      'server/policy.ts',
      'index.html',
      'src',
      'public',
    ],
    needs: 'dist/index.html',
    work: () => {
      console.log('Building …');
      return tool('vite', ['build', '--logLevel', 'warn']);
    },
  });
