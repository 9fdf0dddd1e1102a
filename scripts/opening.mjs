// npm run opening: how long it takes until a workshop can be used, beside a bare page of Vite and React built for it, with the processor slowed
// down four times; and the table, a bench and the shelf of 2 000 pieces with 200 000 entries beside those of 20 with 2 000.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { build as viteBuild, preview } from 'vite';
import { BROWSER_FLAGS, browserPath } from './browser.mjs';
import { build, root } from './tools.mjs';

const PORT = 4894;
const TIMES = 7;
const SLOWER = 4;
const median = values => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** A page with one button, as small as such a page can be. */
const bare = async () => {
  const at = mkdtempSync(join(root, 'node_modules', '.bare-'));
  writeFileSync(
    join(at, 'index.html'),
    '<!doctype html><div id="root"></div><script type="module" src="/main.jsx"></script>',
  );
  writeFileSync(
    join(at, 'main.jsx'),
    `import { createElement, useState } from 'react';
import { createRoot } from 'react-dom/client';
const Page = () => { const [n, set] = useState(0); return createElement('button', { onClick: () => set(n + 1) }, 'Taps ' + n); };
createRoot(document.querySelector('#root')).render(createElement(Page));`,
  );
  await viteBuild({ root: at, configFile: false, logLevel: 'error' });
  const server = await preview({
    root: at,
    configFile: false,
    preview: { port: PORT + 1, host: '127.0.0.1' },
  });
  return {
    url: `http://127.0.0.1:${PORT + 1}/`,
    close: async () => {
      await server.close();
      rmSync(at, { recursive: true });
    },
  };
};

const slowly = async page => {
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
};

/** Until what is waited for is there, ms. */
const until = async (page, url, there) => {
  const began = performance.now();
  await page.goto(url, { waitUntil: 'commit' });
  await there(page);
  return performance.now() - began;
};

const openings = async (browser, { url, there, first, whole = async () => undefined }) => {
  const cold = [];
  const warm = [];
  const rest = [];
  for (let i = 0; i < TIMES; i += 1) {
    const context = await browser.newContext({ serviceWorkers: 'block' });
    const page = await context.newPage();
    if (first) {
      await until(page, url, there);
      await page.waitForTimeout(2500);
      // As on the next day: the workshop is there, the browser's cache is not.
      const session = await context.newCDPSession(page);
      await session.send('Network.clearBrowserCache');
    }
    await slowly(page);
    cold.push(await until(page, url, there));
    // Not while the page before is at work still, nor in its place.
    await page.waitForTimeout(4000);
    const next = await context.newPage();
    await page.close();
    await slowly(next);
    warm.push(await until(next, url, there));
    const began = performance.now();
    await whole(next);
    rest.push(performance.now() - began);
    await context.close();
  }
  return { cold: median(cold), warm: median(warm), rest: median(rest) };
};

/** Puts many pieces with long logs into the browser's database, made of those of the sample. */
const fill = (page, pieces, entries) =>
  page.evaluate(
    async ({ count, total }) => {
      const opened = indexedDB.open('jorrit');
      const db = await new Promise((resolve, reject) => {
        opened.onsuccess = () => resolve(opened.result);
        opened.onerror = () => reject(opened.error);
      });
      const all = table =>
        new Promise(resolve => {
          const ask = db.transaction(table).objectStore(table).getAll();
          ask.onsuccess = () => resolve(ask.result);
        });
      const [samples, log] = [await all('pieces'), await all('entries')];
      const rolls = log.filter(e => e.act.kind === 'roll');
      const each = Math.round(total / count);
      for (let from = 0; from < count; from += 50) {
        const write = db.transaction(['pieces', 'entries'], 'readwrite');
        for (let i = from; i < Math.min(count, from + 50); i += 1) {
          const source = samples[i % samples.length];
          const finishedAt = i % 10 === 0 ? null : '2026-05-01T10:00:00.000Z';
          write.objectStore('pieces').put({
            ...source,
            id: `big-${i}`,
            name: `${source.name} ${i}`,
            sample: false,
            revision: 2,
            swatchOf: null,
            result: { ...source.result, finishedAt },
          });
          for (let n = 0; n < each; n += 1)
            write.objectStore('entries').put({
              ...rolls[n % rolls.length],
              id: `big-${i}-${n}`,
              pieceId: `big-${i}`,
              seq: n + 1,
              at: new Date(Date.parse('2026-04-01T08:00:00Z') + n * 60_000).toISOString(),
            });
        }
        await new Promise(resolve => {
          write.oncomplete = resolve;
        });
      }
      db.close();
    },
    { count: pieces, total: entries },
  );

