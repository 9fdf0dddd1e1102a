import type { Page } from '@playwright/test';
import { begin, expect, stage, test, type } from './jorrit';

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

test('a look is one tap, with what helps beside it; the water is renewed as easily', async ({ page }) => {
  await open(page, 'Look');
  await expect(page.getByText('Press the water out, or soak it up with a sponge or towel.')).toBeVisible();
  await tap(page, /pools of water/);
  await expect(log(page).first()).toContainText('Checked: pools of water');
  await tap(page, 'Look');
  await tap(page, 'Hot again');
  await expect(log(page).first()).toContainText('Hot water again');
});

test('an opening asks for what matters now, and a lagging corner is rolled on its diagonal', async ({
  page,
}) => {
  await open(page, 'Look');
  const looks = page.getByRole('region', { name: 'Look for' });
  // Rolled far, cut open and turned: nothing fuses any more.
  await expect(looks).toContainText('Cut edges opening again');
  await expect(looks).not.toContainText('a fold has felted in');
  await looks.getByRole('button', { name: 'a corner or an edge lags behind' }).tap();
  await page.getByRole('img', { name: 'Tap where it is' }).tap({ position: { x: 300, y: 60 } });
  await tap(page, 'Add to the log');
  const next = page.getByRole('region', { name: 'Next' });
  await expect(next).toContainText('Roll 20 other diagonal, side 1');
  await page.getByRole('button', { name: 'Done Roll 20 other diagonal, side 1' }).tap();
  await expect(next).not.toContainText('diagonal');
  await tap(page, 'Mended');
  await expect(page.getByRole('list', { name: 'Look at again' })).toHaveCount(0);
});

