import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { build, type Plugin } from 'vite';

/** Not kept for offline: packed copies of what is kept, the worker itself, and what only hosts of plain files read. */
const NOT_KEPT = /(\.(br|gz|map)|^sw\.js|^404\.html|^_headers)$/;
/** What has its revision in its name. */
const HASHED = /^assets\/.*-[\w-]{8,}\.\w+$/;

const filesIn = (folder: string): readonly string[] =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(file => file.isFile())
    .map(file => relative(folder, join(file.parentPath, file.name)).split(sep).join('/'))
    .toSorted();

/** Every file of a build with its revision, for the worker that keeps them all. */
export const builtFiles = (
  folder: string,
): ReadonlyArray<{ readonly url: string; readonly revision: string | null }> =>
  filesIn(folder)
    .filter(path => !NOT_KEPT.test(path))
    .map(path => ({
      url: `/${path}`,
      revision: HASHED.test(path)
        ? null
        : createHash('sha256')
            .update(readFileSync(join(folder, path)))
            .digest('hex')
            .slice(0, 16),
    }));

/** Builds the worker that keeps the application for when there is no network, once all else is built: it names every file of it. */
export const offline = (entry: string): Plugin => {
  let out = 'dist';
  return {
    name: 'offline',
    apply: 'build',
    configResolved(config) {
      out = config.build.outDir;
    },
    async closeBundle() {
      await build({
        configFile: false,
        logLevel: 'error',
        publicDir: false,
        define: { BUILT_FILES: JSON.stringify(builtFiles(out)), 'process.env.NODE_ENV': '"production"' },
        build: {
          outDir: out,
          emptyOutDir: false,
          target: 'es2023',
          lib: { entry, formats: ['iife'], name: 'offline', fileName: () => 'sw.js' },
        },
      });
    },
  };
};
