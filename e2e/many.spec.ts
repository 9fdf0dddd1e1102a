import type { Page } from '@playwright/test';
import { A_HAND_MS, begin, expect, stage, test, type } from './jorrit';
import { LONG } from './tiers';

const pieces = (page: Page) => page.getByRole('region', { name: 'Pieces' });

test('a dozen balls go one after the other: done, put aside, and taken up again', LONG, async ({ page }) => {
  await begin(page, 'Ball');
  await type(page, 'How many alike', '3');
  await stage(page, 'Bench').click();
  await page.getByRole('button', { name: 'Recipe' }).click();
  await page.getByRole('radio', { name: 'by feel' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Everything is laid already' }).click();
  await expect(pieces(page)).toContainText('Piece 1 in hand. Done 0 of 3');
  const great = page.getByRole('button', { name: /^(Done|Test it$)/ }).first();
  let skinHolds = false;
  // Until the great button says that it is done.
  for (let taps = 0; taps < 40; taps += 1) {
    await expect(great).toBeEnabled();
    const says = (await great.textContent()) ?? '';
    await great.click();
    if (says.includes('Piece 1 done')) break;
    if (says === 'Test it') {
      const grade = skinHolds ? 'Squeeze: hardly gives' : 'Finger roll: hairs do not move';
      await page.getByRole('button', { name: grade }).click();
      skinHolds = true;
    }
    await page.waitForTimeout(A_HAND_MS);
  }
  await expect(pieces(page)).toContainText('Piece 2 in hand. Done 1 of 3');
  await page.getByRole('button', { name: 'Put aside: too dry' }).click();
  await expect(pieces(page)).toContainText('Piece 3 in hand. Done 1 of 3, 1 put aside');
  await pieces(page).getByRole('button', { name: 'Pieces' }).click();
  const panel = page.getByRole('group', { name: 'Pieces' });
  await expect(panel.getByRole('button', { name: '2 too dry' })).toBeVisible();
  await panel.getByRole('button', { name: '2 too dry' }).click();
  await expect(pieces(page)).toContainText('Piece 2 in hand');
  await page.keyboard.press('PageUp');
  await expect(pieces(page)).toContainText('Piece 3 in hand');
});
