import { readFile, writeFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { field, SAMPLE, clearedWorkshop, expect, test, pieceAct } from './jorrit';
import { LONG } from './tiers';
import { within } from './within';

const saved = async (page: Page, click: () => Promise<void>): Promise<string> => {
  const [download] = await Promise.all([page.waitForEvent('download'), click()]);
  return readFile(await download.path(), 'utf8');
};
const saveWorkshop = (page: Page): Promise<string> =>
  saved(page, () => page.getByRole('button', { name: 'Save to a file' }).click());
/** A file without the moment it was written. */
const content = (text: string): string => text.replace(/"exportedAt": "[^"]*"/, '');
const readIn = async (page: Page, name: string, text: string): Promise<void> => {
  await writeFile(name, text);
  await page.getByLabel('Choose a file').setInputFiles(name);
};

test('the workshop goes out to a file and into another browser, and is the same there', async ({
  page,
  browser,
}, info) => {
  await page.goto('/file');
  const out = await saveWorkshop(page);
  const elsewhere = await browser.newPage();
  await clearedWorkshop(elsewhere);
  await readIn(elsewhere, info.outputPath('workshop.json'), out);
  await expect(elsewhere.getByText(`Opened: ${SAMPLE.records} new`)).toBeVisible();
  expect(content(await saveWorkshop(elsewhere))).toBe(content(out));
  await within(elsewhere, '/pieces/sample-kelp-cosy/bench');
  await expect(elsewhere.getByText('480 rolls')).toBeVisible();
  await elsewhere.close();
});

test('one piece goes out with its log and its wool', LONG, async ({ page, browser }, info) => {
  await page.goto('/pieces/sample-brick-sleeve/plan');
  const out = await saved(page, () => pieceAct(page, 'Save piece'));
  const elsewhere = await browser.newPage();
  await clearedWorkshop(elsewhere);
  await readIn(elsewhere, info.outputPath('piece.json'), out);
  await expect(elsewhere.getByText(/Opened: 4 new/)).toBeVisible();
  await elsewhere.getByRole('link', { name: 'Table' }).click();
  await elsewhere.getByRole('link', { name: /Brick bottle sleeve/ }).click();
  await expect(elsewhere.getByRole('row', { name: /shrinkage lengthwise/ })).toContainText('36 %');
  await elsewhere.close();
});

test('reading the same file twice changes nothing', LONG, async ({ page }, info) => {
  await page.goto('/file');
  const out = await saveWorkshop(page);
  await readIn(page, info.outputPath('again.json'), out);
  await expect(
    page.getByText(`Opened: 0 new, 0 updated, ${SAMPLE.records} already here; 0 log entries`),
  ).toBeVisible();
  expect(content(await saveWorkshop(page))).toBe(content(out));
});

test(
  'a broken file is refused with the path and the reason, and changes nothing',
  LONG,
  async ({ page }, info) => {
    await page.goto('/file');
    const out = await saveWorkshop(page);
    const cases: ReadonlyArray<readonly [string, RegExp]> = [
      [out.slice(0, 4000), /cannot be read as JSON/],
      ['%PDF-1.4', /cannot be read as JSON/],
      [out.replace('"along": 0.33', '"along": 1.33'), /pieces\[\d\]\.plan\.shrinkage\.along/],
      [out.replace(/"rolls": \d+/, '"rolls": -5'), /entries\[\d+\]\.act\.rolls/],
      [out.replace('"kind": "disc"', '"kind": "zeppelin"'), /pieces\[\d\]\.plan\.form\.kind: zeppelin/],
      [out.replace('"fileVersion": 1', '"fileVersion": 9'), /written by a later version/],
    ];
    for (const [i, [text, reason]] of cases.entries()) {
      await readIn(page, info.outputPath(`broken${i}.json`), text);
      await expect(page.getByRole('alert')).toContainText('Nothing here was changed');
      await expect(page.getByRole('alert')).toContainText(reason);
    }
    expect(content(await saveWorkshop(page))).toBe(content(out));
  },
);

test('clearing the sample can be undone', LONG, async ({ page }) => {
  await clearedWorkshop(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText(/made-up pieces are here/)).toBeVisible();
});

test('a day can be gone back to, one piece of it as well, and that undone', async ({ page }) => {
  await page.goto('/pieces/sample-fern-mat/plan');
  await field(page, 'Name of the piece').fill('Fern mat, as it was');
  const days = page.getByRole('region', { name: 'Days to go back to' });
  // At the first change of a day, a moment after it: the view is asked anew until it is there.
  await expect(async () => {
    await within(page, '/rack');
    await within(page, '/file');
    await expect(days.getByRole('button')).toHaveCount(1, { timeout: 1000 });
  }).toPass({ timeout: 30_000 });
  await within(page, '/pieces/sample-fern-mat/plan');
  await field(page, 'Name of the piece').fill('Spoilt by a slip');
  await within(page, '/pieces/sample-lamp-band/plan');
  await field(page, 'Name of the piece').fill('Another change, to be kept');
  await within(page, '/file');
  await days.getByRole('button').click();
  const asked = page.getByRole('region', { name: 'What to take' });
  await asked.getByRole('checkbox', { name: /Fern mat, as it was/ }).check();
  await asked.getByRole('button', { name: 'Take 1' }).click();
  await expect(page.getByText(/^Opened: 0 new, 1 updated/)).toBeVisible();
  await within(page, '/');
  await expect(page.getByRole('link', { name: /Fern mat, as it was/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Another change, to be kept/ })).toBeVisible();
});

test('a copy keeps itself in a file that was chosen: written when the page is put aside, crash-safe, and told when it cannot be', async ({
  page,
}) => {
  // A file of the browser's own file system stands in for one that a person chooses: it is written by the same calls.
  await page.addInitScript(() => {
    const pick = async (): Promise<unknown> =>
      (await navigator.storage.getDirectory()).getFileHandle('my-workshop.json', { create: true });
    Reflect.set(window, 'showSaveFilePicker', pick);
  });
  const inFile = (): Promise<string> =>
    page.evaluate(async () => {
      const folder = await navigator.storage.getDirectory();
      try {
        return await (await (await folder.getFileHandle('my-workshop.json')).getFile()).text();
      } catch {
        // Another took its place between it being found and read: the browser lets nobody read what was swapped away.
        return 'swapped';
      }
    });
  await page.goto('/file');
  await page.getByRole('button', { name: 'Keep a copy in a file by itself' }).click();
  await expect(page.getByText(/A copy keeps itself in my-workshop\.json, last on/)).toBeVisible();
  await expect.poll(inFile).toMatch(/^\{[^]*jorrit-workshop/);
  await expect(page.getByText(/nothing changed since/)).toBeVisible();
  // It is known again after a reload, and written when the page is put aside.
  await page.goto('/pieces/sample-fern-mat/plan');
  await field(page, 'Name of the piece').fill('Named at the end of a sitting');
  await page.waitForTimeout(3000);
  await page.evaluate(() => {
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true });
    document.dispatchEvent(new Event('visibilitychange'));
  });
  await expect.poll(inFile).toContain('Named at the end of a sitting');
  await page.goto('/file');
  await expect(page.getByText(/A copy keeps itself in my-workshop\.json/)).toBeVisible();
  // The file is gone, and its place with it: told, with what to do; the workshop itself is as it was.
  await page.getByRole('button', { name: 'No copy any more' }).click();
  await expect(page.getByRole('button', { name: 'Keep a copy in a file by itself' })).toBeVisible();
  await page.evaluate(() => {
    Reflect.set(window, 'showSaveFilePicker', async () => {
      const handle = await (
        await navigator.storage.getDirectory()
      ).getFileHandle('full.json', { create: true });
      Reflect.set(Object.getPrototypeOf(handle), 'createWritable', () =>
        Promise.reject(new Error('No space left.')),
      );
      return handle;
    });
  });
  await page.getByRole('button', { name: 'Keep a copy in a file by itself' }).click();
  await expect(page.getByText('The copy in full.json could not be written.')).toBeVisible();
});
