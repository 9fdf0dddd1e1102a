import type { Page } from '@playwright/test';
import { lightPicture } from '../src/core/light/lightScene';
import type { Pixels } from '../src/core/picture/pixels';
import { planOf } from '../src/core/plan/planOf';
import { turnFor } from '../src/drawing/orient';
import type { Piece } from '../src/records/piece';
import { sampleWorkshop } from '../src/sample/sampleWorkshop';
import { expect, test } from './jorrit';

/** The laid outline of the cosy of the sample, as it lies on the table. */
const outline = () => {
  const cosy = sampleWorkshop('2026-11-02T10:00:00.000Z').records.find(
    (r): r is Piece => r.kind === 'piece' && r.id === 'sample-kelp-cosy',
  );
  const plan = cosy ? planOf(cosy.plan) : null;
  if (!plan?.ok) throw new Error('The cosy has no plan.');
  const { laid, alongOnTable } = plan.value.form;
  return laid.points.map(turnFor(alongOnTable));
};

/** A picture as a bitmap file of 24 bits, as any browser reads it. */
const bitmapOf = ({ width, height, data }: Pixels): Buffer => {
  const row = Math.ceil((3 * width) / 4) * 4;
  const file = Buffer.alloc(54 + row * height);
  file.write('BM', 0);
  file.writeUInt32LE(file.length, 2);
  file.writeUInt32LE(54, 10);
  file.writeUInt32LE(40, 14);
  file.writeInt32LE(width, 18);
  file.writeInt32LE(height, 22);
  file.writeUInt16LE(1, 26);
  file.writeUInt16LE(24, 28);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1)
      for (let c = 0; c < 3; c += 1)
        file[54 + (height - 1 - y) * row + 3 * x + 2 - c] = data[4 * (y * width + x) + c] ?? 0;
  return file;
};

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
  await pick(page, bitmapOf(lightPicture({ outline: [outline()], places, seed: 77, longPx: 600 })));
  const panel = page.getByRole('group', { name: 'Against the light' });
  await expect(panel.getByRole('status')).toHaveText('2 thin places, thinnest first.');
  await panel.getByRole('checkbox').nth(1).uncheck();
  await page.getByRole('button', { name: 'Mark 1 to mend' }).click();
  const log = page.getByRole('region', { name: 'Log' });
  await expect(log.getByText('Problem: a thin spot or a hole')).toHaveCount(1);
  await expect(log.getByText(/pale spots/)).toBeVisible();
});

test('a picture that cannot be read says why; a made-up one is to try, and saves nothing', async ({
  page,
}) => {
  await openLight(page);
  const entries = await page.getByRole('region', { name: 'Log' }).getByRole('listitem').count();
  const scene = { outline: [outline()], places: [], seed: 78, longPx: 500 };
  await pick(page, bitmapOf(lightPicture({ ...scene, beyond: 0.4 })));
  const panel = page.getByRole('group', { name: 'Against the light' });
  await expect(panel.getByRole('alert')).toContainText('runs out of the picture');
  await pick(page, bitmapOf(lightPicture({ ...scene, onTable: true })));
  await expect(panel.getByRole('alert')).toContainText('No even light');
  await panel.getByRole('button', { name: 'Try it with a made-up one' }).click();
  await expect(panel.getByText('A made-up picture: nothing of it is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(entries);
});
