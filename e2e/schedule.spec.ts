import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { clearedWorkshop, expect, field, pieceAct, test, type } from './jorrit';
import { LONG } from './tiers';
import { within } from './within';

const days = (page: Page) => page.getByRole('list', { name: 'Days' });
const day = (ahead: number): string => new Date(Date.now() + ahead * 86_400_000).toISOString().slice(0, 10);
const undo = (page: Page) =>
  page.getByRole('banner').getByRole('button', { name: 'Undo', exact: true }).click();

test(
  'an order says what it needs, what is short, and whether it will be ready; less of it or a later day would do',
  LONG,
  async ({ page }) => {
    await page.goto('/orders');
    await page.getByRole('radio', { name: 'a fair' }).click();
    await page.getByRole('button', { name: 'Promise it' }).click();
    await field(page, 'Name').fill('Rope walk fair');
    await page.getByRole('button', { name: 'Add a line' }).click();
    await page.getByRole('combobox', { name: 'Of what' }).selectOption({ label: 'Galley mat' });
    await page.getByRole('combobox', { name: 'Told in' }).selectOption('dozens');
    await type(page, 'Dozens', '8');
    await page.getByLabel('Wanted on').fill(day(21));
    const ready = page.getByRole('status');
    // Five hundred weeks are played through: on a busy machine that takes its time.
    await expect(ready).toContainText(/No chance to be ready|[1-7] in 10 to be ready/);
    await expect(ready).toContainText(/It can be ready (by|later)|It does not fit into your hours/);
    await expect(ready).toContainText(/About \d+ of the \d+ can be made by then/);
    const needs = page.getByRole('region', { name: 'What it needs' });
    await expect(needs.getByRole('row').filter({ hasText: 'Harbour blue' })).toContainText(/short/);
    await expect(needs.getByRole('row').filter({ hasText: 'Hours of hands' })).toContainText(/short/);
    await page.getByLabel('Wanted on').fill(day(330));
    await expect(ready).toContainText(/9 in 10|As good as certain/);
    // As many as are there, and wanted first of all: nothing is to be made.
    await page.getByLabel('Wanted on').fill(day(2));
    await type(page, 'Dozens', '0.25');
    await expect(page.getByText('All of it is there.')).toBeVisible();
  },
);

test(
  'what is put on the table for an order is worked there, and the order waits for it',
  LONG,
  async ({ page }) => {
    await page.goto('/orders/order-quay');
    const line = page.getByRole('region', { name: 'What is promised' }).getByRole('listitem').nth(1);
    await line.getByRole('button', { name: 'Put 2 on the table' }).click();
    await line.getByRole('link', { name: 'It is on the table' }).click();
    await expect(
      page.getByRole('heading', { name: 'Galley mat, for Winter shelf at the quay shop' }),
    ).toBeAttached();
    await page.goto('/schedule');
    await expect(days(page)).toContainText('Lay: 2 × Galley mat, for Winter shelf at the quay shop');
  },
);

test(
  'a block is moved by keys and by hand, what breaks is told, and it goes back to where it fits',
  LONG,
  async ({ page }) => {
    // The sample is laid from now on: late on a day the first of it comes a day later.
    await page.clock.setFixedTime(new Date('2027-03-01T08:00:00'));
    await page.goto('/schedule');
    const block = days(page)
      .getByRole('button', { name: /^Lay: Cosy for the small press/ })
      .first();
    await expect(block).toBeVisible();
    const chosen = page.getByRole('region', { name: 'Chosen task' });
    const begins = async (): Promise<number> => {
      const [, h = '', m = ''] = / (\d+):(\d+) to /.exec(await chosen.innerText()) ?? [];
      return Number(h) * 60 + Number(m);
    };
    await block.click();
    const before = await begins();
    await block.focus();
    await page.keyboard.press('ArrowUp');
    await expect(block).toHaveAttribute('aria-label', /put there by you/);
    await page.keyboard.press('ArrowRight');
    await expect(chosen.getByRole('heading', { name: 'Lay: Cosy for the small press' })).toBeVisible();
    // Far out of the hours: told, and still done; quicker than it is laid in anew, and every tap counts.
    await chosen.getByRole('button', { name: 'Day before' }).click();
    for (let i = 0; i < 24; i += 1) await chosen.getByRole('button', { name: '15 min later' }).click();
    await expect(chosen.getByRole('alert').filter({ hasText: 'outside your hours' })).toBeVisible();
    await expect.poll(begins).toBe(before + 25 * 15);
    await page.reload();
    await expect(
      days(page).getByRole('button', { name: /^Lay: Cosy for the small press.*put there by you/ }),
    ).toBeVisible();
    await days(page)
      .getByRole('button', { name: /^Lay: Cosy for the small press/ })
      .click();
    await chosen.getByRole('button', { name: 'Back to where it fits' }).click();
    await expect(chosen.getByRole('alert')).toHaveCount(0);
    await expect(block).not.toHaveAttribute('aria-label', /put there by you/);
  },
);

test('a block is dragged to another day, stays there, and is let go by undo', async ({ page }) => {
  // High enough for three days to be in sight at once, whatever the time of day leaves of the first.
  await page.setViewportSize({ width: 1280, height: 1900 });
  await page.goto('/schedule');
  const blocks = days(page).locator('[data-task]');
  await expect(blocks.nth(1)).toBeVisible();
  // What was promised stands above the days: its answer comes later, and may move them.
  await expect(page.getByText('Working it out …')).toHaveCount(0);
  const task = (await blocks.nth(1).getAttribute('data-task')) ?? '';
  const block = days(page).locator(`[data-task="${task}"]`).first();
  const two = days(page)
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading') })
    .nth(2);
  const from = await block.boundingBox();
  const to = await two.locator('ul').boundingBox();
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + from.width / 2, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + 40, { steps: 4 });
  // Into the lane above the words of the day after tomorrow.
  await page.mouse.move(from.x + from.width / 2, to.y - 30, { steps: 8 });
  await page.mouse.up();
  const moved = days(page).getByRole('button', { name: /put there by you/ });
  await expect(moved).toHaveCount(1);
  await expect(page.getByRole('region', { name: 'Chosen task' })).toBeVisible();
  await expect(two.getByRole('button', { name: /put there by you/ })).toBeVisible();
  await undo(page);
  await expect(moved).toHaveCount(0);
});

