import { readFile, writeFile } from 'node:fs/promises';
import { A_HAND_MS, begin, expect, field, test, type } from './jorrit';
import { LONG } from './tiers';

test('a swatch is planned, measured both ways, and moves what its wool is expected to do', async ({
  page,
}) => {
  await page.goto('/shelf/wool-fog');
  await expect(page.getByText(/It hardly felts/)).toBeVisible();
  const before = await page.getByText(/ lengthwise, .* crosswise$/).textContent();
  await type(page, 'Lengthwise, dry', '14');
  await type(page, 'Crosswise, dry', '15');
  await type(page, 'Weight, dry', '7.8');
  await type(page, 'Thickness', '2,5');
  const row = page.getByRole('row', { name: /^swatch 1/ });
  // 8 g on 400 cm²; 14 of 20 cm is 30 %, 15 is 25 %; 7.8 g on 210 cm² is 371 g/m².
  await expect(row).toContainText('200 g/m²');
  await expect(row).toContainText('30 %');
  await expect(row).toContainText('25 %');
  await expect(row).toContainText('371 g/m²');
  await expect(row).toContainText('0.15 g/cm³');
  expect(await page.getByText(/ lengthwise, .* crosswise$/).textContent()).not.toBe(before);
  await page.getByRole('button', { name: 'Plan a swatch' }).click();
  await expect(page.getByText('Swatch 2, laid')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Swatch 2, laid')).toHaveCount(0);
  await page.reload();
  await expect(field(page, 'Lengthwise, dry')).toHaveValue('14.0');
});

test('swatches of two wools stand side by side', LONG, async ({ page }) => {
  await page.goto('/shelf/wool-brick');
  await page.getByLabel('Beside').selectOption({ label: 'Kelp, carded batt' });
  await expect(page.getByRole('row', { name: /^Kelp, carded batt, 1/ })).toContainText('36 %');
  await expect(page.getByRole('row', { name: /^swatch 2/ })).toContainText('350 g/m²');
});

test(
  'a plan takes what its wool is expected to do, and says so; a shrinkage that was typed stays',
  LONG,
  async ({ page }) => {
    await begin(page, 'Bag');
    await page.getByRole('combobox', { name: 'Wool' }).selectOption({ label: 'Fog, carded batt' });
    await expect(page.getByText('Used in this plan.')).toBeVisible();
    await expect(page.getByText(/It hardly felts/)).toBeVisible();
    expect(Number(await field(page, 'lengthwise').inputValue())).toBeLessThan(20);
    await type(page, 'lengthwise', '31');
    await page.getByRole('combobox', { name: 'Wool' }).selectOption({ label: 'Kelp, carded batt' });
    await expect(field(page, 'lengthwise')).toHaveValue('31');
    await page.getByRole('button', { name: 'Why the expected shrinkage of Kelp, carded batt?' }).click();
    await expect(page.getByRole('dialog')).toContainText('swatch: 36 % lengthwise, 34 % crosswise');
  },
);

test('the shelf goes out as a table and comes back; what is no figure is told with its line', async ({
  page,
}, info) => {
  await page.goto('/shelf');
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const csv = await readFile(await saved.path(), 'utf8');
  expect(csv.split('\r\n')[0]).toBe('name,sort,fibre,micron,form,colour,grams,per 100 g,rope g per m,notes');
  const read = async (text: string): Promise<void> => {
    const path = info.outputPath('shelf.csv');
    await writeFile(path, text);
    await page.getByLabel('Import a CSV').setInputFiles(path);
  };
  await read(csv);
  await expect(page.getByText('Imported: 0 new, 7 updated.')).toBeVisible();
  await read('Wool;Breed;Grams\nTar;Gotland;420,5\nFog, carded batt;;-3\n;;9\n');
  await expect(page.getByText('Imported: 1 new, 1 updated.')).toBeVisible();
  await expect(page.getByRole('alert')).toContainText('line 3, grams: -3');
  await expect(page.getByRole('alert')).toContainText('A row without a name was left out. (line 4)');
  await expect(async () => {
    // What is told of the table that was read may still push the list down under the pointer.
    await page.getByRole('link', { name: /^Tar/ }).click();
    await expect(field(page, 'On the shelf')).toHaveValue('420.5', { timeout: 1000 });
  }).toPass();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Tar/ })).toHaveCount(0);
  await read('no,names,here\n1,2,3\n');
  await expect(page.getByRole('alert')).toContainText('No column of this table has the heading “name”.');
});

