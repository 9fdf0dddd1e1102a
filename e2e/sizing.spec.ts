import { execFileSync } from 'node:child_process';
import { begin, expect, field, figure, stage, test, type, pieceAct } from './jorrit';
import { LONG } from './tiers';

test('a grip steps with every key, however quick, by the snap that was chosen', async ({ page }) => {
  await begin(page, 'By girths');
  const before = await figure(page, 'Girth 3');
  const grip = page.getByRole('slider', { name: 'Girth 3' });
  await grip.focus();
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('ArrowUp');
  await expect(field(page, 'Girth 3')).toHaveValue((before + 3).toFixed(1));
  await page.getByRole('radio', { name: '1 cm' }).click();
  await grip.focus();
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowUp');
  await expect(field(page, 'Girth 3')).toHaveValue((before + 7).toFixed(1));
});

test('in inches a grip stops at eighths', LONG, async ({ page }) => {
  await begin(page, 'Bag');
  await page.getByRole('button', { name: /^Units/ }).click();
  const width = page.getByRole('slider', { name: 'Width' });
  await width.focus();
  const before = await figure(page, 'Width');
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => figure(page, 'Width')).not.toBe(before);
  const inches = await figure(page, 'Width');
  expect((8 * inches) % 1).toBeCloseTo(0, 6);
});

test('a place is added to a shape by girths and taken away again, and undone', LONG, async ({ page }) => {
  await begin(page, 'By girths');
  await expect(field(page, 'Girth 6')).toHaveCount(0);
  await page.getByRole('button', { name: 'Add a place' }).click();
  await expect(field(page, 'Girth 6')).toBeVisible();
  await type(page, 'Girth 6', '12');
  await page.getByRole('button', { name: 'Remove the last' }).click();
  await expect(field(page, 'Girth 6')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field(page, 'Girth 6')).toHaveValue('12.0');
});

test(
  'a head girth of a hat comes from the table or the tape, and its ease is named',
  LONG,
  async ({ page }) => {
    await begin(page, 'Bell hat');
    await page.getByRole('combobox', { name: /head size/ }).selectOption({ label: 'large' });
    await expect(field(page, 'Head girth').first()).toHaveValue('59.0');
    await expect(page.getByText(/common practice/).first()).toBeVisible();
  },
);

test('a string round the ball says what the finished pod will be', LONG, async ({ page }) => {
  await begin(page, 'Pod on a ball');
  // 50 cm round the ball at 30 %: 35 cm finished.
  await type(page, 'Girth of the ball', '50');
  await expect(field(page, 'Finished girth')).toHaveValue('35');
});

test(
  'a solid: grams from its size, size from its grams, as the cube; rolled dry it is larger',
  LONG,
  async ({ page }) => {
    await begin(page, 'Ball');
    const [size, grams] = [await figure(page, 'Finished diameter'), await figure(page, 'Total wool')];
    await type(page, 'Finished diameter', String(2 * size));
    await expect.poll(async () => (await figure(page, 'Total wool')) / grams).toBeCloseTo(8, 1);
    await type(page, 'Total wool', String(grams));
    await expect.poll(() => figure(page, 'Finished diameter')).toBeCloseTo(size, 1);
    const dry = size / (1 - (await figure(page, 'lengthwise')) / 100);
    expect(await figure(page, 'Rolled dry')).toBeCloseTo(dry, 1);
  },
);

test('grams typed for one bead move its size, and that is said, with a way back', LONG, async ({ page }) => {
  await begin(page, 'Ball');
  const [size, grams] = [await figure(page, 'Finished diameter'), await figure(page, 'Total wool')];
  await type(page, 'Total wool', String(2 * grams));
  await expect(page.getByText(/^Finished diameter changed to fit: .* became /)).toBeVisible();
  expect(await figure(page, 'Finished diameter')).toBeGreaterThan(1.2 * size);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect.poll(() => figure(page, 'Finished diameter')).toBe(size);
});

test('beads for a length are counted, and the grams are for all of them', LONG, async ({ page }) => {
  await begin(page, 'Bead string');
  const [beads, grams] = [await figure(page, 'Beads'), await figure(page, 'Total wool')];
  // Closed, every bead and its gap take 2.5 cm: 90 cm hold 36.
  await type(page, 'String', '90');
  await expect(field(page, 'Beads')).toHaveValue('36');
  await expect.poll(async () => (await figure(page, 'Total wool')) / grams).toBeCloseTo(36 / beads, 1);
});

