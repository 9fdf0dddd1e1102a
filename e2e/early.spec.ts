import type { Page } from '@playwright/test';
import { expect, test } from './jorrit';
import { LONG } from './tiers';

const kept = (page: Page): Promise<boolean> =>
  page.evaluate(() => localStorage.getItem('jorrit.last-look') !== null);
const heading = (page: Page) => page.getByRole('heading', { name: 'On the table' });

/** Keeps the application from coming; gives what lets it come. */
const held = async (page: Page): Promise<() => void> => {
  let come = (): void => undefined;
  const gate = new Promise<void>(resolve => {
    come = resolve;
  });
  // A request of a page that was left is not there any more.
  await page.route(/\/assets\/react-/, route => gate.then(() => route.continue()).catch(() => undefined));
  return come;
};

test('the table as it was last seen is there before the application, its links lead on, and what is true takes its place', async ({
  page,
}) => {
  await page.goto('/');
  await expect.poll(() => kept(page)).toBe(true);
  const come = await held(page);
  await page.reload({ waitUntil: 'commit' });
  const last = page.locator('#last-look');
  await expect(last.getByRole('link', { name: /Kelp cosy/ })).toBeVisible();
  await expect(page.locator('#root')).toBeHidden();
  // Nobody answers a button yet.
  await expect(last.getByRole('button', { name: 'Dark' })).toBeDisabled();
  const box = () => heading(page).boundingBox();
  const before = await box();
  come();
  await expect(last).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Dark' })).toBeEnabled();
  expect(await box()).toEqual(before);
  // It has given way for good: a tap stays on the link that was tapped, though another leads to the same place.
  const table = page.getByRole('link', { name: 'Table', exact: true });
  await table.click();
  await page.evaluate(() => new Promise(resolve => setTimeout(resolve, 50)));
  await expect(table).toBeFocused();

  const comeAgain = await held(page);
  await page.reload({ waitUntil: 'commit' });
  // The browser gives no tap to a page that it has not shown yet.
  await page.evaluate(() => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve))));
  await last.getByRole('link', { name: 'Shelf' }).click({ noWaitAfter: true });
  await expect(page).toHaveURL(/\/shelf$/);
  comeAgain();
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
});

test('what is no longer on the table is not kept as it was last seen', LONG, async ({ page }) => {
  await page.goto('/');
  await expect.poll(() => kept(page)).toBe(true);
  await page.goto('/file');
  await page.getByRole('button', { name: 'Clear the sample' }).click();
  await expect(page.getByText('The sample is cleared.').first()).toBeVisible();
  expect(await kept(page)).toBe(false);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The table is empty.' })).toBeVisible();
});

/** Something of it is no part of a page, it ends in the middle, or it is something else. */
const DAMAGED = ['{"theme":"light","shown":[["p",{"1 b":""},["x"]]]}', '{"theme":', '[[]]'];

test('what was kept of it and is damaged keeps nothing shut', LONG, async ({ page }) => {
  await page.goto('/');
  await expect.poll(() => kept(page)).toBe(true);
  await page.goto('/icon.svg');
  for (const damaged of DAMAGED) {
    await page.evaluate(text => localStorage.setItem('jorrit.last-look', text), damaged);
    await page.goto('/');
    await expect(heading(page)).toBeVisible();
    await page.goto('/icon.svg');
  }
});
