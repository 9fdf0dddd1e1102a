import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { clearedWorkshop, expect, field, test, type } from './jorrit';
import { LONG } from './tiers';

const ledger = (page: Page) =>
  page.getByRole('list', { name: 'Ledger, the last first' }).getByRole('listitem');
const row = (page: Page, name: string) => page.getByRole('row').filter({ hasText: name });
const happened = (page: Page, what: string) => page.getByRole('radio', { name: what, exact: true }).click();
const enter = (page: Page) => page.getByRole('button', { name: 'Enter', exact: true }).click();

test('made, sold by the dozen, given, spoilt, counted: on hand, promised and free, each line taken back by another', async ({
  page,
}) => {
  await page.goto('/stock/product-ball');
  await expect(row(page, 'Drum ball')).toContainText('17');
  await type(page, 'How many', '30');
  await enter(page);
  await expect(ledger(page).first()).toContainText('30 made');
  await expect(ledger(page).first()).toContainText('47 on hand');
  // Thirty-six are promised.
  await expect(row(page, 'Drum ball').getByRole('cell').nth(2)).toHaveText('11');
  await happened(page, 'Sold');
  await page.getByRole('combobox', { name: 'Told in' }).selectOption('dozens');
  await type(page, 'Dozens', '2');
  await expect(field(page, 'Paid for all')).toHaveValue('158.00');
  await page
    .getByRole('combobox', { name: 'For', exact: true })
    .selectOption({ label: 'Winter shelf at the quay shop' });
  await enter(page);
  await expect(ledger(page).first()).toContainText('24 sold, Winter shelf at the quay shop, €158.00');
  // What went to the shop is not promised to it any more.
  await expect(row(page, 'Drum ball').getByRole('cell').nth(1)).toHaveText('12');
  await happened(page, 'Spoilt');
  await type(page, 'Dozens', '3');
  await expect(page.getByRole('status').filter({ hasText: 'on hand by the ledger' })).toContainText(
    'Only 23 are',
  );
  await enter(page);
  await expect(ledger(page).first()).toContainText('-13 on hand');
  await page.getByRole('banner').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(ledger(page).first()).toContainText('23 on hand');
  await page.getByRole('banner').getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(ledger(page).first()).toContainText('-13 on hand');
  await happened(page, 'Counted');
  await page.getByRole('combobox', { name: 'Told in' }).selectOption('singles');
  await type(page, 'How many', '20');
  await enter(page);
  await expect(ledger(page).first()).toContainText('20 counted (+33)');
  await page.getByRole('button', { name: 'Take back: 20 counted' }).click();
  await expect(ledger(page).first()).toContainText('36 spoilt');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const text = await readFile(await (await saved).path(), 'utf8');
  expect(text).toContain('Drum ball,sold,24,-24,23,158.00,EUR,Winter shelf at the quay shop,');
  await page.reload();
  await expect(ledger(page).first()).toContainText('36 spoilt');
});

test('a finished piece is put into stock with one tap, and once', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-brick-sleeve/plan');
  await page.getByRole('button', { name: 'Make again' }).click();
  await expect(field(page, 'Name of the piece')).toHaveValue('Brick bottle sleeve, again');
  const address = new URL(page.url()).pathname.replace('/plan', '/finish');
  await page.goto(address);
  await expect(field(page, 'Dry weight')).toBeVisible();
  for (const line of await page.getByRole('textbox', { name: /^[A-Z], / }).all()) {
    await line.fill('20');
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Mark as finished' }).click();
  await page.goto('/stock');
  const waiting = page.getByRole('list', { name: 'Finished, not in stock yet' });
  await waiting
    .getByRole('listitem')
    .filter({ hasText: 'Brick bottle sleeve, again' })
    .getByRole('button', { name: 'Put into stock' })
    .click();
  await expect(row(page, 'Bottle sleeve, brick').getByRole('cell').first()).toHaveText('2');
  await expect(waiting.getByRole('listitem').filter({ hasText: 'Brick bottle sleeve, again' })).toHaveCount(
    0,
  );
});

test(
  'what a piece costs, planned and as it came, and the price that leaves the margin; in any currency',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-brick-sleeve/cost');
    const table = page.getByRole('table');
    await expect(table.getByRole('columnheader')).toHaveText(['for', 'planned', 'came']);
    // 72 g at 6.40 € for 100 g.
    await expect(table.getByRole('row').filter({ hasText: 'Brick, combed tops' })).toContainText('€4.61');
    const total = async (): Promise<number> =>
      Number(
        (
          await table
            .getByRole('row')
            .filter({ hasText: 'Altogether' })
            .getByRole('cell')
            .last()
            .textContent()
        )?.replace('€', ''),
      );
    const cost = await total();
    const price = Number(
      (await page.getByText('Price of one for a margin').locator('strong').textContent())?.replace('€', ''),
    );
    // 30 % margin and 5 % fee, rounded up to the cent.
    expect(price).toBeGreaterThanOrEqual(cost / 0.65);
    expect(price).toBeLessThan(cost / 0.65 + 0.01);
    await page.goto('/hours');
    await page.getByRole('combobox', { name: 'Currency' }).selectOption('JPY');
    await type(page, 'An hour of hands', '1500');
    await page.goto('/pieces/sample-brick-sleeve/cost');
    await expect(table.getByRole('row').filter({ hasText: 'hands' })).toContainText('¥2,250');
    await page.goto('/hours');
    await page.getByRole('combobox', { name: 'Currency' }).selectOption('KWD');
    await type(page, 'An hour of hands', '4.5');
    await page.getByRole('combobox', { name: 'How sums are written' }).selectOption('de-DE');
    await page.goto('/pieces/sample-brick-sleeve/cost');
    await expect(table.getByRole('row').filter({ hasText: 'hands' })).toContainText('6,750');
    await page.goto('/shelf');
    await expect(page.getByText(/^Worth .*by your prices; 3 without a price or a count/)).toBeVisible();
  },
);

test('in an empty workshop stock and hours say what they are for', LONG, async ({ page }) => {
  await clearedWorkshop(page);
  await page.goto('/stock');
  await expect(page.getByText('Nothing is made for sale yet.')).toBeVisible();
  await page.getByRole('button', { name: 'New product' }).click();
  await type(page, 'Price of one', '4,50');
  await page.reload();
  await expect(field(page, 'Price of one')).toHaveValue('4.50');
  await page.goto('/hours');
  // Usual evenings, until somebody says otherwise; then they are the maker's own.
  await expect(page.getByLabel('Monday, from')).toHaveValue('19:00');
  await page.getByLabel('Monday, from').fill('18:15');
  await page.reload();
  await expect(page.getByLabel('Monday, from')).toHaveValue('18:15');
  await page.getByRole('button', { name: 'Undo', exact: true }).isDisabled();
});
