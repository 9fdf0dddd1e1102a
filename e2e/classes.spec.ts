import { execFileSync } from 'node:child_process';
import { expect, field, test, type } from './jorrit';
import { LONG } from './tiers';
import { within } from './within';

test(
  'a class is planned from a piece: kits by the head, with spares, and an adult where children could be hurt',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-press-cosy/wool');
    await page.getByRole('button', { name: 'Plan a class with it' }).click();
    await type(page, 'People', '12');
    await expect(page.getByRole('heading', { name: '14 kits, 2 of them spare' })).toBeVisible();
    const kits = page.getByRole('region', { name: '14 kits, 2 of them spare' });
    await expect(kits).toContainText('14 × resist, cut out');
    await expect(page.getByText('40 °C')).toHaveCount(0);
    await page.getByRole('radio', { name: 'children' }).click();
    await expect(page.getByRole('list', { name: 'With children' })).toContainText(
      'Water no warmer than about 40 °C (104 °F); an adult pours it.',
    );
    // Twice as slow is twice as long, but for the showing.
    await page.getByLabel('Begins at').fill('14:00');
    const times = page.getByRole('list', { name: 'Times' });
    await expect(times.getByRole('listitem').first()).toContainText(
      '14:00 Lay the wool: show for 10 min, then about',
    );
    const before = await times.getByRole('listitem').last().textContent();
    await type(page, 'Slower than you, ×', '3');
    await expect(times.getByRole('listitem').last()).not.toHaveText(before ?? '');
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save the list as PDF' }).click();
    const words = execFileSync('pdftotext', ['-layout', await (await saved).path(), '-'], {
      encoding: 'utf8',
    });
    for (const line of [
      '14 kits, 2 of them spare',
      '12 × towel',
      'Before hands are wet',
      '14:00 Lay the wool',
      'With children',
    ])
      expect(words).toContain(line);
    const cards = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save 12 recipe cards as PDF' }).click();
    const pages = execFileSync('pdfinfo', [await (await cards).path()], { encoding: 'utf8' });
    expect(pages).toMatch(/Pages:\s+12/);
  },
);

test(
  'kits that are packed are off the shelf, and what comes back unused is on it again',
  LONG,
  async ({ page }) => {
    await page.goto('/shelf/wool-kelp');
    const left = field(page, 'On the shelf');
    const grams = async (): Promise<number> => Number.parseFloat(await left.inputValue());
    const full = await grams();
    await within(page, '/classes/class-fern');
    await page.getByRole('button', { name: 'Add a part' }).click();
    await page
      .getByRole('combobox', { name: 'Part', exact: true })
      .selectOption({ label: 'Tarred cord, thin' });
    await type(page, 'In each', '0.5');
    await page.getByRole('button', { name: 'The kits are packed' }).click();
    await expect(page.getByText(/11 kits were packed on/)).toBeVisible();
    await within(page, '/shelf/wool-kelp');
    // Eleven kits of forty grams.
    await expect.poll(grams).toBeCloseTo(full - 440, 1);
    await within(page, '/classes/class-fern');
    await type(page, 'Kits that came back unused', '3');
    await within(page, '/parts');
    const cord = page
      .getByRole('list', { name: 'Parts' })
      .getByRole('listitem')
      .filter({
        has: page.getByRole('button', { name: 'Delete Tarred cord, thin' }),
      });
    // 18 m, less eleven halves, and three halves back.
    await expect(cord.getByRole('textbox', { name: 'On the shelf' })).toHaveValue('14');
    await within(page, '/shelf/wool-kelp');
    await expect.poll(grams).toBeCloseTo(full - 320, 1);
    await within(page, '/classes');
    await expect(page.getByRole('list', { name: 'Classes' })).toContainText('held');
  },
);
