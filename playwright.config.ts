import { defineConfig } from '@playwright/test';
import { isWhole } from './e2e/tiers';
import { BROWSER_FLAGS, browserPath } from './scripts/browser.mjs';

const PORT = Number(process.env['E2E_PORT'] ?? 4899);

export default defineConfig({
  testDir: 'e2e',
  fullyParallel: true,
  // What the unit tests said lies beside it.
  outputDir: 'test-results/e2e',
  ...(isWhole ? {} : { grepInvert: /@long/ }),
  workers: 2,
  // A machine that others share stands still for seconds at times; what has to be quick is measured where it is promised.
  timeout: 180_000,
  expect: { timeout: 45_000 },
  reporter: [['line'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    contextOptions: { reducedMotion: 'reduce' },
    // Only where being offline is the test: a worker of its own would answer for the server.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: browserPath() ?? '', args: BROWSER_FLAGS },
  },
  webServer: {
    command: 'node_modules/.bin/tsx server/main.ts',
    url: `http://127.0.0.1:${PORT}/healthz`,
    env: { PORT: String(PORT) },
    reuseExistingServer: false,
  },
});
