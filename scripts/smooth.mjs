// npm run smooth: tasks of the page's own thread over 50 ms, in every view with the sample, while one types, taps and chooses, with the processor
// slowed down four times; what a view does until it was first drawn does not count.
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { BROWSER_FLAGS, browserPath } from './browser.mjs';
import { build, root } from './tools.mjs';

const PORT = 4893;
const SLOWER = 4;
const LONG_MS = 50;

/** Types a figure or a letter into the first fields, and takes it back. */
const typing = async page => {
  const fields = await page.locator('input[inputmode], input[type=text], input:not([type]), textarea').all();
  const open = [];
  for (const field of fields)
    if (open.length < 4 && (await field.isVisible()) && (await field.isEnabled())) open.push(field);
  for (const field of open) {
    const isFigure = /^[\d.,]*$/.test(await field.inputValue());
    await field.focus();
    await page.keyboard.press('End');
    await page.keyboard.type(isFigure ? '1' : 'ab', { delay: 60 });
    await page.waitForTimeout(250);
    await page.keyboard.press('Backspace');
    await page.waitForTimeout(250);
  }
};
/** Chooses what can be chosen of a few. */
const choosing = async page => {
  for (const radio of (await page.getByRole('radio').all()).slice(0, 6))
    if (await radio.isVisible()) {
      await radio.click({ timeout: 1000 }).catch(() => undefined);
      await page.waitForTimeout(350);
    }
};
const tapping = async page => {
  for (let n = 0; n < 4; n += 1) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(500);
  }
};

const VIEWS = {
  '/': [],
  '/new': [typing, choosing],
  '/shelf': [typing, choosing],
  '/shelf/wool-brick': [typing],
  '/rack': [],
  '/lessons': [],
  '/projects/project-garland': [typing],
  '/parts': [typing],
  '/schedule': [choosing],
  '/orders': [],
  '/orders/order-quay': [typing, choosing],
  '/stock/product-ball': [typing],
  '/classes/class-fern': [typing],
  '/hours': [typing],
  '/record': [typing],
  '/record/accuracy': [],
  '/blend': [typing],
  '/file': [],
  '/pieces/sample-brick-sleeve/cost': [typing],
  '/pieces/sample-brick-sleeve/plan': [typing, choosing],
  '/pieces/sample-gale-mittens/plan': [typing, choosing],
  '/pieces/sample-kelp-cosy/wool': [typing, choosing],
  '/pieces/sample-kelp-cosy/template': [choosing],
  '/pieces/sample-kelp-cosy/bench': [tapping, choosing],
  '/pieces/sample-ferry-pad/finish': [],
  '/pieces/sample-ferry-pad/diary': [typing],
  '/rehearse/sample-kelp-cosy?seed=7': [tapping],
};

/** Frames a second of a rehearsal whose time runs twenty times as fast, while it is worked: the picture goes from one size to the next. */
const framesOf = async chromiumHere => {
  const context = await chromiumHere.newContext({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${PORT}/rehearse/sample-kelp-cosy?seed=7`);
  await page.getByRole('combobox', { name: 'Time goes' }).selectOption('20');
  await page.waitForTimeout(3000);
  const frames = await page.evaluate(async () => {
    const gaps = [];
    let last = performance.now();
    let tap = last;
    await new Promise(resolve => {
      const frame = now => {
        gaps.push(now - last);
        last = now;
        if (now - tap > 900) {
          tap = now;
          document.querySelector('[data-place=great] button')?.click();
        }
        if (gaps.length < 480) requestAnimationFrame(frame);
        else resolve(undefined);
      };
      requestAnimationFrame(frame);
    });
    return gaps.slice(1);
  });
  const mean = frames.reduce((a, b) => a + b, 0) / frames.length;
  const late = frames.filter(ms => ms > 25).length;
  console.log(
    `a rehearsal, time twenty times as fast: ${(1000 / mean).toFixed(1)} frames a second, ${late} of ${frames.length} later than 25 ms`,
  );
  await context.close();
};

build();
const server = spawn('node_modules/.bin/tsx', ['server/main.ts'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise(resolve => {
  server.stdout.once('data', resolve);
});
const browser = await chromium.launch({ executablePath: browserPath() ?? '', args: BROWSER_FLAGS });
try {
  await framesOf(browser);
  for (const [path, acts] of Object.entries(VIEWS)) {
    const context = await browser.newContext({
      serviceWorkers: 'block',
      viewport: { width: 1280, height: 800 },
    });
    const page = await context.newPage();
    await page.addInitScript(() => {
      globalThis.longTasks = [];
      new PerformanceObserver(list => {
        for (const entry of list.getEntries()) globalThis.longTasks.push(Math.round(entry.duration));
      }).observe({ type: 'longtask' });
    });
    const url = `http://127.0.0.1:${PORT}`;
    await page.goto(`${url}/`);
    await page.waitForTimeout(1500);
    await page.goto(url + path);
    await page.waitForTimeout(3500);
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    await page.evaluate(() => {
      globalThis.longTasks = [];
    });
    for (const act of acts) await act(page);
    await page.waitForTimeout(1500);
    const tasks = (await page.evaluate(() => globalThis.longTasks)).filter(ms => ms > LONG_MS);
    console.log(`${path.padEnd(42)} ${tasks.length === 0 ? 'none' : tasks.map(ms => `${ms} ms`).join(', ')}`);
    await context.close();
  }
} finally {
  await browser.close();
  server.kill();
}