test('a test is one tap on what is seen; thickness says how firm the felt is', async ({ page }) => {
  await open(page, 'Tests');
  await expect(page.getByText('Press it between the fingers')).toHaveCount(0);
  await tap(page, 'Bend: springs back');
  await expect(log(page).first()).toContainText('Bend: springs back');
  await tap(page, 'Tests');
  await expect(page.getByRole('button', { name: 'Bend: springs back', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.getByRole('textbox', { name: 'Thickness, pressed lightly' }).fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Firmness: \w+, 0\.\d+ g\/cm³, from the wool you laid/)).toBeVisible();
  await tap(page, 'Save it');
  await expect(log(page).first()).toContainText('Thickness 4.0 mm');
});

test('what is wrong is looked up, marked on the drawing, and looked at again until it is mended', async ({
  page,
}) => {
  await open(page, 'Problem?');
  await tap(page, /a thin spot or a hole/i);
  await expect(page.getByText(/Lay a thin wisp wider than the hole/)).toBeVisible();
  await page.getByRole('img', { name: 'Tap where it is' }).tap({ position: { x: 390, y: 150 } });
  await expect(page.locator('circle.stroke-wanted')).toBeVisible();
  await tap(page, 'Add to the log');
  const again = page.getByRole('list', { name: 'Look at again' });
  await expect(again).toContainText('a thin spot or a hole');
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await tap(page, /^Done Roll/);
  await expect(again).toContainText(/\d+ rolls ago: look again/);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Next' })).not.toContainText('Working it out');
  await again.getByRole('button', { name: 'Mended' }).tap();
  await expect(again).toHaveCount(0);
  await tap(page, /^Undo Mended/);
  await expect(again).toBeVisible();
});

test('a lost count is put as a guess, and treated as one', async ({ page }) => {
  await bench(page);
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await tap(page, 'Counting');
  await tap(page, '30–50');
  await expect(log(page).first()).toContainText('Roll about 40');
});

test('the pacer goes at the felter’s own pace, counts by itself, and stops at the set', async ({ page }) => {
  await bench(page);
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await page.getByRole('radio', { name: '10', exact: true }).tap();
  await tap(page, 'Counting');
  await page.getByRole('radio', { name: 'silent' }).tap();
  await expect(page.getByRole('button', { name: /Start the pacer/ })).toBeDisabled();
  for (let i = 0; i < 6; i += 1) {
    await tap(page, 'Tap your pace');
    await page.waitForTimeout(200);
  }
  await expect(page.getByText(/Your pace is \d+ a minute/)).toBeVisible();
  await tap(page, 'Start the pacer: 10');
  await expect(page.getByTestId('paced')).toBeVisible();
  await expect(log(page).first()).toContainText('Roll 10', { timeout: 15_000 });
  // By the clock, at that pace.
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await tap(page, 'Counting');
  await tap(page, '1 min');
  await expect(log(page).first()).toContainText(/Roll about \d+/);
});

/** The pacer, a few rolls into a set of a hundred. */
const pacing = async (page: Page): Promise<void> => {
  await bench(page);
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await page.getByRole('radio', { name: '100', exact: true }).tap();
  await tap(page, 'Counting');
  for (let i = 0; i < 6; i += 1) {
    await tap(page, 'Tap your pace');
    await page.waitForTimeout(150);
  }
  await tap(page, 'Start the pacer: 100');
  await expect(page.getByTestId('paced')).toHaveText(/^[3-9]$/);
};

test('a pedal stops the pacer where it is, and what was counted is logged', async ({ page }) => {
  await pacing(page);
  await page.keyboard.press('Space');
  await expect(log(page).first()).toContainText(/Roll \d /);
});

test('a pacer that is broken off, by a flat battery or a slip, has its count kept', async ({ page }) => {
  await pacing(page);
  await page.reload();
  const broken = page.getByRole('region', { name: 'Pacer stopped' });
  await expect(broken).toContainText(/stopped at \d+ of 100: Roll \d+ lengthwise, side 1/);
  await broken.getByRole('button', { name: /^Log \d+/ }).tap();
  await expect(log(page).first()).toContainText(/Roll \d+ lengthwise, side 1/);
  await expect(broken).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Next' })).toBeVisible();
  await expect(broken).toHaveCount(0);
});

test('the model says what is still to do, and where it is going', async ({ page }) => {
  await bench(page, '/pieces/sample-ferry-pad/bench');
  const still = page.getByRole('region', { name: 'Still to do' });
  await expect(still).toContainText(/about \d+ more crosswise, \d+ at least/);
  const next = page.getByRole('region', { name: 'Next' });
  await expect(next).toContainText('by your measurements');
  await page.getByText('Why?').click();
  await expect(page.getByText(/Within 3 % of every target: \d+ % now, \d+ % after the rolls to go/)).toBeVisible();
  await expect(page.getByText(/The next rolls have (under )?\d+ % risk of making it too small/)).toBeVisible();
  // Before the first measuring it is general practice, and says so.
  await page.goto('/pieces/sample-fern-mat/bench');
  await tap(page, 'Everything is laid already');
  await expect(still).toContainText(/by \d+ of your pieces and swatches until you measure/);
});

test('the curve of a piece shows what was believed, what was measured, and what is wanted', async ({
  page,
}) => {
  await open(page, 'Curve');
  const chart = page.getByRole('img', { name: /Length against work: A \d+ %.*target \d+ %/ });
  await expect(chart.locator('svg text').first()).toBeVisible();
  await expect(chart).toContainText('target');
  await tap(page, 'Back');
  await tap(page, 'Why?');
  const why = page.getByRole('dialog');
  await expect(why).toContainText(/it expects this felt to shrink by \d+ % at the most/);
  await expect(why).toContainText(/A, length: now [\d.]+ cm, four times in five between/);
});

test('a recipe is followed step by step, departed from, changed and kept', async ({ page }) => {
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
  await page.getByLabel('Step 5', { exact: true }).selectOption({ label: 'soak' });
  await page.getByRole('textbox', { name: 'Minutes, step 5' }).fill('5');
  await page.keyboard.press('Enter');
  await tap(page, 'Save to my recipes');
  await tap(page, 'Back');
  await expect(recipe).toContainText('Mine, with a clock, 4 of 19Soak in cold water for 5 min');
  await recipe.getByRole('button', { name: 'Start the timer' }).tap();
  await expect(recipe.getByRole('timer')).toHaveText('5 min left');
  await recipe.getByRole('button', { name: 'Step done' }).tap();
  await expect(recipe).toContainText('5 of 19');
  await bench(page, '/pieces/sample-ferry-pad/bench');
  await tap(page, 'Recipe');
  await expect(page.getByRole('button', { name: /^Harbour mats, firm/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Mine, with a clock/ })).toBeVisible();
});

test('the great button follows the recipe, tap by tap, and goes on with it where something else was done', async ({
  page,
}) => {
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
    await page.waitForTimeout(250);
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
  await expect(recipe).toContainText('3 of 14A round of 100 rolls each way, thick: 2 left');
  // The recipe's own cushion, until another is chosen.
  await does('Roll 100 lengthwise');
  await expect(recipe).toContainText('A round of 100 rolls each way, thick');
  await expect(recipe).not.toContainText('left:');
  await tap(page, /^Undo/);
  await expect(recipe).toContainText(': 2 left');
  await tap(page, 'Redo');
  await does('Roll 100 crosswise');
  await expect(recipe).toContainText('4 of 14Open it and look');
  await page.getByRole('button', { name: 'Open it and look', exact: true }).tap();
  await tap(page, /wet all through/);
  await expect(recipe).toContainText('5 of 14A round of 100 rolls each way, bubble wrap');
});

test('once its skin holds and it shrinks, the resist may come out at the mouth', async ({ page }) => {
  await bench(page, '/pieces/sample-kelp-cosy/bench');
  const reached = page.getByRole('region', { name: 'Reached' });
  await expect(reached).toContainText('pull the resist out at the opening');
  await expect(reached.getByRole('button', { name: 'Cut open' })).toHaveCount(0);
  await reached.getByRole('button', { name: 'Resist out' }).tap();
  await expect(reached).toHaveCount(0);
  await tap(page, /^Undo Resist taken out/);
  await expect(reached).toContainText('pull the resist out');
});

test('another piece on the bench is one tap away, with how long it has lain', async ({ page }) => {
  await bench(page, '/pieces/sample-kelp-cosy/bench');
  const others = page.getByRole('navigation', { name: 'Also on the bench' });
  await expect(others).toContainText(/Square pad, second of a pair\s*lain for \d+/);
  await others.getByRole('link', { name: /Square pad/ }).tap();
  await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue(
    'Square pad, second of a pair',
  );
  await expect(page.getByRole('navigation', { name: 'Also on the bench' })).toContainText('Kelp cosy');
});

test('a pair is measured side by side, and told of where it is unequal', async ({ page }) => {
  await begin(page, 'Sleeve');
  await type(page, 'How many alike', '2');
  await stage(page, 'Bench').click();
  await tap(page, 'Everything is laid already');
  await page.getByRole('radio', { name: 'Measure' }).tap();
  const panel = page.getByRole('group', { name: 'Measure' });
  await expect(panel).toContainText('piece 1');
  for (const [i, keys] of ['20', '22'].entries()) {
    for (const key of keys) await panel.getByRole('button', { name: key, exact: true }).tap();
    await panel.getByRole('button', { name: i === 0 ? 'OK A, next A/2' : /^OK A\/2, next B/ }).tap();
  }
  for (let i = 0; i < 2; i += 1) await panel.getByRole('button', { name: 'Skip' }).tap();
  for (let i = 0; i < 2 && (await panel.isVisible()); i += 1)
    await panel.getByRole('button', { name: 'Skip' }).tap();
  await expect(page.getByText('Unequal: piece 2 is 10 % larger at A.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Measuring lines' })).toContainText('21.0');
});

test('a ball is rolled every way: there is no direction to choose, and one line to measure', async ({
  page,
}) => {
  await bench(page, '/pieces/sample-drum-balls/bench');
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await expect(page.getByRole('radiogroup', { name: 'Direction' })).toHaveCount(0);
  await tap(page, /^Done Roll 30, every way/);
  await expect(log(page).first()).toContainText('Roll 30, every way');
  await expect(page.getByRole('list', { name: 'Measuring lines' })).toContainText('diameter');
});

test('four keys drive all of it: every act and every panel, from the first wetting to the finish', async ({
  page,
}) => {
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
    const wanted = page.getByRole('group').getByRole('button', { name }).first();
    for (let i = 0; i < 40 && !(await wanted.evaluate(e => e === document.activeElement)); i += 1)
      await press('ArrowDown');
    await press('Space');
  };
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
});