test('two thousand wools scroll and are found without a hitch', LONG, async ({ page }, info) => {
  test.slow();
  await page.goto('/shelf');
  const path = info.outputPath('many.csv');
  const rows = Array.from({ length: 2000 }, (_, i) => `Skein ${i},${i % 2 ? 'Merino' : 'Suffolk'},${i}`);
  await writeFile(path, `name,fibre,grams\n${rows.join('\n')}`);
  await page.getByLabel('Import a CSV').setInputFiles(path);
  await expect(page.getByText('Imported: 2000 new')).toBeVisible({ timeout: 60_000 });
  const list = page.getByTestId('shelf-list');
  await expect(list.getByRole('listitem').first()).toHaveAttribute('aria-setsize', '2007');
  await list.evaluate(e => e.scrollTo(0, e.scrollHeight));
  await expect(page.getByRole('link', { name: /^Skein 999/ })).toBeVisible();
  const drawn = await list.getByRole('listitem').count();
  expect(drawn).toBeLessThan(100);
  await field(page, 'Find').fill('skein 1234');
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await expect(list.getByRole('link')).toContainText('Skein 1234');
});

test('on a phone the shelf and a wool of it are two views', LONG, async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/shelf');
  await page.getByRole('link', { name: /^Kelp/ }).click();
  await expect(field(page, 'On the shelf')).toHaveValue('640.0');
  await expect(page.getByTestId('shelf-list')).toBeHidden();
  await page.getByRole('link', { name: 'Whole shelf' }).click();
  await expect(page.getByTestId('shelf-list')).toBeVisible();
});

test(
  'a layout is simulated on the outline, compared with more and thinner layers, and can be put away',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-kelp-cosy/wool');
    await page.getByRole('button', { name: 'Compare with 8 layers' }).click();
    const uneven = page.getByRole('row', { name: /unevenness/i }).getByRole('cell');
    const share = async (i: number): Promise<number> =>
      Number(/\d+/.exec((await uneven.nth(i).textContent()) ?? '')?.[0]);
    await expect(uneven).toHaveCount(2);
    expect(await share(1)).toBeLessThan(await share(0));
    await expect(page.getByRole('img', { name: 'One simulated layout in 4 layers' })).toBeVisible();
    await expect(page.getByText(/more along the outer 2 cm/)).toBeVisible();
    // Finer wisps, weighed ten at a time, lie more even, and are kept.
    const before = await share(0);
    await type(page, 'Ten wisps weigh', '0.5');
    await page.getByRole('button', { name: 'Try it out' }).click();
    await expect(uneven).toHaveCount(1);
    expect(await share(0)).toBeLessThan(before);
    await page.getByRole('button', { name: 'Hide the picture' }).click();
    await expect(page.getByRole('img', { name: /simulated/ })).toHaveCount(0);
    await page.reload();
    await expect(field(page, 'Ten wisps weigh')).toHaveValue('0.5');
  },
);

test(
  'a swatch is worked at the bench like any piece, and its log and its measures teach',
  LONG,
  async ({ page }) => {
    await page.goto('/shelf/wool-kelp');
    await page.getByRole('button', { name: 'Plan a swatch' }).click();
    const work = page.getByRole('button', { name: 'Work it at the bench' });
    await expect(work).toBeVisible();
    await work.click();
    await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue(
      'Swatch, Kelp, carded batt',
    );
    // Four layers of 2 g.
    await expect(page.getByTestId('one-number')).toContainText('2.0');
    await page.getByRole('button', { name: 'Everything is laid already' }).click();
    const done = page.getByRole('button', { name: /^Done/ }).first();
    const log = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
    for (let i = 1; i <= 2; i += 1) {
      await expect(done).toBeEnabled();
      await done.click();
      await expect(log).toHaveCount(i);
      await page.waitForTimeout(A_HAND_MS);
    }
    await page.getByRole('link', { name: 'Finish', exact: true }).click();
    await page.getByRole('textbox', { name: /^A, / }).fill('13');
    await page.getByRole('textbox', { name: /^B, / }).fill('13.4');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Mark as finished' }).click();
    await expect(page.getByText(/^Finished on /)).toBeVisible();
    await page.goto('/shelf/wool-kelp');
    await expect(page.getByRole('link', { name: 'It was worked at the bench' })).toBeVisible();
    await expect(page.getByRole('row', { name: /^swatch 2/ })).toContainText(/35 %.*33 %/);
  },
);
