// The one table of the rooms: who may import whom, and which packages. `npm run rooms` writes the linter's rules from it;
// scripts/rooms.test.ts holds every import of the source against it, types included.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { z } from 'zod';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** One room: the rooms it may import beside itself, the packages it may import, and why no more. */
interface Room {
  readonly below: readonly string[];
  readonly packages: readonly string[];
  readonly why: string;
  /** Files of rooms below that it must leave alone all the same. */
  readonly except?: readonly string[];
}

/** Rooms of `src`, the lowest first. */
export const ROOMS: Readonly<Record<string, Room>> = {
  core: {
    below: [],
    packages: ['@noble/hashes', 'clipper2-ts', 'convert', 'culori', 'ml-matrix', 'zod'],
    why: 'The core is pure computation.',
  },
  records: { below: ['core'], packages: ['zod'], why: 'Records know no interface.' },
  words: { below: ['core', 'records'], packages: [], why: 'Words are tables, typed by the codes they name.' },
  drawing: { below: ['core', 'words'], packages: [], why: 'Drawing knows no interface.' },
  files: {
    below: ['core', 'records', 'words', 'drawing'],
    packages: ['fast-xml-parser', 'fflate', 'ics', 'jspdf', 'papaparse', 'qrcode', 'svgpath', 'zod'],
    why: 'Files know no interface.',
  },
  store: {
    below: ['core', 'records', 'words'],
    packages: ['dequal', 'idb'],
    why: 'The store knows no interface.',
  },
  workers: {
    below: ['core', 'records', 'words', 'drawing', 'files', 'store'],
    packages: ['@expo-google-fonts/atkinson-hyperlegible-next', 'exifr', 'jsqr', 'workbox-precaching', 'zod'],
    why: 'Workers know no interface.',
  },
  ui: {
    below: ['core', 'words', 'drawing'],
    packages: ['echarts', 'lucide-react', 'radix-ui', 'react', 'virtua'],
    why: 'Shared controls know neither records nor the session.',
  },
  session: {
    below: ['core', 'records', 'words', 'drawing', 'files', 'store', 'workers'],
    packages: ['@tanstack/react-query', 'dequal', 'react', 'react-router', 'zod'],
    why: 'The session has no controls.',
  },
  features: {
    below: ['core', 'records', 'words', 'drawing', 'files', 'store', 'workers', 'session', 'ui'],
    except: ['store/makeStore', 'store/idbBackend', 'store/memoryBackend'],
    packages: ['@tanstack/react-query', 'lucide-react', 'react', 'react-router', 'zod'],
    why: 'Features reach records through the session, and never each other.',
  },
  sample: { below: ['core', 'records'], packages: [], why: 'The sample is data.' },
  app: {
    below: [
      'core',
      'records',
      'words',
      'drawing',
      'files',
      'store',
      'workers',
      'ui',
      'session',
      'features',
      'sample',
    ],
    packages: ['@tanstack/react-query', 'radix-ui', 'react', 'react-dom', 'react-router'],
    why: 'The application puts it all together.',
  },
};

/** Folders of the core, the lowest first: each may import those before it. `''` is what lies in `src/core` itself. */
export const CORE_ORDER = [
  '',
  'units',
  'numeric',
  'shrinkage',
  'outline',
  'chain',
  'forms',
  'forms/kinds',
  'acts',
  'ways',
  'evenness',
  'picture',
  'light',
  'photo',
  'motion',
  'colour',
  'wool',
  'plan',
  'log',
  'recipe',
  'learning',
  'finishing',
  'diary',
  'project',
  'record',
  'felting',
  'accuracy',
  'forecast',
  'batch',
  'schedule',
  'money',
  'stock',
  'cost',
  'advice',
  'rehearsal',
];

/** Globals that the core must not reach for. */
const CORE_GLOBALS = [
  'document',
  'window',
  'localStorage',
  'indexedDB',
  'navigator',
  'fetch',
  'Date',
  'crypto',
];

const PackagesSchema = z.object({
  dependencies: z.record(z.string(), z.string()),
  devDependencies: z.record(z.string(), z.string()),
});
const names = Object.keys(ROOMS);
const folders = (path: string): readonly string[] =>
  readdirSync(join(ROOT, path), { withFileTypes: true })
    .filter(e => e.isDirectory())
    .map(e => e.name);
const packages = (): readonly string[] => {
  const { dependencies, devDependencies } = PackagesSchema.parse(
    JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8')),
  );
  return Object.keys({ ...dependencies, ...devDependencies });
};

/** Rules of the linter for one room. */
const ruleOf = ([room, { below, packages: allowed, why, except = [] }]: readonly [string, Room]) => {
  const above = names.filter(name => name !== room && !below.includes(name));
  const forbidden = packages().filter(name => !allowed.includes(name) && !name.startsWith('@types/'));
  const patterns = [
    ...(above.length > 0
      ? [
          {
            group: above.map(name => `**/${name}/**`),
            message: `${room} must not import ${above.join(', ')}: ${why}`,
          },
        ]
      : []),
    ...(except.length > 0
      ? [{ group: except.map(path => `**/${path}`), message: `Not for ${room}: ${why}` }]
      : []),
    {
      group: [...forbidden.flatMap(name => [name, `${name}/*`]), 'node:*'],
      message: `Not a package of ${room}: ${why}`,
    },
    ...(room === 'features'
      ? [
          {
            group: folders('src/features').map(name => `../${name}/**`),
            message: 'Features do not import each other.',
          },
        ]
      : []),
  ];
  return {
    files: [`src/${room}/**/*.ts`, `src/${room}/**/*.tsx`],
    rules: {
      'no-restricted-imports': ['error', { patterns }],
      ...(room === 'core' ? { 'no-restricted-globals': ['error', ...CORE_GLOBALS] } : {}),
    },
  };
};

const OverridesSchema = z.looseObject({
  overrides: z.array(z.looseObject({ rules: z.record(z.string(), z.unknown()) })),
});
type Override = z.infer<typeof OverridesSchema>['overrides'][number];

const isOfRooms = ({ rules }: Override): boolean =>
  rules['no-restricted-imports'] !== undefined && rules['no-restricted-imports'] !== 'off';

/** The linter's configuration with the overrides that follow from the table in place of those that are there. */
export const withRoomRules = (config: unknown) => {
  const { overrides, ...rest } = OverridesSchema.parse(config);
  return {
    ...rest,
    overrides: [...Object.entries(ROOMS).map(ruleOf), ...overrides.filter(o => !isOfRooms(o))],
  };
};
