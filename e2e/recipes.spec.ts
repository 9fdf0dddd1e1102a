import type { Page } from '@playwright/test';
import { A_HAND_MS, begin, expect, stage, test, type } from './jorrit';
import { LONG } from './tiers';

/** The bench as it is used: an upright tablet, touched and never hovered. */
test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });

const BENCH = '/pieces/sample-brick-sleeve/bench';
const log = (page: Page) => page.getByRole('region', { name: 'Log' }).getByRole('listitem');
const tap = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .tap();
/** The bench, once it has reckoned where the piece stands. */
const bench = async (page: Page, path = BENCH): Promise<void> => {
  await page.goto(path);
  const next = page.getByRole('region', { name: 'Next' });
  await expect(next).toBeVisible();
  await expect(next).not.toContainText('Working it out');
};
const open = async (page: Page, panel: string): Promise<void> => {
  await bench(page);
  await tap(page, panel);
};

test('a recipe is followed step by step, departed from, changed and kept', LONG, async ({ page }) => {
  await open(page, 'Recipe');
  await tap(page, /^By count, hot water/);
  await expect(page.getByText('A round of 50 rolls each way, each side, thick')).toBeVisible();
  await tap(page, 'Back');
  const recipe = page.getByRole('region', { name: 'Recipe' });
  const next = page.getByRole('region', { name: 'Next' });
  // What was done before counts: it was wetted, rubbed, pinched and rolled.
  await expect(recipe).toContainText('By count, hot water, 4 of 19Open it and look');
  await recipe.getByRole('button', { name: 'Leave out' }).tap();
  await expect(recipe).toContainText('5 of 19A round of 50 rolls each way, each side, bubble wrap');
  // A reload leaves it where it was; undo of the bench takes back what was done last, a step as well.
  await page.reload();
  await expect(recipe).toContainText('5 of 19');
  await expect(next).not.toContainText('Working it out');
  await tap(page, /^Undo Step skipped/);
  await expect(recipe).toContainText('4 of 19');
  await tap(page, 'Redo');
  await expect(recipe).toContainText('5 of 19');
  await recipe.getByRole('button', { name: 'Step back' }).tap();
  await expect(recipe).toContainText('4 of 19');
  // Its steps are the maker's to change: the look comes later, with a soak by the clock before it.
  await tap(page, 'Recipe');
  await page.getByText('Change its steps').tap();
  await page.getByRole('textbox', { name: 'Name of the recipe' }).fill('Mine, with a clock');
  await page.getByLabel('Step 5', { exact: true }).selectOption({ label: 'vinegar soak' });
  await page.getByRole('textbox', { name: 'Minutes, step 5' }).fill('5');
  await page.keyboard.press('Enter');
  await tap(page, 'Save to my recipes');
  await tap(page, 'Back');
  await expect(recipe).toContainText('Mine, with a clock, 4 of 19Soak in cold water for 5 min');
  await recipe.getByRole('button', { name: 'Start the timer' }).tap();
  await expect(recipe.getByRole('timer')).toHaveText('5 min left');
  await recipe.getByRole('button', { name: 'Step done' }).tap();
  await expect(recipe).toContainText('5 of 19');
  await bench(page, '/pieces/sample-ferry-pad/bench?do=felt');
  await tap(page, 'Recipe');
  await expect(page.getByRole('button', { name: /^Harbour mats, firm/ })).toBeVisible();
  // A sheet is worked in another way than a sleeve: what was written for that is put behind.
  const mine = page.getByRole('button', { name: /^Mine, with a clock/ });
  await expect(mine).toBeHidden();
  await page.getByText('Your recipes for other ways of working').tap();
  await expect(mine).toBeVisible();
});

test(
  'the great button follows the recipe, tap by tap, and goes on with it where something else was done',
  LONG,
  async ({ page }) => {
    await begin(page, 'Flat rectangle');
    await stage(page, 'Bench').click();
    await tap(page, 'Everything is laid already');
    await expect(page.getByRole('region', { name: 'Next' })).not.toContainText('Working it out');
    await tap(page, 'Recipe');
    await tap(page, /^Gentle, for cloth/);
    await tap(page, 'Back');
    const recipe = page.getByRole('region', { name: 'Recipe' });
    const does = async (act: string): Promise<void> => {
      await page.getByRole('button', { name: `Done ${act}`, exact: true }).tap();
      await expect(page.getByRole('button', { name: `Undo ${act}` })).toBeVisible();
      await page.waitForTimeout(A_HAND_MS);
    };
    await expect(recipe).toContainText('Wet it with warm water');
    await does('Wet with warm water');
    await expect(recipe).toContainText('1 of 14');
    // Something else, and then the rest of the step.
    await page.getByRole('radio', { name: '20', exact: true }).tap();
    await does('Rub 20');
    await expect(page.getByRole('region', { name: 'Next' })).toContainText('Rub 40');
    await does('Rub 40');
    await tap(page, 'Pinch test');
    await tap(page, /the skin lifts as one/);
    await expect(recipe).toContainText('3 of 14A round of 100 rolls each way, thick: 4 left');
    // The recipe's own cushion, until another is chosen; half of it with the front of the sheet up, half with its back.
    await does('Roll 50 lengthwise, front up');
    await expect(recipe).toContainText('A round of 100 rolls each way, thick: 3 left');
    await tap(page, /^Undo/);
    await expect(recipe).toContainText(': 4 left');
    await tap(page, 'Redo');
    await does('Roll 50 crosswise, front up');
    await does('Roll 50 lengthwise, back up');
    await does('Roll 50 crosswise, back up');
    await expect(recipe).toContainText('4 of 14Open it and look');
    await page.getByRole('button', { name: 'Open it and look', exact: true }).tap();
    await tap(page, /wet all through/);
    await expect(recipe).toContainText('5 of 14A round of 100 rolls each way, bubble wrap');
  },
);

