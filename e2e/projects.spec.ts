import { readFile } from 'node:fs/promises';
import { expect, test } from './jorrit';
import { LONG } from './tiers';

test(
  'what is short is known before the first wisp: needs of parts and wool summed over all that is planned',
  LONG,
  async ({ page }) => {
    await page.goto('/projects');
    const needs = page.getByRole('region', { name: 'What everything planned needs' });
    await expect(needs.getByRole('listitem').filter({ hasText: 'Tarred cord' })).toContainText(
      /3 m of 18 m.*enough/,
    );
    await expect(needs.getByRole('listitem').filter({ hasText: 'Oat, undyed batt' })).toContainText(/ g of /);
    await page.getByRole('link', { name: 'Garland for the boat shed', exact: true }).click();
    await expect(page.getByText('12 short: it is planned 12 times.')).toBeVisible();
    await page.getByRole('textbox', { name: 'How much cord' }).fill('20');
    await page.keyboard.press('Tab');
    await page.getByRole('link', { name: 'Projects', exact: true }).click();
    await expect(needs.getByRole('listitem').filter({ hasText: 'Tarred cord' })).toContainText('2 m short');
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(needs.getByRole('listitem').filter({ hasText: 'Tarred cord' })).toContainText('enough');
  },
);

test('earrings are put together: parts chosen, joins that fit, steps ticked, and the whole stands in the record', async ({
  page,
}) => {
  await page.goto('/projects');
  await page.getByRole('combobox', { name: 'Put together' }).selectOption({ label: 'A pair of earrings' });
  await page.getByRole('button', { name: 'New project' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the project' })).toHaveValue('A pair of earrings');
  await page.getByRole('combobox', { name: 'Which cap' }).selectOption({ label: 'Brass caps, small' });
  await page
    .getByRole('combobox', { name: 'Which ball or drop' })
    .selectOption({ label: 'Balls for the drying drum' });
  // Balls of 7 cm in caps of 9 mm.
  await expect(page.getByText(/wider than the cap: it bulges out/)).toBeVisible();
  await page
    .getByRole('combobox', { name: 'Which ball or drop' })
    .selectOption({ label: 'Seat pad for the ferry bench' });
  await page.getByLabel('Wanted on').fill('2026-12-24');
  await page.getByRole('checkbox', { name: 'Step 1 is done' }).check();
  await page.getByRole('button', { name: 'It is put together' }).click();
  await expect(page.getByText('It is put together, and stands in the record.')).toBeVisible();
  await page.getByRole('link', { name: 'Parts on the shelf' }).click();
  const caps = page.getByRole('list', { name: 'Parts' }).getByRole('listitem').nth(0);
  await expect(caps.getByRole('textbox', { name: 'Name' })).toHaveValue('Brass caps, small');
  await expect(caps.getByRole('textbox', { name: 'On the shelf' })).toHaveValue('4');
  await page.getByRole('link', { name: 'Record' }).click();
  const row = page.getByTestId('record').getByRole('listitem').first();
  await expect(row).toContainText('A pair of earrings');
  await expect(row).toContainText('Put together');
  // Two of the pad, 226 g each.
  await expect(row).toContainText('452.0 g');
});

test('parts are counted, priced, saved as a table and read back', LONG, async ({ page }, info) => {
  await page.goto('/parts');
  const list = page.getByRole('list', { name: 'Parts' }).getByRole('listitem');
  await expect(list).toHaveCount(4);
  await page.getByRole('button', { name: 'Add a part' }).click();
  await expect(list).toHaveCount(5);
  const fresh = list.filter({ has: page.getByRole('button', { name: 'Delete New part' }) });
  await fresh.getByRole('combobox', { name: 'Sort' }).selectOption('button');
  await expect(fresh.getByRole('textbox', { name: 'Across, mm' })).toBeVisible();
  await fresh.getByRole('textbox', { name: 'On the shelf' }).fill('30');
  await page.keyboard.press('Tab');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const text = await readFile(await (await saved).path(), 'utf8');
  expect(text).toContain('New part,button,pieces,30,');
  await fresh.getByRole('button', { name: 'Delete New part' }).click();
  await expect(list).toHaveCount(4);
  const { writeFile } = await import('node:fs/promises');
  await writeFile(
    info.outputPath('parts.csv'),
    text.replace('Fabric glue,glue,ml,80', 'Fabric glue,glue,ml,60'),
  );
  await page.getByText('Import a CSV').locator('input').setInputFiles(info.outputPath('parts.csv'));
  await expect(page.getByRole('status').filter({ hasText: 'Imported: 5 parts.' })).toBeVisible();
  await expect(list).toHaveCount(5);
  const glue = list.filter({ has: page.getByRole('button', { name: 'Delete Fabric glue' }) });
  await expect(glue.getByRole('textbox', { name: 'On the shelf' })).toHaveValue('60');
});
