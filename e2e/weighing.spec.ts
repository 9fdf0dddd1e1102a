import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { begin, expect, field, stage, test, type, pieceAct } from './jorrit';
import { LONG } from './tiers';
import { within } from './within';

const WANTED = 'pile-wanted';
const piles = (page: Page) =>
  page.getByRole('region', { name: 'On the scale, pile by pile' }).getByRole('listitem');
const weighed = async (page: Page, grams: string): Promise<void> => {
  await type(page, 'On the scale', grams);
  await page.getByRole('button', { name: 'Weighed', exact: true }).click();
};

test('piles are weighed one by one, what is over is shared out, and the shelf goes down', async ({
  page,
}) => {
  await page.goto('/pieces/sample-fern-mat/wool');
  const before = await page.getByTestId(WANTED).textContent();
  expect(before).toBe('10 g');
  await weighed(page, '13');
  // 38 g in piles of 10, 10, 9 and 9: after 13, 25 g are left for three.
  await expect(piles(page).nth(0)).toContainText('✓ 13 g !');
  await expect(page.getByTestId(WANTED)).toHaveText('9 g');
  await expect(piles(page).nth(2)).toContainText('8 g');
  await within(page, '/shelf/wool-kelp');
  await expect(field(page, 'On the shelf')).toHaveValue('627.0');
  // A pile on the scale is no work on the felt: the bench still begins at the beginning.
  await within(page, '/pieces/sample-fern-mat/bench');
  await expect(page.getByRole('region', { name: 'Laying' })).toContainText('Lay layer 1 of 4');
  await stage(page, 'Wool').click();
  await page.getByRole('button', { name: 'Undo the last weighing' }).click();
  await expect(page.getByTestId(WANTED)).toHaveText('10 g');
  await within(page, '/shelf/wool-kelp');
  await expect(field(page, 'On the shelf')).toHaveValue('640.0');
});

test(
  'a pile can be weighed again; a piece taken off the table brings its wool back',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-fern-mat/wool');
    await weighed(page, '13');
    await expect(piles(page).nth(0)).toContainText('✓');
    await piles(page).nth(0).getByRole('button').click();
    await weighed(page, '10');
    await expect(piles(page).nth(0)).toContainText('✓ 10 g');
    await page.goto('/shelf/wool-kelp');
    await expect(field(page, 'On the shelf')).toHaveValue('630.0');
    await page.goto('/pieces/sample-fern-mat/plan');
    await pieceAct(page, 'Delete');
    await page.goto('/shelf/wool-kelp');
    await expect(field(page, 'On the shelf')).toHaveValue('640.0');
  },
);

test(
  'the simulated scale settles, is tared, and its pile is taken when it stands still',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-fern-mat/wool');
    await page.getByRole('button', { name: 'Simulated scale' }).click();
    await page.getByRole('button', { name: 'Put 5 g on' }).click();
    const take = page.getByRole('button', { name: 'Weighed', exact: true });
    await expect(page.getByTestId('on-scale')).toContainText('5 g, 5 g to go');
    await page.getByRole('button', { name: 'Tare' }).click();
    await expect(page.getByTestId('on-scale')).toContainText('0 g, 10 g to go');
    for (let i = 0; i < 2; i += 1) await page.getByRole('button', { name: 'Put 5 g on' }).click();
    await expect(page.getByTestId('on-scale')).toContainText('10 g, right');
    await expect(take).toBeEnabled();
    await take.click();
    await expect(piles(page).nth(0)).toContainText('✓ 10 g');
    await expect(piles(page).nth(0)).not.toContainText('!');
  },
);

test('a layer of two wools is two piles, drawn and needed by colour', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-fern-mat/wool');
  await page.getByRole('button', { name: 'Another wool in this layer' }).click();
  await page.getByLabel('Wool 2 of layer 1').selectOption({ label: 'Brick, combed tops' });
  await expect(piles(page)).toHaveCount(5);
  await expect(page.getByRole('region', { name: 'Enough?' }).getByRole('listitem')).toHaveCount(2);
  await type(page, 'Share 2 of layer 1', '25');
  await page.reload();
  await expect(piles(page)).toHaveCount(5);
  await page.getByRole('button', { name: 'Leave wool 2 out of layer 1' }).click();
  await expect(piles(page)).toHaveCount(4);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(piles(page)).toHaveCount(5);
});