test(
  'a batch of thirty is weighed core and cover, with its sittings, water and trays',
  LONG,
  async ({ page }) => {
    await begin(page, 'Batch of balls with a core');
    await type(page, 'How many alike', '30');
    await stage(page, 'Wool').click();
    await expect(page.getByText('Weigh all of this 30 times')).toBeVisible();
    await page.getByRole('radio', { name: 'all together' }).click();
    await expect(page.getByRole('row', { name: /core, for 30/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /cover, for 30/ })).toBeVisible();
    await expect(page.getByText(/3 sittings of 10/)).toBeVisible();
    await expect(page.getByText(/3 trays/)).toBeVisible();
  },
);

test(
  'made again of another wool and shrinkage, it is laid otherwise and comes out the same',
  LONG,
  async ({ page }) => {
    await begin(page, 'Flat rectangle');
    const [size, laid] = [await figure(page, 'Finished length'), await figure(page, 'Laid length')];
    const shrinkage = (await figure(page, 'lengthwise')) / 100;
    await pieceAct(page, 'Another size');
    const dialog = page.getByRole('dialog', { name: 'Make it again, changed' });
    for (const axis of ['lengthwise', 'crosswise']) {
      await dialog.getByRole('textbox', { name: `Shrinkage ${axis}` }).fill('45');
      await page.keyboard.press('Enter');
    }
    await dialog.getByRole('combobox', { name: 'Wool' }).selectOption({ label: 'Kelp, carded batt' });
    await dialog.getByRole('button', { name: 'Make it' }).click();
    await expect(field(page, 'Name of the piece')).toHaveValue('Flat rectangle, again');
    expect(await figure(page, 'Finished length')).toBe(size);
    expect(await figure(page, 'Laid length')).toBeCloseTo((laid * (1 - shrinkage)) / (1 - 0.45), 0);
    await expect(page.getByRole('combobox', { name: 'Wool' })).toHaveValue('wool-kelp');
  },
);

test('a flap pocket shows its fold line, and a trumpet its petals, by face', LONG, async ({ page }) => {
  await begin(page, 'Flap pocket');
  await expect(page.getByRole('listitem').filter({ hasText: /fold/ }).first()).toBeVisible();
  await begin(page, 'Trumpet flower');
  await expect(page.getByText('petal, side 1 (2); petal, side 2 (3)')).toBeVisible();
});

test('paper and the way it lies are kept; Tabloid lying is 17 inches wide', LONG, async ({ page }) => {
  await begin(page, 'Bag');
  await stage(page, 'Template').click();
  await page.getByRole('radio', { name: 'Tabloid' }).click();
  await page.getByRole('radio', { name: 'landscape' }).click();
  await expect(page.getByText(/ landscape$/)).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save PDF' }).click(),
  ]);
  const info = execFileSync('pdfinfo', [await download.path()], { encoding: 'utf8' });
  expect(info).toMatch(/Page size:\s+1224 x 792 pts/);
  await page.reload();
  await expect(page.getByRole('radio', { name: 'Tabloid' })).toBeChecked();
  await expect(page.getByRole('radio', { name: 'landscape' })).toBeChecked();
});

test('a template of hundreds of sheets tells how far it is, and can be cancelled', LONG, async ({ page }) => {
  test.slow();
  await begin(page, 'Flat rectangle');
  await type(page, 'Length', '500');
  await type(page, 'Width', '450');
  await stage(page, 'Template').click();
  // More than anybody glues together: that is said, and nothing is begun.
  await expect(page.getByText(/^\d{4} sheets|more than/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save PDF' })).toBeDisabled();
  await stage(page, 'Plan').click();
  await type(page, 'Length', '300');
  await type(page, 'Width', '260');
  await stage(page, 'Template').click();
  await expect(page.getByText(/^[1-4]\d\d sheets/)).toBeVisible();
  await page.getByRole('button', { name: 'Save PDF' }).click();
  await expect(page.getByText(/Drawing sheet [1-9]\d* of \d{3,4}/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText(/Drawing sheet/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Save PDF' })).toBeEnabled();
});