test('a pair is measured side by side, and told of where it is unequal', LONG, async ({ page }) => {
  await begin(page, 'Sleeve');
  await type(page, 'How many alike', '2');
  await stage(page, 'Bench').click();
  await tap(page, 'Everything is laid already');
  await page.getByRole('radio', { name: 'Measure' }).tap();
  const panel = page.getByRole('group', { name: 'Measure' });
  await expect(panel).toContainText('piece 1');
  for (const [i, keys] of ['20', '22'].entries()) {
    for (const key of keys) await panel.getByRole('button', { name: key, exact: true }).tap();
    await page.getByRole('button', { name: i === 0 ? 'OK A, next A/2' : /^OK A\/2, next B/ }).tap();
  }
  // What is left is skipped; after the last of it the panel closes by itself.
  await expect(async () => {
    if (await panel.isVisible()) await panel.getByRole('button', { name: 'Skip' }).tap({ timeout: 2_000 });
    await expect(panel).toBeHidden({ timeout: 200 });
  }).toPass();
  await expect(page.getByText('Unequal: piece 2 is 10 % larger at A.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Measuring lines' })).toContainText('21.0');
});

test(
  'a ball is rolled between the palms, in minutes: there is no direction to choose, and one line to measure',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-drum-balls/bench');
    await tap(page, 'Everything is laid already');
    await expect(page.getByRole('radio', { name: 'Roll', exact: true })).toHaveCount(0);
    await page.getByRole('radio', { name: 'Palms', exact: true }).tap();
    await expect(page.getByRole('radiogroup', { name: 'Direction' })).toHaveCount(0);
    await page.getByRole('radio', { name: '5 min' }).tap();
    await tap(page, /^Done Roll in the palms, 5 min/);
    await expect(log(page).first()).toContainText('Roll in the palms, 5 min');
    await expect(page.getByRole('list', { name: 'Measuring lines' })).toContainText('diameter');
  },
);

test(
  'four keys drive all of it: every act and every panel, from the first wetting to the finish',
  LONG,
  async ({ page }) => {
    test.slow();
    await begin(page, 'Flat rectangle');
    await stage(page, 'Bench').click();
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const next = page.getByRole('region', { name: 'Next' });
    const laying = page.getByRole('region', { name: 'Laying' });
    const great = page
      .locator('button')
      .filter({ hasText: /^(Done|Measure|Pinch|Open it|Test it|Something|Count|Recipe|Curve)/ });
    /** Presses one of the four, and takes as long as a foot takes. */
    const press = async (
      ...keys: ReadonlyArray<'Space' | 'PageUp' | 'ArrowDown' | 'ArrowRight'>
    ): Promise<void> => {
      for (const key of keys) {
        await page.keyboard.press(key);
        await page.waitForTimeout(200);
      }
    };
    /** Goes on from act to act until the great button says so. */
    const another = async (act: string): Promise<void> => {
      for (let i = 0; i < 13 && !(await great.first().innerText()).includes(act); i += 1)
        await press('ArrowDown');
      await expect(great.first()).toContainText(act);
    };
    /** Goes through a panel until a button of it is lit, and takes it. */
    const take = async (name: RegExp): Promise<void> => {
      const wanted = page.getByTestId('bench').getByRole('button', { name }).first();
      for (let i = 0; i < 40 && !(await wanted.evaluate(e => e === document.activeElement)); i += 1)
        await press('ArrowDown');
      await press('Space');
    };
    await expect(laying).toBeVisible();
    while ((await laying.count()) > 0) await press('Space');
    // Wetted while it was laid: it is rubbed, by another count, and tested.
    await expect(next).toContainText('Rub 40');
    await press('ArrowRight', 'Space');
    await expect(log(page).first()).toContainText('Rub 60');
    await another('Wet');
    await press('ArrowRight', 'Space');
    await expect(log(page).first()).toContainText('Wet with warm water');
    await another('Pinch test');
    await press('Space');
    await take(/the skin lifts as one/);
    await expect(log(page).first()).toContainText('Pinch: the skin lifts as one');
    await expect(next).toContainText('Roll 30');
    await press('Space');
    await expect(page.getByText('30 rolls', { exact: true })).toBeVisible();
    await another('Throw');
    await press('Space');
    await expect(log(page).first()).toContainText('Throw 12');
    await another('Open it and look');
    await press('Space');
    await take(/pools of water/i);
    await expect(log(page).first()).toContainText('Checked: pools of water');
    await another('Something is wrong');
    await press('Space');
    await take(/a thin spot or a hole/i);
    await take(/Add to the log/);
    await expect(next).toContainText('Rub 40');
    await another('Test it');
    await press('Space');
    await take(/Bend: supple/);
    await expect(log(page).first()).toContainText('Bend: supple');
    await another('Curve');
    await press('Space');
    await expect(page.getByRole('group', { name: 'Curve' })).toBeVisible();
    await press('PageUp');
    await expect(next).toBeVisible();
    await another('Measure');
    await press('Space', 'Space', 'Space');
    await expect(log(page).first()).toContainText('Measured A');
    // The last is taken back by the same foot.
    await press('PageUp');
    await expect(log(page).first()).toContainText('Bend: supple');
  },
);
