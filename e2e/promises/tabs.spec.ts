import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { seeded } from '../../src/core/numeric/random';
import { readWorkshop } from '../../src/files/readWorkshop';
import { expect, test } from '../jorrit';
import { pause } from './profile';
import { measured, rounds } from './rounds';
import { LONG } from '../tiers';

const BENCH = '/pieces/sample-kelp-cosy/bench';

const openTabs = async (page: Page, count: number, path: string): Promise<readonly Page[]> => {
  const others = await Promise.all(Array.from({ length: count - 1 }, () => page.context().newPage()));
  const tabs = [page, ...others];
  for (const tab of tabs) {
    await tab.goto(path);
    await tab.getByRole('radio', { name: 'Roll', exact: true }).click();
    await tab.getByRole('radio', { name: '30', exact: true }).click();
  }
  return tabs;
};
/**
 * Logs thirty rolls on the diagonal, which are never advised: what another tab logs meanwhile changes what is advised, and what was
 * only advised with it, but not what was chosen.
 */
const tapThirty = async (tab: Page): Promise<void> => {
  await expect(async () => {
    for (const name of ['Roll', 'diagonal', '30'])
      await tab.getByRole('radio', { name, exact: true }).click({ timeout: 1000 });
  }).toPass();
  await tab.getByRole('button', { name: 'Done Roll 30 diagonal' }).click();
};
const rollsOf = async (tab: Page): Promise<number> =>
  parseInt((await tab.locator('figcaption').textContent()) ?? '', 10);

for (const count of [2, 3])
  test(
    `${count} tabs that tap at once count every set, and show the same log`,
    LONG,
    async ({ page }, info) => {
      const taps = rounds(4, 40);
      test.setTimeout(60_000 + taps * count * 2000);
      const tabs = await openTabs(page, count, BENCH);
      const before = await rollsOf(page);
      const random = seeded(count);
      await Promise.all(
        tabs.map(async tab => {
          for (let i = 0; i < taps; i += 1) {
            await tapThirty(tab);
            await pause(400 + 300 * random());
          }
        }),
      );
      const after = before + 30 * taps * count;
      for (const tab of tabs) await expect(tab.locator('figcaption')).toContainText(`${after} rolls`);
      // Both take the last back at once: two entries go, not the same one twice.
      await Promise.all(tabs.map(tab => tab.keyboard.press('PageUp')));
      for (const tab of tabs)
        await expect(tab.locator('figcaption')).toContainText(`${after - 30 * count} rolls`);
      measured(info, `${taps * count} taps and ${count} undos at once, all counted once`);
    },
  );

test(
  'the sample is cleared in one tab while another taps: the saved file reads back',
  LONG,
  async ({ page, context }, info) => {
    const times = rounds(2, 30);
    test.setTimeout(60_000 + times * 15_000);
    let told = 0;
    for (let i = 0; i < times; i += 1) {
      const [bench] = await openTabs(await context.newPage(), 1, BENCH);
      await page.goto('/file');
      await expect(page.getByRole('button', { name: 'Clear the sample' })).toBeVisible();
      const tapping = (async () => {
        for (let n = 0; n < 8; n += 1) {
          await bench?.keyboard.press('Space');
          await pause(230);
        }
      })().catch(() => undefined);
      await pause(100 + 900 * seeded(i)());
      await page.getByRole('button', { name: 'Clear the sample' }).click();
      await expect(page.getByText('The sample is cleared.').first()).toBeVisible();
      await tapping;
      if ((await bench?.getByText(/is not here any more|not in this browser/).count()) ?? 0) told += 1;
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: 'Save to a file' }).click(),
      ]);
      const read = readWorkshop(await readFile(await download.path()), new Date().toISOString());
      expect(read.ok && read.value.snapshot.entries).toEqual([]);
      expect(read.ok && read.value.snapshot.unread).toEqual([]);
      await bench?.close();
      await page.getByRole('banner').getByRole('button', { name: 'Undo', exact: true }).click();
      await expect(page.getByRole('button', { name: 'Clear the sample' })).toBeVisible();
    }
    expect(told).toBe(times);
    measured(info, `${times} times, each file read back without an orphan`);
  },
);

test('two tabs change two figures of one plan, and each takes back only its own', async ({
  page,
  context,
}) => {
  const other = await context.newPage();
  for (const tab of [page, other]) await tab.goto('/pieces/sample-ferry-pad/plan');
  const figure = (tab: Page, name: string) => tab.getByRole('textbox', { name, exact: true });
  await figure(page, 'Thickness').fill('9');
  await page.keyboard.press('Enter');
  await expect(figure(other, 'Thickness')).toHaveValue('9');
  await figure(other, 'Diameter').fill('47');
  await other.keyboard.press('Enter');
  await expect(figure(page, 'Diameter')).toHaveValue(/^47/);
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  for (const tab of [page, other]) {
    await expect(figure(tab, 'Thickness')).not.toHaveValue('9');
    await expect(figure(tab, 'Diameter')).toHaveValue(/^47/);
  }
});