test('what the shelf lacks is known before the first wisp, with what would do', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-gale-mittens/wool');
  const alarm = page.getByRole('alert');
  await expect(alarm).toContainText('The shelf holds 85.0 g of Harbour blue, carded batt: 2.0 g short.');
  await expect(alarm).toContainText('1 % smaller');
  // The hidden layer of three may be of another wool: done in one act, and undone as well.
  await expect(alarm).toContainText('in layer 2, which does not show');
  await alarm.getByRole('button', { name: 'Do that' }).click();
  await expect(alarm).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Enough?' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(alarm).toBeVisible();
});

test('a pair whose piles differ is told of', LONG, async ({ page }) => {
  await begin(page, 'Sleeve');
  await type(page, 'How many alike', '2');
  await stage(page, 'Wool').click();
  const all = piles(page);
  await expect(all.first()).toBeVisible();
  const wanted = parseInt((await page.getByTestId(WANTED).textContent()) ?? '0', 10);
  await weighed(page, String(wanted));
  await expect(all.first()).toContainText('✓');
  await page.getByLabel('Piles of').selectOption({ label: 'piece 2 of 2' });
  await expect(all.first()).toContainText('piece 2');
  await weighed(page, String(wanted + 4));
  await expect(page.getByText(/differ by 4(\.0)? g. A pair wants equal grams/)).toBeVisible();
});

test(
  'the steps of laying follow the school, and are ticked off one at a time at the bench',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-gale-mittens/wool');
    await expect(page.getByText('14 steps of laying, in order')).toBeVisible();
    await page.getByRole('radio', { name: 'one layer' }).click();
    await expect(page.getByText('30 steps of laying, in order')).toBeVisible();
    await page.getByRole('radio', { name: 'every way' }).click();
    await expect(page.getByText('Layer 1 lies every way.')).toBeVisible();
    await stage(page, 'Bench').click();
    const laying = page.getByRole('region', { name: 'Laying' });
    await expect(laying).toContainText('Lay layer 1 of 3, side 1');
    await page.getByRole('button', { name: 'Laid', exact: true }).click();
    await expect(laying).toContainText('Laying, 1 of 30');
    await expect(laying).toContainText('Wet and press down, side 1');
    await page.getByRole('button', { name: 'Skip this' }).click();
    await expect(laying).toContainText('Cover it and press the air out, side 1');
    await page.reload();
    await expect(laying).toContainText('Laying, 2 of 30');
    await page.getByRole('button', { name: 'Step back' }).click();
    await expect(laying).toContainText('Laying, 1 of 30');
    // By pedal: the next step is done, one is left out, and one press goes back.
    await page.keyboard.press('Space');
    await expect(laying).toContainText('Laying, 2 of 30');
    await page.keyboard.press('ArrowRight');
    await expect(laying).toContainText('Laying, 3 of 30');
    await page.keyboard.press('PageUp');
    await expect(laying).toContainText('Laying, 2 of 30');
    // Whoever laid it without ticking goes on to the work, and may still come back.
    await page.getByRole('button', { name: 'Everything is laid already' }).click();
    await expect(laying).toHaveCount(0);
    await page.getByRole('button', { name: 'Back to laying' }).click();
    await expect(laying).toContainText('Laying, 2 of 30');
    await page.getByRole('button', { name: 'Everything is laid already' }).click();
    await page.getByRole('button', { name: /^Done Wet/ }).click();
    await expect(page.getByRole('button', { name: 'Back to laying' })).toHaveCount(0);
  },
);

test('a layer at the bench says what it is made of, as it was weighed', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-fern-mat/wool');
  await weighed(page, '11');
  await stage(page, 'Bench').click();
  const laying = page.getByRole('region', { name: 'Laying' });
  await expect(laying).toContainText('11 g Kelp, carded batt');
  await expect(laying).toContainText('fibres lengthwise');
});

test('silk laid on top is a pile of its own, comes off its shelf, and is a step', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-fern-mat/wool');
  await page.getByRole('button', { name: 'Add a motif, silk or stem' }).click();
  await type(page, 'Decoration 1', 'tide lines');
  await page.getByLabel('What decoration 1 is taken from').selectOption({ label: 'Brick, combed tops' });
  await type(page, 'Grams of decoration 1', '3');
  await expect(piles(page)).toHaveCount(5);
  await expect(piles(page).nth(4)).toContainText('tide lines3 g');
  await expect(page.getByRole('region', { name: 'Enough?' })).toContainText('Brick, combed tops3.0 g');
  await piles(page).nth(4).getByRole('button').click();
  await weighed(page, '3');
  await page.goto('/shelf/wool-brick');
  await expect(page.getByRole('region', { name: 'Used for' })).toContainText('Fern leaf mat 3.0 g');
});

