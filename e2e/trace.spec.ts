import type { Polygon } from '../src/core/outline/polygon';
import { photoOf } from '../src/core/photo/scene';
import { begin, clearedWorkshop, expect, figure, test } from './jorrit';
import { bitmapOf } from './pictureFiles';
import { LONG } from './tiers';

/** A mitten, roughly: drawn on a sheet, mm. */
const DRAWN: Polygon = [
  { x: -100, y: -40 },
  { x: 60, y: -45 },
  { x: 95, y: -20 },
  { x: 95, y: 20 },
  { x: 60, y: 45 },
  { x: -100, y: 40 },
];

test('an outline drawn on a sheet is traced from a picture, and is the piece’s', LONG, async ({ page }) => {
  await clearedWorkshop(page);
  await page.goto('/new');
  await begin(page, 'Free shape, flat');
  await page.getByRole('button', { name: 'Trace it from a picture' }).click();
  await page.getByRole('combobox', { name: 'What is traced' }).selectOption('drawn');
  const picture = photoOf({
    outline: DRAWN,
    reference: 'a4',
    seed: 12,
    longPx: 1000,
    table: 'plain',
    tableColour: [0.3, 0.27, 0.24],
    isDrawn: true,
  });
  await page
    .getByLabel('Open a picture')
    .setInputFiles({ name: 'sheet.bmp', mimeType: 'image/bmp', buffer: bitmapOf(picture.pixels) });
  await expect(page.getByText(/points\. Ease is added by the plan/)).toBeVisible();
  const before = await figure(page, 'Length');
  await page.getByRole('button', { name: 'Take this outline' }).click();
  await expect(page.getByText('Ease is added by the plan')).toHaveCount(0);
  // Whichever way the sheet lay in the picture: 19.5 by 9 cm, so never longer than 21.5 nor shorter than 9.
  await expect.poll(() => figure(page, 'Length')).not.toBe(before);
  const [length, width] = [await figure(page, 'Length'), await figure(page, 'Width')];
  for (const cm of [length, width]) {
    expect(cm).toBeGreaterThan(8.8);
    expect(cm).toBeLessThan(21.8);
  }
});