test('a tap chooses a block, Escape lays it back, and days that are out of sight come to the hand', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/schedule');
  const block = days(page).locator('[data-task]').nth(1);
  // What was promised has its words by then: they would move the days below the mouse.
  await expect(page.getByRole('region', { name: 'Promised' })).not.toContainText('Working it out');
  await block.click();
  await expect(page.getByRole('region', { name: 'Chosen task' })).toBeVisible();
  const press = async (): Promise<number> => {
    const from = await block.boundingBox();
    if (!from) throw new Error('nothing to drag');
    const middle = from.x + from.width / 2;
    await page.mouse.move(middle, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(middle, from.y + 80, { steps: 4 });
    await expect(days(page).locator('.opacity-40')).toHaveCount(1);
    return middle;
  };
  await press();
  await page.keyboard.press('Escape');
  await expect(days(page).locator('.opacity-40')).toHaveCount(0);
  await page.mouse.up();
  const moved = days(page).getByRole('button', { name: /put there by you/ });
  const x = await press();
  // Down to the edge, where the days go by until the last of them.
  await page.mouse.move(x, 700, { steps: 4 });
  await page.mouse.move(x, 795, { steps: 4 });
  const last = days(page)
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading') })
    .last();
  const lane = last.locator('[data-day]');
  await expect(lane).toBeInViewport({ ratio: 1 });
  // Away from the edge the days lie still; then, as by eye, to where its day is lit.
  await page.mouse.move(x, 400, { steps: 4 });
  await expect(async () => {
    const there = await lane.boundingBox();
    await page.mouse.move(x, (there?.y ?? 0) + (there?.height ?? 0) / 2, { steps: 4 });
    await expect(lane).toHaveClass(/outline-laid/, { timeout: 1000 });
  }).toPass();
  await page.mouse.up();
  await expect(moved).toHaveCount(1);
  await expect(last.getByRole('button', { name: /put there by you/ })).toBeVisible();
});

test('laid in as late as it may be; days off are kept; out as a calendar file', LONG, async ({ page }) => {
  await page.goto('/hours');
  await page.getByLabel('Day off').fill(day(1));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.goto('/schedule');
  await expect(
    days(page)
      .getByRole('listitem')
      .filter({ has: page.getByRole('heading') })
      .nth(1),
  ).toContainText('nothing to do');
  await page.getByRole('radio', { name: 'as late as it may be' }).click();
  await expect(page.getByRole('radio', { name: 'as late as it may be' })).toBeChecked();
  await page.getByRole('radio', { name: 'as early as it can be' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a calendar file' }).click();
  const text = await readFile(await (await saved).path(), 'utf8');
  expect(text.startsWith('BEGIN:VCALENDAR')).toBe(true);
  expect(text.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(10);
  expect(text).toMatch(/UID:sample-press-cosy-1-lay\.1@jorrit\.local/);
});

test('done by the log itself: what is dry asks for no more drying', LONG, async ({ page }) => {
  await page.goto('/schedule');
  const drying = days(page).getByRole('img', { name: /^Dries: Cosy in kelp|^Dries:/ });
  await expect(drying.first()).toBeVisible();
  const before = await drying.count();
  await page.goto('/rack');
  await page.getByRole('button', { name: 'It is dry' }).first().click();
  await expect(page.getByText(/: dried\./).first()).toBeVisible();
  await page.goto('/schedule');
  await expect(days(page)).toBeVisible();
  await expect.poll(() => drying.count()).toBeLessThan(before);
});

test('whether the slippers will be dry by the birthday: one piece promised by a day, in an empty workshop', async ({
  page,
}) => {
  await clearedWorkshop(page);
  await within(page, '/schedule');
  await expect(page.getByText('Nothing to lay in yet.')).toBeVisible();
  await within(page, '/new');
  await page
    .getByRole('button', { name: /slipper/i })
    .first()
    .click();
  await pieceAct(page, 'Promise it by a day');
  await page.getByLabel('Wanted on').fill(day(40));
  await expect(page.getByRole('status')).toContainText(/to be ready by/);
  await page.getByRole('link', { name: 'Schedule', exact: true }).click();
  await expect(days(page)).toContainText(/Lay: 2 × |Lay: /);
  await within(page, '/orders');
  await expect(page.getByRole('list', { name: 'Promised' })).toContainText('gift');
});

test(
  'what is handed over is sold or given, stands in stock, and can be opened again',
  LONG,
  async ({ page }) => {
    await page.goto('/orders/order-quay');
    await page.getByRole('button', { name: 'Hand it over' }).click();
    await expect(page.getByText(/^Handed over on/)).toBeVisible();
    await page.goto('/stock/product-mat');
    await expect(
      page.getByRole('list', { name: 'Ledger, the last first' }).getByRole('listitem').first(),
    ).toContainText('5 sold, Winter shelf at the quay shop, €195.00');
    await page.goto('/orders');
    await expect(page.getByRole('region', { name: 'Handed over' })).toContainText(
      'Winter shelf at the quay shop',
    );
  },
);
