import type { Page } from '@playwright/test';
import { expect, test } from './jorrit';
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

test(
  'a look is one tap, with what helps beside it; the water is renewed as easily',
  LONG,
  async ({ page }) => {
    await open(page, 'Look');
    await expect(page.getByText('Press the water out, or soak it up with a sponge or towel.')).toBeVisible();
    await tap(page, /pools of water/);
    await expect(log(page).first()).toContainText('Checked: pools of water');
    await tap(page, 'Look');
    await tap(page, 'Hot again');
    await expect(log(page).first()).toContainText('Hot water again');
  },
);

test(
  'an opening asks for what matters now, and a lagging corner is rolled on its diagonal',
  LONG,
  async ({ page }) => {
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
  },
);

test('a test is one tap on what is seen; thickness says how firm the felt is', LONG, async ({ page }) => {
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

test('a lost count is put as a guess, and treated as one', LONG, async ({ page }) => {
  await bench(page);
  await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
  await tap(page, 'Counting');
  await tap(page, '30–50');
  await expect(log(page).first()).toContainText('Roll about 40');
});

test(
  'the pacer goes at the felter’s own pace, counts by itself, and stops at the set',
  LONG,
  async ({ page }) => {
    await bench(page);
    await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
    await page.getByRole('radio', { name: '10', exact: true }).tap();
    await tap(page, 'Counting');
    await page.getByRole('radio', { name: 'silent' }).tap();
    // No pace has to be tapped first; whoever taps one has their own.
    await expect(page.getByText(/It goes at \d+ a minute, as your log says/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Start the pacer: 10' })).toBeEnabled();
    // Nobody has to count: what is usual for this maker stands there.
    await expect(page.getByRole('button', { name: /^By feel, as usual: about \d+$/ })).toBeEnabled();
    for (let i = 0; i < 6; i += 1) {
      await tap(page, 'Tap your pace');
      await page.waitForTimeout(200);
    }
    await expect(page.getByText(/Your pace is \d+ a minute/)).toBeVisible();
    await tap(page, 'Start the pacer: 10');
    await expect(page.getByTestId('paced')).toBeVisible();
    await expect(log(page).first()).toContainText('Roll 10');
    // By the clock, at that pace.
    await page.getByRole('radio', { name: 'Roll', exact: true }).tap();
    await tap(page, 'Counting');
    await tap(page, '1 min');
    await expect(log(page).first()).toContainText(/Roll about \d+/);
  },
);

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

test('a pedal stops the pacer where it is, and what was counted is logged', LONG, async ({ page }) => {
  await pacing(page);
  await page.keyboard.press('Space');
  await expect(log(page).first()).toContainText(/Roll \d /);
});

test(
  'a pacer that is broken off, by a flat battery or a slip, has its count kept',
  LONG,
  async ({ page }) => {
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
  },
);

test('the model says what is still to do, and where it is going', LONG, async ({ page }) => {
  await bench(page, '/pieces/sample-ferry-pad/bench?do=felt');
  const still = page.getByRole('region', { name: 'Still to do' });
  await expect(still).toContainText(/about \d+ crosswise, (\d+ at least|or none)/);
  const next = page.getByRole('region', { name: 'Next' });
  await expect(next).toContainText(/is about [\d.]+ cm now, target/);
  await page.getByText('Why?').click();
  await expect(
    page.getByText(/Within 3 % of every target: \d+ % now, \d+ % after the rolls to go/),
  ).toBeVisible();
  await expect(
    page.getByText(/The next rolls have (under )?\d+ % risk of making it too small/),
  ).toBeVisible();
  // Before the first measuring it is general practice, and says so.
  await page.goto('/pieces/sample-fern-mat/bench');
  await tap(page, 'Everything is laid already');
  await expect(still).toContainText(/by \d+ of your pieces and swatches until you measure/);
});

test(
  'the curve of a piece shows what was believed, what was measured, and what is wanted',
  LONG,
  async ({ page }) => {
    await open(page, 'Curve');
    const chart = page.getByRole('img', { name: /Length against work: A \d+ %.*target \d+ %/ });
    await expect(chart.locator('svg text').first()).toBeVisible();
    await expect(chart).toContainText('target');
    await tap(page, 'Back');
    await tap(page, 'Why?');
    const why = page.getByRole('dialog');
    await expect(why).toContainText(/it expects this felt to shrink by \d+ % at the most/);
    await expect(why).toContainText(/A, length: now [\d.]+ cm, four times in five between/);
  },
);

test('once its skin holds and it shrinks, the resist may come out at the mouth', LONG, async ({ page }) => {
  await bench(page, '/pieces/sample-kelp-cosy/bench');
  const reached = page.getByRole('region', { name: 'Reached' });
  await expect(reached).toContainText('pull the resist out at the opening');
  await expect(reached.getByRole('button', { name: 'Cut open' })).toHaveCount(0);
  await reached.getByRole('button', { name: 'Resist out' }).tap();
  await expect(reached).toHaveCount(0);
  await tap(page, /^Undo Resist taken out/);
  await expect(reached).toContainText('pull the resist out');
});

test('another piece on the bench is one tap away, with how long it has lain', LONG, async ({ page }) => {
  await bench(page, '/pieces/sample-kelp-cosy/bench');
  const others = page.getByRole('navigation', { name: 'Also on the bench' });
  await expect(others).toContainText(/Square pad, second of a pair\s*lying for \d+/);
  await others.getByRole('link', { name: /Square pad/ }).tap();
  await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue(
    'Square pad, second of a pair',
  );
  await expect(page.getByRole('navigation', { name: 'Also on the bench' })).toContainText('Kelp cosy');
});
