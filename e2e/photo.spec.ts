import { scalePoints } from '../src/core/outline/polygon';
import { photoOf } from '../src/core/photo/scene';
import { expectPanelFit } from './axe';
import { bitmapOf, laidOutline } from './pictureFiles';
import { expect, test } from './jorrit';
import { LONG } from './tiers';

const NOW = { x: 0.83, y: 0.85 };
const photoFile = (more: { readonly card?: 'none' } = {}) => ({
  name: 'table.bmp',
  mimeType: 'image/bmp',
  buffer: bitmapOf(
    photoOf({
      outline: scalePoints(laidOutline(), NOW),
      reference: 'card',
      seed: 9,
      longPx: 800,
      table: 'plain',
      ...more,
    }).pixels,
  ),
});

test(
  'a picture with a card beside it measures the piece, and its range goes into the log',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-kelp-cosy/bench');
    await expect(page.getByText('480 rolls')).toBeVisible();
    await page.keyboard.press('m');
    await page.getByRole('button', { name: 'By a picture …' }).click();
    const panel = page.getByRole('group', { name: 'By a picture' });
    const open = (file: ReturnType<typeof photoFile>) =>
      page.getByLabel('Open a picture').setInputFiles(file);
    await open(photoFile({ card: 'none' }));
    await expect(panel.getByRole('alert')).toContainText('Nothing of the size you chose');
    await expect(panel.getByRole('button', { name: 'Tap on the card' })).toBeVisible();
    await open(photoFile());
    await expect(panel.getByRole('status')).toContainText(/A.*cm.*±/);
    await expect(panel.getByRole('img', { name: /Its edge now/ })).toBeVisible();
    await expectPanelFit(page, panel);
    // An end moved by a key: the line is longer or shorter by it, and says so.
    await panel.getByRole('button', { name: /^First end of A/ }).press('ArrowLeft');
    await expect(panel.getByText('by hand')).toHaveCount(1);
    await panel.getByRole('button', { name: 'Keep it in the diary' }).click();
    await expect(page.getByText('The picture is in the diary.', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: /^Save A/ }).click();
    const log = page.getByRole('region', { name: 'Log' });
    await expect(log.getByText(/Measured by a picture A .* ± /)).toBeVisible();
  },
);

test('a made-up picture is to try: it is measured, and nothing of it is saved', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-kelp-cosy/bench');
  await expect(page.getByText('480 rolls')).toBeVisible();
  await page.keyboard.press('m');
  await page.getByRole('button', { name: 'By a picture …' }).click();
  const panel = page.getByRole('group', { name: 'By a picture' });
  await panel.getByRole('radio', { name: 'Sheet of A4' }).click();
  await panel.getByRole('button', { name: 'Try it with a made-up one' }).click();
  await expect(panel.getByText('A made-up picture: nothing of it is saved.')).toBeVisible({
    timeout: 40_000,
  });
  await expect(page.getByRole('button', { name: /^Save/ })).toHaveCount(0);
});
