// npm run figures: the figures that docs/figures.md reports, measured now.
import { execFileSync, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { chromium, type Locator, type Page } from '@playwright/test';
import { workshopText } from '../src/files/writeWorkshop';
import { pieceKind } from '../src/records/piece';
import { ofKind } from '../src/records/snapshot';
import { sampleWorkshop } from '../src/sample/sampleWorkshop';
import { BROWSER_FLAGS, browserPath } from './browser.mjs';

const PORT = '4896';
const say = (name: string, value: string): void => console.log(`${name}: ${value}`);

/** Opens the built application in Chromium, for as long as something is measured. */
const inBrowser = async <T>(measure: (page: Page) => Promise<T>): Promise<T> => {
  const server = spawn('node_modules/.bin/tsx', ['server/main.ts'], { env: { ...process.env, PORT } });
  await new Promise(resolve => server.stdout.once('data', resolve));
  const browser = await chromium.launch({ executablePath: browserPath() ?? '', args: BROWSER_FLAGS });
  try {
    return await measure(await browser.newPage());
  } finally {
    await browser.close();
    server.kill();
  }
};
const HOME = `http://127.0.0.1:${PORT}/`;

/**
 * Bytes of script that the first view of a workshop that is there fetches, as they come over the wire, until its pieces are shown, with what is
 * told above them.
 */
const firstLoad = async (page: Page): Promise<number> => {
  await page.goto(HOME, { waitUntil: 'networkidle' });
  const session = await page.context().newCDPSession(page);
  await session.send('Network.clearBrowserCache');
  const sizes: Array<Promise<number>> = [];
  page.on('requestfinished', r => {
    if (r.resourceType() === 'script') sizes.push(r.sizes().then(s => s.responseBodySize));
  });
  await page.goto(HOME, { waitUntil: 'commit' });
  await page.getByRole('region', { name: 'On the bench' }).waitFor();
  return (await Promise.all(sizes)).reduce((a, b) => a + b, 0);
};

/** The sample workshop sixty times over: a maker of four hundred pieces. */
const COPIES = 60;
const manyPieces = (): { text: string; pieces: number; entries: number } => {
  const { records, entries } = sampleWorkshop('2026-03-01T10:00:00.000Z');
  const copies = Array.from({ length: COPIES }, (_, i) => ({
    pieces: ofKind(records, pieceKind).map(p => ({ ...p, id: `${p.id}-${i}`, name: `${p.name} ${i}` })),
    entries: entries.map(e => ({ ...e, id: `${e.id}-${i}`, pieceId: `${e.pieceId}-${i}` })),
  }));
  const pieces = copies.flatMap(c => c.pieces);
  const all = {
    // Without their wools: those of the sample are here already, and it would be asked which to take.
    records: pieces,
    entries: copies.flatMap(c => c.entries),
    unread: [],
  };
  return {
    text: workshopText(all, '2026-03-01T10:00:00.000Z'),
    pieces: pieces.length,
    entries: all.entries.length,
  };
};

/** Milliseconds until something is there. */
const until = async (act: () => Promise<unknown>, there: Locator): Promise<string> => {
  const before = performance.now();
  await act();
  await there.waitFor();
  return `${(performance.now() - before).toFixed(0)} ms`;
};

const withMany = async (page: Page): Promise<void> => {
  const many = manyPieces();
  const name = `${many.pieces} pieces, ${many.entries} log entries`;
  await page.goto(`${HOME}file`, { waitUntil: 'networkidle' });
  const file = { name: 'many.json', mimeType: 'application/json', buffer: Buffer.from(many.text) };
  const input = page.locator('input[type=file]');
  say(`${name}: read in`, await until(() => input.setInputFiles(file), page.getByText(/^Opened:/)));
  const bench = page.getByRole('region', { name: 'On the bench' }).getByRole('link').first();
  say(`${name}: table, the first time`, await until(() => page.goto(HOME), bench));
  await page.waitForTimeout(15_000);
  say(`${name}: table, cold`, await until(() => page.goto(HOME), bench));
  await page.goto(`${HOME}pieces/sample-brick-sleeve-3/plan`, { waitUntil: 'networkidle' });
  const thickness = page.getByRole('textbox', { name: 'Thickness', exact: true });
  const grams = page.getByRole('textbox', { name: 'Total wool', exact: true });
  const shown = grams.and(page.locator(`:not([value="${await grams.inputValue()}"])`));
  await thickness.fill('7');
  say(
    `${name}: a thickness typed until the grams follow`,
    await until(() => page.keyboard.press('Enter'), shown),
  );
};

const lines = (pattern: RegExp): number =>
  execFileSync('git', ['ls-files', 'src', 'server', 'scripts', 'e2e'], { encoding: 'utf8' })
    .split('\n')
    .filter(f => /\.(ts|tsx|mjs|css)$/.test(f) && pattern.test(f))
    .reduce((sum, f) => sum + readFileSync(f, 'utf8').split('\n').length - 1, 0);

const tests = lines(/\.(test|spec)\.tsx?$|^e2e\/|\/testing\//);
const all = lines(/./);
say('lines', `${all}, of which tests ${tests} (${((100 * tests) / all).toFixed(1)} %)`);
say('script of the first view, compressed', `${((await inBrowser(firstLoad)) / 1000).toFixed(0)} kB`);
await inBrowser(withMany);
