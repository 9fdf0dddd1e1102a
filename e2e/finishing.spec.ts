import type { Page } from '@playwright/test';
import { expect, test } from './jorrit';
import { LONG } from './tiers';

const COSY = '/pieces/sample-kelp-cosy/bench?do=finish';
const MAT = '/pieces/sample-galley-mat/bench';
const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).first();
const log = (page: Page) => page.getByRole('region', { name: 'Log' }).getByRole('listitem');
const now = (page: Page) => page.getByRole('region', { name: 'Finishing' });

test('a piece is rinsed till clear, soaked by the clock, shaped and put to dry, and undone step by step', async ({
  page,
}) => {
  await page.clock.install();
  await page.goto(COSY);
  await expect(now(page)).toContainText('Rinse it until the water is clear');
  await expect(page.getByRole('radio', { name: 'warm' })).toBeChecked();
  await button(page, 'Rinsed, still soapy').click();
  await expect(log(page).first()).toContainText('Rinsed, not clear yet, warm water');
  // Warm and cold go in turn.
  await expect(page.getByRole('radio', { name: 'cold' })).toBeChecked();
  await page.keyboard.press('Space');
  await expect(log(page).first()).toContainText('Rinsed, clear, cold water');
  await button(page, /^Start/).click();
  await expect(now(page)).toContainText('It soaks. 15 min left');
  await expect(page.getByTestId('one-number')).toContainText('15');
  // Wherever the felter is meanwhile, it is told when the time is up.
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  // The bell knows of it once another view is there.
  await expect(page.getByRole('heading', { name: 'Linked figures' })).toBeVisible();
  await page.clock.fastForward('16:00');
  await expect(page.getByText('Kelp cosy, four cups: it has soaked long enough.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Go there' }).click();
  await expect(now(page)).toContainText('time is up');
  for (const words of ['Soaked in vinegar water', 'Rinsed the vinegar out', 'Rolled in a towel']) {
    await page.keyboard.press('PageDown');
    await expect(log(page).first()).toContainText(words);
  }
  await page.getByRole('radio', { name: 'a bowl' }).click();
  await button(page, /^Done/).click();
  await expect(log(page).first()).toContainText('Shaped, on a bowl');
  await page.getByRole('radio', { name: 'in sun or wind' }).click();
  await button(page, /^Start/).click();
  await expect(log(page).first()).toContainText('Put to dry, in sun or wind');
  await button(page, /^Undo/).click();
  await expect(log(page).first()).toContainText('Shaped, on a bowl');
});

test(
  'a step out of order is told why and what helps, and is still the felter’s to do',
  LONG,
  async ({ page }) => {
    await page.goto(COSY);
    const steps = page.getByRole('list', { name: 'Steps of finishing' });
    await page.getByText('Change the steps').click();
    await page.getByRole('checkbox', { name: 'glue' }).check();
    await page.getByRole('checkbox', { name: 'stiffen' }).check();
    await expect(steps.getByRole('listitem').nth(7)).toContainText(/stiffen/);
    await expect(steps.getByRole('listitem').nth(8)).toContainText(/glue/);
    await steps.getByRole('listitem').nth(8).getByRole('button', { name: 'Do this now' }).click();
    await expect(
      page.getByRole('alert').filter({ hasText: 'Glue does not hold on damp felt' }),
    ).toBeVisible();
    await expect(
      page.getByRole('alert').filter({ hasText: 'Stiffener creeps under the glue' }),
    ).toBeVisible();
    await button(page, /^Start/).click();
    await expect(log(page).first()).toContainText('Begun: glue');
    await page.getByRole('checkbox', { name: 'press flat with steam' }).check();
    await expect(page.getByRole('alert').filter({ hasText: 'choose one of them' })).toBeVisible();
    await steps.getByRole('button', { name: 'Why dry here?' }).click();
    await expect(page.getByText('After “roll in a towel”')).toBeVisible();
  },
);

test(
  'dry is when it weighs what it must: the bench says which, and the rack lets it go',
  LONG,
  async ({ page }) => {
    await page.goto(MAT);
    const weigh = async (grams: string): Promise<void> => {
      await button(page, 'Weigh it').click();
      await page.keyboard.type(grams);
      await page.keyboard.press('Enter');
    };
    await weigh('900');
    await expect(now(page)).toContainText(/Still .* of water in it: dry it weighs/);
    await weigh('20');
    await expect(now(page)).toContainText('It weighs what it must: it is dry.');
    await page.goto('/');
    await expect(page.getByRole('list', { name: 'Waiting' })).toContainText(
      'Round mat for the galley: It dries.',
    );
    await page.getByRole('link', { name: 'Rack' }).click();
    await expect(page.getByRole('heading', { name: 'On the rack' })).toBeVisible();
    const mat = page.getByRole('listitem').filter({ hasText: 'Round mat for the galley' });
    await expect(mat).toContainText(/in a room, four in five dry in .* to /);
    await mat.getByRole('button', { name: 'It is dry' }).click();
    await expect(mat.getByRole('button', { name: 'It is dry' })).toHaveCount(0);
    const told = page.getByRole('listitem').filter({ hasText: 'Round mat for the galley: dried.' });
    await told.getByRole('button', { name: 'Undo' }).click();
    await expect(mat.getByRole('button', { name: 'It is dry' })).toBeVisible();
  },
);
