import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, field, test, pieceAct } from '../jorrit';
import { LONG } from '../tiers';

const FILE = new URL('../../fixtures/build-1/workshop.json', import.meta.url).pathname;

const saveTo = async (page: Page, path: string): Promise<void> => {
  if (!page.url().endsWith('/file')) await page.goto('/file');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  await download.saveAs(path);
};
const read = (page: Page, path: string): Promise<void> =>
  page.getByLabel('Choose a file').setInputFiles(path);
const place = (page: Page, name: string) => page.getByRole('banner').getByRole('link', { name, exact: true });

test('what was deleted comes back from the bin, after the tab was closed', async ({ page, context }) => {
  await page.goto('/pieces/sample-lamp-band/plan');
  await pieceAct(page, 'Delete');
  await expect(page.getByRole('link', { name: /Lamp band/ })).toBeHidden();
  await page.close();
  const later = await context.newPage();
  await later.goto('/file');
  const bin = later.getByRole('region', { name: 'Deleted' });
  await expect(bin).toContainText('90 days left');
  await bin.getByRole('button', { name: 'Bring back Lamp band for the loft' }).click();
  await expect(bin).toContainText('Nothing. What you delete stays here for 90 days.');
  await place(later, 'Table').click();
  await expect(later.getByRole('link', { name: /Lamp band/ })).toBeVisible();
});

test(
  'reading asks for each record that is otherwise here, and all of it is undone at once',
  LONG,
  async ({ page }, info) => {
    const path = info.outputPath('before.json');
    await saveTo(page, path);
    await page.goto('/pieces/sample-ferry-pad/plan');
    await field(page, 'Name of the piece').fill('Pad, renamed');
    await page.keyboard.press('Tab');
    await page.goto('/pieces/sample-lamp-band/plan');
    await pieceAct(page, 'Delete');
    await expect(page.getByRole('link', { name: /Lamp band/ })).toBeHidden();
    await place(page, 'File').click();
    await read(page, path);
    const asked = page.getByRole('region', { name: 'What to take' });
    const row = (name: RegExp) => asked.getByRole('listitem').filter({ hasText: name });
    await expect(asked.getByRole('listitem')).toHaveCount(2);
    await expect(row(/Lamp band/)).toContainText('deleted here: taking it brings it back');
    await expect(row(/Pad|ferry/)).toContainText(
      'changed here since: taking it goes back to the file’s version',
    );
    // Nothing that was changed here is written over unless it is asked for.
    await expect(row(/Pad|ferry/).getByRole('checkbox')).not.toBeChecked();
    await row(/Lamp band/)
      .getByRole('checkbox')
      .check();
    await asked.getByRole('button', { name: 'Take 1' }).click();
    await expect(page.getByText(/^Opened:/)).toBeVisible();
    await place(page, 'Table').click();
    await expect(page.getByRole('link', { name: /Lamp band/ })).toBeVisible();
    await expect(page.getByRole('link', { name: /Pad, renamed/ })).toBeVisible();
    await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: /Lamp band/ })).toBeHidden();
    await page.getByRole('banner').getByRole('button', { name: 'Redo' }).click();
    await expect(page.getByRole('link', { name: /Lamp band/ })).toBeVisible();
  },
);

test('going back to what the file holds is one tick, and one undo', LONG, async ({ page }, info) => {
  const path = info.outputPath('before.json');
  await saveTo(page, path);
  await page.goto('/pieces/sample-ferry-pad/plan');
  await field(page, 'Thickness').fill('11');
  await page.keyboard.press('Enter');
  await place(page, 'File').click();
  await read(page, path);
  const asked = page.getByRole('region', { name: 'What to take' });
  await asked.getByRole('checkbox').check();
  await asked.getByRole('button', { name: 'Take 1' }).click();
  await expect(page.getByText(/^Opened:/)).toBeVisible();
  await page.goto('/pieces/sample-ferry-pad/plan');
  await expect(field(page, 'Thickness')).toHaveValue('8');
});

test('a file of the build before is read in whole, and saved again', async ({ page }, info) => {
  await page.goto('/file');
  await page.getByRole('button', { name: 'Clear the sample' }).click();
  await expect(page.getByText('The sample is cleared.').first()).toBeVisible();
  await read(page, FILE);
  await expect(page.getByText(/^Opened: 13 new/)).toBeVisible();
  const path = info.outputPath('after.json');
  await saveTo(page, path);
  const ids = (text: string): readonly string[] => {
    const file: { readonly entries: ReadonlyArray<{ readonly id: string }> } = JSON.parse(text);
    return file.entries.map(e => e.id);
  };
  const [before, after] = [FILE, path].map(p => ids(readFileSync(p, 'utf8')));
  expect(after?.toSorted()).toEqual(before?.toSorted());
});

test('the licences of what is shipped stand beside it, and name every library of it', async ({ request }) => {
  const text = await (await request.get('/licences.txt')).text();
  const manifest: { readonly dependencies: Readonly<Record<string, string>> } = JSON.parse(
    readFileSync(new URL('../../package.json', import.meta.url), 'utf8'),
  );
  // These build and serve; they do not go into the browser.
  const here = /fastify|vite|tailwind|^tsx$|^@vitejs|expo-google/;
  for (const name of Object.keys(manifest.dependencies).filter(n => !here.test(n)))
    expect(text, name).toContain(name);
});