test(
  'labels of the piles go out as a PDF, one for each, with grams, face, wool and piece',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-kelp-cosy/wool');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Labels to print' }).click(),
    ]);
    const words = execFileSync('pdftotext', ['-layout', await download.path(), '-'], { encoding: 'utf8' });
    expect(words.match(/side [12], layer [1-4]/g)).toHaveLength(8);
    expect(words.match(/Kelp, carded batt/g)).toHaveLength(8);
    expect(words.match(/\d+ g/g)).toHaveLength(8);
    expect(execFileSync('pdfinfo', [await download.path()], { encoding: 'utf8' })).toMatch(/Pages:\s+1\b/);
  },
);

test('without a scale a pile is a length of rope, once a metre of it was weighed', LONG, async ({ page }) => {
  await page.goto('/shelf/wool-kelp');
  await type(page, 'Weight of 1 m of top', '20');
  await page.goto('/pieces/sample-fern-mat/wool');
  // 10 g of 20 g a metre.
  await expect(page.getByText('Without a scale: 50.0 cm of the top.')).toBeVisible();
});

test(
  'silk is veiled, a motif that lies face down is mirrored, a stem is made first',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-gale-mittens/wool');
    const add = page.getByRole('button', { name: 'Add a motif, silk or stem' });
    await add.click();
    await field(page, 'Decoration 1').fill('the white gull');
    await page.getByLabel('When decoration 1 is laid').selectOption('first');
    await add.click();
    await field(page, 'Decoration 2').fill('moth-wing silk');
    await page.getByLabel('Kind of decoration 2').selectOption('silk');
    await page.getByLabel('Side of decoration 2').selectOption('2');
    await add.click();
    await field(page, 'Decoration 3').fill('the cord');
    await page.getByLabel('Kind of decoration 3').selectOption('stem');
    await page.getByText('18 steps of laying, in order').click();
    const steps = page.locator('details ol li');
    await expect(steps.nth(0)).toHaveText('Make the cord first; felt all but a dry fan at its root');
    await expect(steps.nth(1)).toHaveText('Lay the white gull, side 1, mirrored, because it lies face down');
    await expect(steps.filter({ hasText: 'moth-wing silk' })).toHaveText(
      'Lay moth-wing silk, side 2, and a thin net of wool over it',
    );
    await page.reload();
    await expect(field(page, 'Decoration 3')).toHaveValue('the cord');
  },
);

test('a scale on the serial port is read, told of when it says garbage, and when it is unplugged nothing is lost', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const encoder = new TextEncoder();
    let controller: ReadableStreamDefaultController<Uint8Array> | null = null;
    const readable = new ReadableStream<Uint8Array>({ start: c => void (controller = c) });
    const port = { readable, open: async () => undefined, close: async () => undefined };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port } });
    Object.assign(window, {
      say: (text: string) => controller?.enqueue(encoder.encode(text)),
      unplug: () => controller?.error(new Error('lost')),
    });
  });
  const say = (text: string): Promise<unknown> =>
    page.evaluate(t => (window as unknown as { say: (text: string) => void }).say(t), text);
  await page.goto('/pieces/sample-fern-mat/wool');
  await page.getByLabel('A number without a unit is in').selectOption('oz');
  await page.getByRole('button', { name: 'Connect a scale' }).click();
  await expect(page.getByRole('button', { name: 'Disconnect the scale' })).toBeVisible();
  // 0.35 oz is 9.9 g.
  for (let i = 0; i < 6; i += 1) await say('ST  0.35\r\n');
  await expect(page.getByTestId('on-scale')).toContainText('10 g, right');
  await page.getByRole('button', { name: 'Weighed', exact: true }).click();
  await expect(piles(page).nth(0)).toContainText('✓ 10 g');
  // It stays connected for the next pile; the one that lies there is not taken twice.
  for (let i = 0; i < 6; i += 1) await say('ST  0.35\r\n');
  await expect(page.getByText('Take the last pile off, or press Tare')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Weighed', exact: true })).toBeDisabled();
  for (let i = 0; i < 9; i += 1) await say('Err--\n');
  await expect(page.getByRole('alert')).toContainText('has no number in it');
  await page.evaluate(() => (window as unknown as { unplug: () => void }).unplug());
  await expect(page.getByRole('alert')).toContainText('The scale is disconnected. What you weighed is kept');
  await weighed(page, '9');
  await expect(piles(page).nth(1)).toContainText('✓ 9 g');
});
