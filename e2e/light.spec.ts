import type { Page } from '@playwright/test';
import { lightPicture } from '../src/core/light/lightScene';
import { expect, test } from './jorrit';
import { bitmapOf, tableOutline } from './pictureFiles';
import { LONG } from './tiers';

const openLight = async (page: Page): Promise<void> => {
  await page.goto('/pieces/sample-kelp-cosy/bench');
  await expect(page.getByText('480 rolls')).toBeVisible();
  await page.keyboard.press('t');
  await page.getByRole('button', { name: 'By a picture …' }).click();
};
const pick = (page: Page, buffer: Buffer): Promise<void> =>
  page.getByLabel('Open a picture').setInputFiles({ name: 'window.bmp', mimeType: 'image/bmp', buffer });

test('a picture against the light shows where it is thin; what is chosen is marked, to be mended', async ({
  page,
}) => {
  await openLight(page);
  const places = [
    { at: { x: -60, y: 60 }, acrossMm: 34, share: 0.35 },
    { at: { x: 90, y: 90 }, acrossMm: 30, share: 0.4 },
  ];
  await pick(page, bitmapOf(lightPicture({ outline: [tableOutline()], places, seed: 77, longPx: 600 })));
  const panel = page.getByRole('group', { name: 'Against the light' });
  await expect(panel.getByRole('status')).toHaveText('2 thin places, thinnest first.');
  await panel.getByRole('checkbox').nth(1).uncheck();
  await page.getByRole('button', { name: 'Mark 1 to mend' }).click();
  const log = page.getByRole('region', { name: 'Log' });
  await expect(log.getByText('Problem: a thin spot or a hole')).toHaveCount(1);
  await expect(log.getByText(/pale spots/)).toBeVisible();
});

test(
  'a picture that cannot be read says why; a made-up one is to try, and saves nothing',
  LONG,
  async ({ page }) => {
    await openLight(page);
    const entries = await page.getByRole('region', { name: 'Log' }).getByRole('listitem').count();
    const scene = { outline: [tableOutline()], places: [], seed: 78, longPx: 500 };
    await pick(page, bitmapOf(lightPicture({ ...scene, beyond: 0.4 })));
    const panel = page.getByRole('group', { name: 'Against the light' });
    await expect(panel.getByRole('alert')).toContainText('runs out of the picture');
    await pick(page, bitmapOf(lightPicture({ ...scene, onTable: true })));
    await expect(panel.getByRole('alert')).toContainText('No even light');
    await panel.getByRole('button', { name: 'Try it with a made-up one' }).click();
    await expect(panel.getByText('A made-up picture: nothing of it is saved.')).toBeVisible();
    await page.getByRole('button', { name: 'Back', exact: true }).click();
    await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(entries);
  },
);
