import type { Page } from '@playwright/test';
import { begin, expect, stage, test } from './jorrit';
import { LONG } from './tiers';

const press = async (page: Page, ...keys: readonly string[]): Promise<void> => {
  for (const key of keys) await page.keyboard.press(key);
};

/** Laid, and its skin holds. */
const toSkin = async (page: Page): Promise<void> => {
  await stage(page, 'Bench').click();
  await page.getByRole('button', { name: 'Everything is laid already' }).click();
  await expect(page.getByRole('region', { name: 'Next' })).toContainText('Wet it');
  await press(page, 'p', '3');
  await expect(page.getByRole('listitem').filter({ hasText: 'nothing lifts' })).toBeVisible();
};

test(
  'two bowls from one disc are each measured on their own once they are cut apart',
  LONG,
  async ({ page }) => {
    await begin(page, 'Two bowls from one disc');
    await toSkin(page);
    const lines = page.getByRole('list', { name: 'Measuring lines' });
    await expect(lines).toContainText('across the disc');
    // Read twice, for so great a leap is doubted once.
    for (let look = 0; look < 2; look += 1) {
      await press(page, 'm', '2', '4', 'Enter', '2', '4', 'Enter');
      await expect(page.getByRole('listitem').filter({ hasText: 'Measured A 24.0 cm' })).toHaveCount(
        look + 1,
      );
    }
    await page.getByRole('button', { name: 'Cut open' }).first().click();
    await expect(lines).toContainText('first bowl, mouth lying flat');
    await expect(lines).not.toContainText('across the disc');
    await press(page, 'm');
    const panel = page.getByRole('group', { name: 'Measure' });
    for (const [line, keys] of [
      ['M1', ['2', '3', '.', '5']],
      ['H1', ['1', '1', '.', '8']],
      ['M2', ['2', '4']],
      ['H2', ['1', '2']],
    ] as const) {
      await expect(panel).toContainText(line);
      await press(page, ...keys, 'Enter');
    }
    await expect(panel).toHaveCount(0);
    const logged = 'Measured M1 23.5 cm, H1 11.8 cm, M2 24.0 cm, H2 12.0 cm';
    await expect(page.getByRole('listitem').filter({ hasText: logged })).toBeVisible();
    await stage(page, 'Finish').click();
    await expect(page.getByLabel('H2, second bowl, depth lying flat')).toBeVisible();
    await expect(page.getByLabel('A, across the disc')).toHaveCount(0);
  },
);

test('a head opening is asked relaxed, and drawn over a fist', LONG, async ({ page }) => {
  await begin(page, 'Beret');
  await toSkin(page);
  await press(page, 'm', '3', '6', 'Enter', '3', '6', 'Enter');
  await expect(page.getByRole('listitem').filter({ hasText: 'Measured A 36.0 cm' })).toBeVisible();
  await page.getByRole('button', { name: 'Cut open' }).first().click();
  const lines = page.getByRole('list', { name: 'Measuring lines' });
  await expect(lines).toContainText('drawn over a fist');
  await press(page, 'm');
  const panel = page.getByRole('group', { name: 'Measure' });
  await press(page, 'Enter', 'Enter');
  await expect(panel).toContainText('H, head opening, around the inside. Let it lie or stand as it is');
  // What is offered is what it is to have.
  await expect(panel).toContainText('54.1');
  await press(page, '5', '1', 'Enter');
  await expect(panel).toContainText('Draw it over your fist as far as it gives easily.');
  await press(page, '5', '5', 'Enter');
  await expect(lines.getByRole('listitem').filter({ hasText: 'drawn over a fist' })).toContainText('55.0');
});

test('ears of a solid are cut when it is dry, and that stands in the log', LONG, async ({ page }) => {
  await begin(page, 'Egg');
  await stage(page, 'Bench').click();
  await page.getByRole('button', { name: 'Everything is laid already' }).click();
  await stage(page, 'Finish').click();
  await page.getByRole('button', { name: 'Ears, mouths or slits cut' }).click();
  await expect(page.getByRole('button', { name: 'Ears, mouths or slits are cut' })).toBeDisabled();
  await stage(page, 'Bench').click();
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Cut ears, mouths or slits, dry' }),
  ).toBeVisible();
});
