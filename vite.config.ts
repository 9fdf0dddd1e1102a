import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';
import { notices } from './scripts/notices.ts';

/** Parts of the PDF library that we never call (HTML and canvas rendering). */
const nothing = fileURLToPath(new URL('./src/files/nothing.ts', import.meta.url));

/** Licences of all that is shipped. */
const licences = notices();

export default defineConfig({
  plugins: [react(), tailwindcss(), licences.page()],
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
            { name: 'interface', test: /node_modules\/(@radix-ui|radix-ui|@floating-ui|@tanstack)\// },
            { name: 'data', test: /node_modules\/(zod|idb|clipper2-ts)\// },
          ],
        },
      },
    },
  },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'server/**/*.test.ts', 'scripts/**/*.test.ts'],
    // Nothing under test keeps state of its own beyond what it is handed: a fresh process for each file would show nothing more.
    isolate: false,
    // Simulations and properties take seconds on a machine that is busy with something else as well.
    testTimeout: 60_000,
  },
});
