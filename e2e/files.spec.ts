import { readFile, writeFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { SAMPLE, clearedWorkshop, expect, test, pieceAct } from './jorrit';

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
  await elsewhere.goto('/pieces/sample-kelp-cosy/bench');
  await expect(elsewhere.getByText('480 rolls')).toBeVisible();
  await elsewhere.close();
});

test('one piece goes out with its log and its wool', async ({ page, browser }, info) => {
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

test('reading the same file twice changes nothing', async ({ page }, info) => {
  await page.goto('/file');
  const out = await saveWorkshop(page);
  await readIn(page, info.outputPath('again.json'), out);
  await expect(
    page.getByText(`Opened: 0 new, 0 updated, ${SAMPLE.records} already here; 0 log entries`),
  ).toBeVisible();
  expect(content(await saveWorkshop(page))).toBe(content(out));
});

test('a broken file is refused with the path and the reason, and changes nothing', async ({ page }, info) => {
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
});

test('clearing the sample can be undone', async ({ page }) => {
  await clearedWorkshop(page);
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByText(/made-up pieces are here/)).toBeVisible();
});
