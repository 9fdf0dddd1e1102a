// npm run smooth [-- /schedule /hours …]: tasks of the page's own thread over 50 ms, in every view (or those named) with the sample, while one types,
// taps, chooses and drags, with the processor slowed down four times; what a view does until it was first drawn does not count. Measured by the time the thread itself was at work, so that
// other work of the machine does not count; mouse and keys come from outside, so that what drives them does not either. What a machine that is lent loses to others does
// count in that time: a view during which it lost more than a little is measured again, and the quietest try is told with what was lost.
// What is done in the page only to find where to press is marked there and does not count either, nor what lies before the first of it.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { chromium } from '@playwright/test';
import { BROWSER_FLAGS, browserPath } from './browser.mjs';
import { build, root } from './tools.mjs';

const PORT = 4893;
const SLOWER = 4;
const LONG_MS = 50;

/** Marks what is done in the page to find where to press. */
const LOOKED = 'where to press';

/** The middle of each of some elements that are seen, and what is in it; looked up in one small go. */
const placesOf = (page, selector, most) =>
  page.evaluate(
    ([wanted, count, looked]) => {
      performance.mark(looked);
      return [...document.querySelectorAll(wanted)]
        .filter(e => e.offsetParent !== null && !e.disabled)
        .slice(0, count)
        .flatMap(e => {
          const { x, y, width, height } = e.getBoundingClientRect();
          const at = { x: x + width / 2, y: y + height / 2, text: e.value ?? '' };
          // What something else lies over, no hand reaches.
          const top = document.elementFromPoint(at.x, at.y);
          return top !== null && (e.contains(top) || top.contains(e)) ? [at] : [];
        });
    },
    [selector, most, LOOKED],
  );
const FIELDS = 'input[inputmode], input[type=text], input:not([type]), textarea';

const HANDLES = '[data-testid=table] [role=slider], [data-task]';

/** How long a hand holds a button or a key down, ms: short. */
const HELD_MS = 60;

/** Goes somewhere with the mouse and presses there, at a hand's pace: going there, down and up are three events, not one. */
const press = async (page, { x, y }) => {
  await page.mouse.move(x, y);
  await page.waitForTimeout(HELD_MS);
  await page.mouse.down();
  await page.waitForTimeout(HELD_MS);
  await page.mouse.up();
};

/** Types a figure or a letter into the first fields, and takes it back. */
const typing = async page => {
  for (let n = 0; n < 4; n += 1) {
    const field = (await placesOf(page, FIELDS, 4))[n];
    if (!field) continue;
    await press(page, field);
    await page.waitForTimeout(HELD_MS);
    await page.keyboard.press('End', { delay: HELD_MS });
    await page.waitForTimeout(HELD_MS);
    await page.keyboard.type(/^[\d.,]*$/.test(field.text) ? '1' : 'ab', { delay: HELD_MS });
    await page.waitForTimeout(600);
    await page.keyboard.press('Backspace', { delay: HELD_MS });
    await page.waitForTimeout(600);
  }
};
/** How far a hand drags, px, in steps of one frame each. */
const DRAGGED = { by: 4, steps: 16, frameMs: 16 };
/** Drags handles of a drawing, or blocks of a schedule, and lets go. */
const dragging = async page => {
  for (let n = 0; n < 3; n += 1) {
    const at = (await placesOf(page, HANDLES, 3))[n];
    if (!at) continue;
    await page.mouse.move(at.x, at.y);
    await page.waitForTimeout(HELD_MS);
    await page.mouse.down();
    await page.waitForTimeout(HELD_MS);
    for (let step = 1; step <= DRAGGED.steps; step += 1) {
      await page.mouse.move(at.x + step * DRAGGED.by, at.y + (step * DRAGGED.by) / 2);
      await page.waitForTimeout(DRAGGED.frameMs);
    }
    await page.mouse.up();
    await page.waitForTimeout(600);
  }
};
/** Chooses what can be chosen of a few. */
const choosing = async page => {
  for (let n = 0; n < 6; n += 1) {
    const radio = (await placesOf(page, '[role=radio]', 6))[n];
    if (!radio) continue;
    await press(page, radio);
    await page.waitForTimeout(500);
  }
};

/** Tasks of the page's thread while something is done, by the time it was at work itself, ms, the longest first. */
const tasksWhile = async (chromiumHere, page, work) => {
  // Tasks and marks alone: to be told of every layout as well would make each of them longer.
  await chromiumHere.startTracing(page, {
    categories: ['toplevel', 'blink.user_timing'],
  });
  await placesOf(page, 'body', 1);
  await work();
  const { traceEvents } = JSON.parse((await chromiumHere.stopTracing()).toString());
  const threads = new Set(
    traceEvents
      .filter(e => e.name === 'thread_name' && e.args.name === 'CrRendererMain')
      .map(e => `${e.pid} ${e.tid}`),
  );
  // A task may be told twice, by whom it was run; the outer one is meant.
  const tasks = traceEvents
    .filter(e => e.ph === 'X' && e.name.endsWith('RunTask') && threads.has(`${e.pid} ${e.tid}`))
    .toSorted((a, b) => a.ts - b.ts || b.dur - a.dur);
  const looks = traceEvents.filter(e => e.name === LOOKED).map(e => e.ts);
  if (looks.length === 0 || tasks.length === 0)
    throw new Error('The trace does not tell what the page did, or since when the hand was there.');
  const begun = Math.min(...looks);
  let ended = 0;
  const taken = [];
  for (const { ts, dur, tdur } of tasks) {
    if (ts < ended) continue;
    ended = ts + dur;
    const isOfTheHand = ts > begun && !looks.some(at => at >= ts && at <= ended);
    if (isOfTheHand) taken.push(Math.round(tdur / 1000));
  }
  return taken.toSorted((a, b) => b - a);
};
/** Taps the great button with a finger. */
const touching = async page => {
  for (let n = 0; n < 4; n += 1) {
    const [at] = await placesOf(page, '[data-place=great] button', 1);
    if (at) await page.touchscreen.tap(at.x, at.y);
    await page.waitForTimeout(600);
  }
};
const tapping = async page => {
  for (let n = 0; n < 4; n += 1) {
    await page.keyboard.press('Space', { delay: HELD_MS });
    await page.waitForTimeout(500);
  }
};

