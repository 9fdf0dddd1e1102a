import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { configDefaults, defineConfig } from 'vitest/config';
import { compressed } from './scripts/compressed.ts';
import { early } from './scripts/early.ts';
import { firstView } from './scripts/firstView.ts';
import { notices } from './scripts/notices.ts';
import { offline } from './scripts/offline.ts';
import { staticHost } from './scripts/staticHost.ts';

/** Parts of the PDF library that we never call (HTML and canvas rendering). */
const nothing = fileURLToPath(new URL('./src/files/nothing.ts', import.meta.url));

/** The worker that keeps the application for when there is no network. */
const serviceWorker = fileURLToPath(new URL('./src/workers/serviceWorker.ts', import.meta.url));

/** What runs before the application is there. */
const beforeAll = fileURLToPath(new URL('./src/app/early.ts', import.meta.url));

/** Licences of all that is shipped. */
const licences = notices();

const isOfFirstView = firstView();

const TESTS = ['src/**/*.test.{ts,tsx}', 'server/**/*.test.ts', 'scripts/**/*.test.ts'];
const MADE_UP = ['src/**/madeUp*.test.{ts,tsx}'];

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    early(beforeAll),
    licences.page(),
    compressed(),
    staticHost(),
    offline(serviceWorker),
  ],
  html: { cspNonce: '__CSP_NONCE__' },
  resolve: { alias: { html2canvas: nothing, canvg: nothing, dompurify: nothing } },
  optimizeDeps: { include: ['jspdf'] },
  worker: { format: 'es', plugins: () => [licences.worker()] },
  build: {
    assetsInlineLimit: 0,
    target: 'es2023',
    // Libraries change seldom: they stay in the browser's cache when the application changes.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules\/(react|react-dom|react-router|scheduler)\// },
            // What comes with the first view goes out as one, and nothing else with it.
            {
              name: (id, context) =>
                isOfFirstView(id, other => context.getModuleInfo(other)) ? 'first' : null,
              test: /\/(src|node_modules)\//,
              debugName: 'first view',
            },
            { name: 'interface', test: /node_modules\/(@radix-ui|radix-ui)\// },
            { name: 'polygons', test: /node_modules\/clipper2-ts\// },
            // What several views share goes out as one: two dozen small files cost more than their bytes.
            { name: 'shared', test: /\/src\//, minShareCount: 3 },
          ],
        },
      },
    },
  },
  test: {
    // Simulations and properties take seconds on a machine that is busy with something else as well.
    testTimeout: 60_000,
    // Every core there is, two of two: nothing waits for them meanwhile.
    maxWorkers: '100%',
    projects: [
      // Nothing under test keeps state of its own beyond what it is handed: a fresh process for each file would show nothing more.
      {
        extends: true,
        test: {
          name: 'units',
          include: TESTS,
          exclude: [...configDefaults.exclude, ...MADE_UP],
          isolate: false,
        },
      },
      // These put a register of their own in the place of ours.
      { extends: true, test: { name: 'made up', include: MADE_UP } },
    ],
  },
});
