import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

/** Parts of the PDF library that we never call (HTML and canvas rendering). */
const nothing = fileURLToPath(new URL('./src/files/nothing.ts', import.meta.url));

export default defineConfig({
  plugins: [react(), tailwindcss()],
  html: { cspNonce: '__CSP_NONCE__' },
  resolve: { alias: { html2canvas: nothing, canvg: nothing, dompurify: nothing } },
  optimizeDeps: { include: ['jspdf'] },
  worker: { format: 'es' },
  build: { assetsInlineLimit: 0, target: 'es2023', sourcemap: false },
  test: { include: ['src/**/*.test.{ts,tsx}', 'server/**/*.test.ts', 'scripts/**/*.test.ts'] },
});