/** @type {ReadonlyArray<readonly [string, string, (page: import('@playwright/test').Page) => Promise<void>]>} */
const VIEWS = [
  [
    'the table',
    '/',
    page => page.getByRole('region', { name: 'On the bench' }).getByRole('link').first().waitFor(),
  ],
  ['a bench', '/pieces/big-0/bench', page => page.getByRole('button', { name: /^Done/ }).first().waitFor()],
  ['the shelf', '/shelf', page => page.getByRole('heading', { name: /Shelf/ }).first().waitFor()],
];

/** A workshop of so many pieces, open and settled. */
const workshopOf = async (browser, base, [pieces, entries]) => {
  const context = await browser.newContext({ serviceWorkers: 'block' });
  const page = await context.newPage();
  await VIEWS[0][2](await page.goto(base).then(() => page));
  await fill(page, pieces, entries);
  const began = performance.now();
  await page.goto(base);
  await VIEWS[0][2](page);
  await page.waitForFunction(() => !document.body.textContent?.includes('more pieces on the table …'), null, {
    timeout: 300_000,
  });
  console.log(`${pieces} pieces: summaries made in ${((performance.now() - began) / 1000).toFixed(1)} s`);
  await page.waitForTimeout(3000);
  await page.close();
  return context;
};

/** Opens each view of some workshops in turn, so that what else the machine does falls on all of them. */
const viewsOf = async (base, contexts) => {
  const found = [];
  for (const [, path, there] of VIEWS) {
    const times = contexts.map(() => []);
    for (let i = 0; i < TIMES; i += 1)
      for (const [n, context] of contexts.entries()) {
        const next = await context.newPage();
        times[n].push(await until(next, base + path, there));
        await next.waitForTimeout(1000);
        await next.close();
      }
    found.push(times.map(median));
  }
  return found;
};

build();
const server = spawn(join(root, 'node_modules', '.bin', 'tsx'), ['server/main.ts'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT) },
  stdio: 'ignore',
});
const base = `http://127.0.0.1:${PORT}`;
for (let i = 0; i < 100; i += 1)
  if (
    await fetch(`${base}/healthz`).then(
      r => r.ok,
      () => new Promise(r => setTimeout(() => r(false), 200)),
    )
  )
    break;
const browser = await chromium.launch({ executablePath: browserPath() ?? '', args: BROWSER_FLAGS });
const plain = await bare();
try {
  const least = await openings(browser, {
    url: plain.url,
    there: page => page.getByRole('button').waitFor(),
    first: false,
  });
  const ours = await openings(browser, {
    url: `${base}/`,
    there: page => page.getByRole('link', { name: 'New piece' }).waitFor(),
    first: true,
    // Until then it is the table as it was last seen: its links lead on, its buttons wait.
    whole: page => page.locator('#last-look').waitFor({ state: 'detached' }),
  });
  for (const how of ['cold', 'warm'])
    console.log(
      `${how}, processor ×${SLOWER}: ${ours[how].toFixed(0)} ms, a bare page ${least[how].toFixed(0)} ms: ${(ours[how] / least[how]).toFixed(2)} times`,
    );
  console.log(`until every button of it answers as well: ${ours.rest.toFixed(0)} ms more`);
  const workshops = [
    await workshopOf(browser, base, [20, 2000]),
    await workshopOf(browser, base, [2000, 200_000]),
  ];
  for (const [i, [few, many]] of (await viewsOf(base, workshops)).entries())
    console.log(
      `${VIEWS[i][0]}: ${many.toFixed(0)} ms of 2 000 pieces, ${few.toFixed(0)} ms of 20: ${(many / few).toFixed(2)} times`,
    );
} finally {
  await browser.close();
  await plain.close();
  server.kill();
}
process.exit();
