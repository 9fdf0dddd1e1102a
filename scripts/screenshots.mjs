// npm run screenshots: one picture of each main view, from the sample workshop, into docs/screenshots.
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { BROWSER_FLAGS, browserPath } from './browser.mjs';
import { build, install, root } from './tools.mjs';

const PORT = '4897';
const LAPTOP = { width: 1280, height: 800 };
const TABLET = { width: 820, height: 1180 };

/** Views by file name. `act` works on the page before the picture. */
const VIEWS = [
  { name: 'table', path: '/', size: LAPTOP },
  { name: 'new-piece', path: '/new', size: LAPTOP },
  { name: 'plan', path: '/pieces/sample-brick-sleeve/plan', size: LAPTOP },
  {
    name: 'order',
    path: '/orders/order-lantern',
    size: LAPTOP,
    act: async page => {
      await page.getByRole('status').first().waitFor();
    },
  },
  {
    name: 'schedule',
    path: '/schedule',
    size: LAPTOP,
    act: async page => {
      await page
        .getByText(/in 10|certain|No chance/)
        .first()
        .waitFor();
    },
  },
  { name: 'stock', path: '/stock/product-ball', size: LAPTOP },
  { name: 'class', path: '/classes/class-fern', size: LAPTOP },
  { name: 'wool', path: '/pieces/sample-kelp-cosy/wool', size: LAPTOP },
  { name: 'template', path: '/pieces/sample-boot-liner/template', size: LAPTOP },
  {
    name: 'blend',
    path: '/blend',
    size: LAPTOP,
    act: async page => {
      await page.getByRole('button', { name: 'Find blends' }).click();
      await page.getByRole('list', { name: 'Blends, closest first' }).waitFor();
      for (const wool of ['Kelp, carded batt', 'Oat, undyed batt'])
        await page.getByLabel('Add a wool').selectOption({ label: wool });
    },
  },
  {
    name: 'bench',
    path: '/pieces/sample-kelp-cosy/bench',
    size: TABLET,
    act: async page => {
      await page.getByRole('button', { name: /^Done/ }).first().waitFor();
    },
  },
  {
    name: 'rehearsal',
    path: '/rehearse/sample-kelp-cosy?seed=7',
    size: LAPTOP,
    act: async page => {
      const great = page.getByRole('button', { name: /^(Done|Pinch test)/ }).first();
      for (let n = 0; n < 14; n += 1) {
        await great.waitFor();
        const isPinch = (await great.innerText()).startsWith('Pinch');
        await great.click();
        if (isPinch)
          await page
            .getByRole('button', { name: /skin lifts as one/ })
            .first()
            .click();
        await page.waitForTimeout(250);
        if (await page.getByRole('button', { name: 'Measure', exact: true }).first().isVisible()) break;
      }
      await page.getByRole('button', { name: 'Lay the tape on' }).click();
    },
  },
  { name: 'finishing', path: '/pieces/sample-galley-mat/bench', size: TABLET },
  { name: 'finish-dark', path: '/pieces/sample-ferry-pad/finish', size: LAPTOP, dark: true },
  { name: 'shelf', path: '/shelf/wool-brick', size: LAPTOP },
  { name: 'diary', path: '/pieces/sample-ferry-pad/diary', size: LAPTOP },
  {
    name: 'record',
    path: '/record?with=sample-ferry-pad,sample-brick-sleeve',
    size: LAPTOP,
    act: async page => page.getByRole('img', { name: /^Length against work/ }).waitFor(),
  },
  {
    name: 'accuracy',
    path: '/record/accuracy',
    size: LAPTOP,
    act: async page => page.getByText('By wool').waitFor(),
  },
  { name: 'project', path: '/projects/project-garland', size: LAPTOP },
];

install();
build();
const folder = join(root, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
const server = spawn(join(root, 'node_modules/.bin/tsx'), ['server/main.ts'], {
  cwd: root,
  env: { ...process.env, PORT },
});
await new Promise((resolve, reject) => {
  server.stdout.once('data', resolve);
  server.once('exit', () => reject(new Error(`No server at port ${PORT}: is one running there already?`)));
});
const browser = await chromium.launch({ executablePath: browserPath() ?? '', args: BROWSER_FLAGS });
for (const view of VIEWS) {
  const context = await browser.newContext({
    viewport: view.size,
    colorScheme: view.dark ? 'dark' : 'light',
    locale: 'en-GB',
    timezoneId: 'UTC',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${PORT}${view.path}`, { waitUntil: 'networkidle' });
  await view.act?.(page);
  await page.waitForTimeout(600);
  await page.screenshot({ path: join(folder, `${view.name}.png`) });
  await context.close();
}
await browser.close();
server.kill();