const FOLDED = '[aria-haspopup], summary, [aria-label="Keyboard shortcuts"]';

/** Unfolds what can be unfolded of a few, and folds it again: what a figure rests on, a menu, a list, a sheet over the view. */
const unfolding = async page => {
  for (let n = 0; n < 4; n += 1) {
    const at = (await placesOf(page, FOLDED, 4))[n];
    if (!at) continue;
    await press(page, at);
    await page.waitForTimeout(600);
    await page.keyboard.press('Escape', { delay: HELD_MS });
    await page.waitForTimeout(600);
  }
};

/** What is done in each view, beside unfolding what there is. */
const VIEWS = {
  '/': [],
  '/new': [typing, choosing],
  '/shelf': [typing, choosing],
  '/shelf/wool-brick': [typing],
  '/rack': [],
  '/lessons': [],
  '/projects/project-garland': [typing],
  '/parts': [typing],
  '/schedule': [choosing, dragging],
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
  '/pieces/sample-brick-sleeve/plan': [typing, choosing, dragging],
  '/pieces/sample-gale-mittens/plan': [typing, choosing, dragging],
  '/pieces/sample-kelp-cosy/wool': [typing, choosing],
  '/pieces/sample-kelp-cosy/template': [choosing],
  '/pieces/sample-kelp-cosy/bench': [tapping, touching, choosing],
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

/** No more of the machine's time than this was lost to others in a run that counts as quiet. */
const LITTLE = 0.01;
/** A view is measured until a quiet run has no long task, so often at most; and so often where hardly a run is quiet. */
const QUIET_RUNS = 3;
const MOST_RUNS = 6;

/** Time that the machine lost to others since it runs, s, all its processors together; 0 where it does not tell. */
const lostS = () => {
  try {
    return Number(readFileSync('/proc/stat', 'utf8').split('\n')[0]?.split(/ +/)[8] ?? 0) / 100;
  } catch {
    return 0;
  }
};

/** Tasks of a view, ms, the longest first, and the part of the machine's time that was lost meanwhile. */
const tasksOf = async (browserHere, path, acts) => {
  const context = await browserHere.newContext({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    hasTouch: true,
  });
  const page = await context.newPage();
  // A view that fell over has no long tasks.
  const fallen = [];
  page.on('pageerror', e => fallen.push(e.message));
  page.on('console', m => m.type() === 'error' && fallen.push(m.text()));
  const url = `http://127.0.0.1:${PORT}`;
  await page.goto(`${url}/`);
  await page.waitForTimeout(1500);
  await page.goto(url + path);
  await page.waitForTimeout(3500);
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const before = { lost: lostS(), atMs: performance.now() };
  const tasks = await tasksWhile(browserHere, page, async () => {
    for (const act of [...acts, unfolding]) await act(page);
    await page.waitForTimeout(1500);
  });
  const passedS = (performance.now() - before.atMs) / 1000;
  await context.close();
  if (fallen.length > 0) throw new Error(`${path}: ${fallen[0]}`);
  return { tasks, lost: (lostS() - before.lost) / (passedS * availableParallelism()) };
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
  const asked = process.argv.slice(2);
  if (asked.length === 0) await framesOf(browser);
  for (const [path, acts] of Object.entries(VIEWS)) {
    if (asked.length > 0 && !asked.includes(path)) continue;
    const runs = [];
    const quiet = () => runs.filter(run => run.lost <= LITTLE);
    const worst = run => run.tasks[0] ?? 0;
    while (
      runs.length < MOST_RUNS &&
      quiet().length < QUIET_RUNS &&
      !quiet().some(run => worst(run) <= LONG_MS)
    )
      runs.push(await tasksOf(browser, path, acts));
    // What belongs to the view is in every run of it; what the machine adds is not.
    const [best = runs[0]] = (quiet().length > 0 ? quiet() : runs).toSorted((x, y) => worst(x) - worst(y));
    const long = best.tasks.filter(ms => ms > LONG_MS);
    const told =
      long.length === 0 ? `none, the longest ${worst(best)} ms` : long.map(ms => `${ms} ms`).join(', ');
    const loss = best.lost > LITTLE ? `, the machine lost ${Math.round(100 * best.lost)} %` : '';
    const others = runs.length > 1 ? `, in others up to ${Math.max(...runs.map(worst))} ms` : '';
    console.log(`${path.padEnd(42)} ${told} (best of ${runs.length}${others}${loss})`);
  }
} finally {
  await browser.close();
  server.kill();
}
