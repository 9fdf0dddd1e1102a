import { begin, expect, field, stage, test } from './jorrit';
import { LONG } from './tiers';

test(
  'from the first wisp: a note, a look, and wool that takes over where a colour ran out',
  LONG,
  async ({ page }) => {
    await begin(page, 'Bottle sleeve');
    await page.getByRole('combobox', { name: 'Wool' }).selectOption({ label: 'Kelp, carded batt' });
    await stage(page, 'Bench').click();
    const laying = page.getByRole('region', { name: 'Laying' });
    await expect(laying).toContainText('Lay layer 1');
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('The batt is damp.');
    await page.getByRole('button', { name: 'Add to the log' }).click();
    await expect(laying).toContainText('Lay layer 1');
    await page.getByRole('button', { name: 'Add wool' }).click();
    const panel = page.getByRole('group', { name: 'Add wool', exact: true });
    await panel.getByRole('button', { name: 'Brick' }).first().click();
    await panel.getByRole('button', { name: 'The other ran out' }).click();
    for (const key of ['4', '.', '5', 'Enter']) await page.keyboard.press(key);
    await expect(panel).toHaveCount(0);
    await expect(laying).toContainText('Kelp');
    await page.getByRole('button', { name: 'Laid', exact: true }).click();
    await expect(laying).toContainText('Brick');
    await stage(page, 'Wool').click();
    await expect(page.getByText('and 4.5 g added at the bench')).toBeVisible();
  },
);

test(
  'a dozen cores are weighed one after the other, by their own weight, and covered in another wool',
  LONG,
  async ({ page }) => {
    await begin(page, 'Batch of balls with a core');
    await page.getByRole('radio', { name: 'of so many grams' }).click();
    await expect(field(page, 'Core weighs')).toHaveValue('42.5');
    await stage(page, 'Wool').click();
    await page.getByRole('combobox', { name: 'Wool 1 of core' }).selectOption({ label: 'Fog, carded batt' });
    await page
      .getByRole('combobox', { name: 'Wool 1 of cover' })
      .selectOption({ label: 'Kelp, carded batt' });
    const now = page.getByTestId('pile-wanted');
    await expect(now).toHaveText('42.5 g');
    await expect(page.getByText('Piece 1, core').first()).toBeVisible();
    await page.getByRole('combobox', { name: 'Piles of' }).selectOption('12');
    await expect(page.getByRole('button', { name: 'piece 12, cover' })).toBeVisible();
  },
);

test(
  'what no bench ever takes is not taken: no wool, tons of it, a figure that is none, a note of nothing',
  LONG,
  async ({ page }) => {
    await begin(page, 'Bottle sleeve');
    await page.getByRole('combobox', { name: 'Wool' }).selectOption({ label: 'Kelp, carded batt' });
    await stage(page, 'Bench').click();
    const entries = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
    await page.getByRole('button', { name: 'Add wool' }).click();
    const panel = page.getByRole('group', { name: 'Add wool', exact: true });
    const added = page.getByRole('button', { name: 'Added' });
    for (const typed of ['', '0', '.', '4.5.5', '999999', '5000.1']) {
      await page.keyboard.type(typed);
      await expect(panel.getByLabel('How much')).toContainText(typed === '' ? '–' : typed);
      await expect(added, typed).toBeDisabled();
      await page.keyboard.press('Enter');
      await expect(panel, typed).toBeVisible();
      for (const _ of typed) await page.keyboard.press('Backspace');
    }
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Note', exact: true }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('  \n ');
    await expect(page.getByRole('button', { name: 'Add to the log' })).toBeDisabled();
    await page.keyboard.press('Escape');
    await expect(entries).toHaveCount(0);
  },
);
