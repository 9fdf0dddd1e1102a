import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { parseSync } from 'oxc-parser';
import { ROOT } from './roomTable';

/** One import of a file: another file of the source, or a package. Types and lazy imports count like any other. */
export interface ImportEdge {
  readonly from: string;
  /** Path below the project, or the name of a package. */
  readonly to: string;
  readonly isPackage: boolean;
}

const sources = (folder: string): readonly string[] =>
  readdirSync(join(ROOT, folder), { withFileTypes: true }).flatMap(e =>
    e.isDirectory() ? sources(join(folder, e.name)) : /\.tsx?$/.test(e.name) ? [join(folder, e.name)] : [],
  );

/** Tests and what only tests use: they look down from above, and nothing looks up to them. */
export const isForTests = (file: string): boolean => /\.test\.tsx?$|\/testing\//.test(file);

/** Every name a file imports from, in whatever way. */
const specifiers = (file: string): ReadonlySet<string> => {
  const text = readFileSync(join(ROOT, file), 'utf8');
  const { module } = parseSync(file, text);
  const lazy = module.dynamicImports.map(d => text.slice(d.moduleRequest.start, d.moduleRequest.end));
  return new Set([
    ...module.staticImports.map(i => i.moduleRequest.value),
    ...module.staticExports.flatMap(e =>
      e.entries.flatMap(({ moduleRequest }) => moduleRequest?.value ?? []),
    ),
    ...lazy.flatMap(l => /^['"](.+)['"]$/.exec(l)?.[1] ?? []),
  ]);
};

const fileOf = (from: string, specifier: string): string | null => {
  const base = join(dirname(from), specifier);
  return (
    ['', '.ts', '.tsx']
      .map(end => base + end)
      .find(path => /\.tsx?$/.test(path) && existsSync(join(ROOT, path))) ?? null
  );
};

const packageOf = (specifier: string): string =>
  specifier
    .split('/')
    .slice(0, specifier.startsWith('@') ? 2 : 1)
    .join('/');

/** All imports of the source, tests left out. */
export const importGraph = (): readonly ImportEdge[] =>
  sources('src')
    .filter(file => !isForTests(file))
    .flatMap(from =>
      [...specifiers(from)].flatMap((specifier): ImportEdge[] => {
        if (!specifier.startsWith('.')) return [{ from, to: packageOf(specifier), isPackage: true }];
        const to = fileOf(from, specifier);
        return to === null ? [] : [{ from, to, isPackage: false }];
      }),
    );

/** Folder of a file below `src`. */
export const folderOf = (file: string): string => relative('src', dirname(file));

/** Groups of more than one that reach each other, by any chain of steps. Source: Tarjan 1972, from memory. */
export const circles = (
  steps: ReadonlyArray<readonly [string, string]>,
): ReadonlyArray<readonly string[]> => {
  const next = new Map<string, string[]>();
  for (const [from, to] of steps) next.set(from, [...(next.get(from) ?? []), to]);
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const open: string[] = [];
  const found: string[][] = [];
  const visit = (node: string): void => {
    index.set(node, index.size);
    low.set(node, index.get(node) ?? 0);
    open.push(node);
    for (const to of next.get(node) ?? []) {
      if (!index.has(to)) visit(to);
      if (open.includes(to)) low.set(node, Math.min(low.get(node) ?? 0, low.get(to) ?? 0));
    }
    if (low.get(node) !== index.get(node)) return;
    const group = open.splice(open.indexOf(node));
    if (group.length > 1) found.push(group);
  };
  for (const node of next.keys()) if (!index.has(node)) visit(node);
  return found;
};
