import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin } from 'vite';
import { z } from 'zod';

const PackageSchema = z.object({
  name: z.string(),
  version: z.string(),
  license: z.string().optional(),
});

/** What is shipped and is in no script: typefaces, and the style sheet that the styles are made from. */
const NOT_SCRIPTS = [
  '@fontsource-variable/atkinson-hyperlegible-next',
  '@expo-google-fonts/atkinson-hyperlegible-next',
  'tailwindcss',
  // In the worker for offline, which is built last.
  'workbox-core',
  'workbox-precaching',
  'workbox-routing',
  'workbox-strategies',
];
const IN_PACKAGE = /^.*\/node_modules\/(?:@[^/]+\/)?[^/]+/;
const LICENCE_FILE = /^(licen[cs]e|copying|ofl|notice)/i;

/** Folder of the package that a module belongs to; null for one of our own. */
const packageOf = (moduleId: string): string | null =>
  IN_PACKAGE.exec(moduleId.split('?')[0]?.replaceAll('\\', '/') ?? '')?.[0] ?? null;

/** What a package says of itself, with the words of its licence. */
const noticeOf = (folder: string): string => {
  const {
    name,
    version,
    license = 'see below',
  } = PackageSchema.parse(JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8')));
  const texts = readdirSync(folder, { withFileTypes: true })
    .filter(file => file.isFile() && LICENCE_FILE.test(file.name))
    .map(file => readFileSync(join(folder, file.name), 'utf8').trim());
  return [`${name} ${version} (${license})`, ...new Set(texts)].join('\n\n');
};

const LINE = `\n\n${'-'.repeat(72)}\n\n`;

/** Writes the licences of all that is shipped beside the build: `licences.txt`. One for the page, one for its workers. */
export const notices = (): { readonly page: () => Plugin; readonly worker: () => Plugin } => {
  const folders = new Set<string>();
  const collect = (ids: Iterable<string>): void => {
    for (const id of ids) {
      const folder = packageOf(id);
      if (folder !== null && existsSync(join(folder, 'package.json'))) folders.add(folder);
    }
  };
  return {
    worker: () => ({
      name: 'notices-of-workers',
      generateBundle() {
        collect(this.getModuleIds());
      },
    }),
    page: () => ({
      name: 'notices',
      apply: 'build',
      generateBundle() {
        collect(this.getModuleIds());
        for (const name of NOT_SCRIPTS) folders.add(join(process.cwd(), 'node_modules', name));
        const all = [...folders].map(noticeOf).toSorted((a, b) => a.localeCompare(b, 'en'));
        const head = 'Jorrit is under the MIT licence (LICENSE). It ships what others have made:';
        this.emitFile({ type: 'asset', fileName: 'licences.txt', source: [head, ...all].join(LINE) });
      },
    }),
  };
};
