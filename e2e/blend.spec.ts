import { expect, field, test, type } from './jorrit';
import { LONG } from './tiers';

test(
  'grams of the wools on the shelf are found for a wanted colour, and sum to what is asked',
  LONG,
  async ({ page }) => {
    await page.goto('/shelf');
    await page.getByRole('link', { name: 'Blend a colour' }).click();
    await page.getByLabel('Colour', { exact: true }).fill('#8a8f6c');
    await type(page, 'In all', '40');
    await page.getByRole('button', { name: 'Find blends' }).click();
    const recipes = page.getByRole('list', { name: 'Blends, closest first' }).locator('> li');
    await expect(recipes.first()).toContainText(/hard to tell apart|near/);
    const text = (await recipes.first().innerText()).replaceAll('\n', ' ');
    const grams = [...text.matchAll(/([\d.]+) g /g)].map(([, g]) => Number(g));
    expect(grams.length).toBeGreaterThan(1);
    expect(grams.reduce((a, b) => a + b, 0)).toBeCloseTo(40, 6);
    const differences = [...(await recipes.allInnerTexts()).join(' ').matchAll(/difference ([\d.]+)/g)].map(
      ([, d]) => Number(d),
    );
    expect(differences).toEqual(differences.toSorted((a, b) => a - b));
  },
);

test('a blend of one’s own shows its colour, and is put on the shelf', async ({ page }) => {
  await page.goto('/blend');
  const put = page.getByLabel('Add a wool');
  await put.selectOption({ label: 'Oat, undyed batt' });
  const colour = page.getByTestId('blend-colour');
  const light = await colour.getAttribute('aria-label');
  await put.selectOption({ label: 'Harbour blue, carded batt' });
  await expect(colour).not.toHaveAttribute('aria-label', light ?? '');
  await type(page, 'Grams of Harbour blue, carded batt', '2.5');
  await page.getByRole('button', { name: 'Put the blend on the shelf' }).click();
  await expect(page.getByText(/^The blend is on the shelf/).first()).toBeVisible();
  await page.goto('/shelf');
  await page.getByRole('link', { name: /^Blend of 2/ }).click();
  await expect(field(page, 'On the shelf')).toHaveValue('12.5');
  await expect(field(page, 'Notes')).toHaveValue(/10.0 g Oat, undyed batt, 2.5 g Harbour blue/);
});
