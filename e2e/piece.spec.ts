import { SAMPLE, expect, field, figure, test, type, pieceAct } from './jorrit';
import { LONG } from './tiers';

test.describe('the plan', () => {
  test('is changed by dragging on the drawing, and the rest follows', async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    const before = Number(await field(page, 'Total wool').inputValue());
    const grip = page.getByRole('slider', { name: 'Diameter' }).first();
    const box = await grip.boundingBox();
    if (!box) throw new Error('no grip');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 20, y, { steps: 4 });
    // Drawn between two moves of the finger, the figures after the drawing: grams go with the square of the diameter.
    const size = () => figure(page, 'Diameter');
    const follows = async (): Promise<number> =>
      (await figure(page, 'Total wool')) / before / ((await size()) / 38) ** 2;
    await expect.poll(size).toBeGreaterThan(40);
    await expect.poll(follows).toBeCloseTo(1, 2);
    await page.mouse.up();
    await expect.poll(follows).toBeCloseTo(1, 2);
    const last = await size();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(field(page, 'Diameter')).toHaveValue('38.0');
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(field(page, 'Diameter')).toHaveValue(last.toFixed(1));
  });

  test('Ctrl+Z undoes, Ctrl+Shift+Z and Ctrl+Y do again', async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    await page.getByRole('button', { name: 'Keep Thickness' }).click();
    const pin = page.getByRole('button', { name: 'Keep Thickness' });
    for (const again of ['Control+Shift+z', 'Control+y']) {
      await page.keyboard.press('Control+z');
      await expect(pin).toHaveAttribute('aria-pressed', 'false');
      await page.keyboard.press(again);
      await expect(pin).toHaveAttribute('aria-pressed', 'true');
    }
  });

  test(
    'says of a piece that is laid that its plan is what it is measured against',
    LONG,
    async ({ page }) => {
      await page.goto('/pieces/sample-kelp-cosy/plan');
      await expect(page.getByText(/This piece is laid\./)).toBeVisible();
      await page.goto('/pieces/sample-boot-liner/plan');
      await expect(page.getByRole('heading', { name: 'Linked figures' })).toBeVisible();
      await expect(page.getByText(/This piece is laid\./)).toBeHidden();
    },
  );

  test('the wool is drawn layer by layer, each the other way', LONG, async ({ page }) => {
    await page.goto('/pieces/sample-boot-liner/wool');
    await expect(page.getByText('Layer 1 lies lengthwise.')).toBeVisible();
    await page.getByRole('radio', { name: 'layer 2' }).click();
    await expect(page.getByText('Layer 2 lies crosswise.')).toBeVisible();
    await page.getByRole('button', { name: 'Why these masses?' }).click();
    await expect(page.getByRole('dialog')).toContainText('rounded to the 1 g your scale reads');
  });

  test('dragging the laid outline changes the shrinkage of that direction', LONG, async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    const grip = page.getByRole('slider', { name: 'Shrinkage lengthwise' });
    await grip.focus();
    await page.keyboard.press('ArrowUp');
    await expect(field(page, 'lengthwise')).toHaveValue('33.5');
    await expect(field(page, 'crosswise')).toHaveValue('33');
  });

  test('says which pins disagree and by how much, and offers what would do', async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    for (const name of ['Finished diameter', 'Thickness', 'Firmness', 'Shrinkage'])
      await page.getByRole('button', { name: `Keep ${name}`, exact: true }).click();
    await type(page, 'Total wool', '200');
    const alert = page.getByRole('alert');
    await expect(alert).toContainText('Total wool 200.0 g');
    await expect(alert).toContainText('33.8 g more');
    await alert.getByRole('button', { name: 'Thickness 6.8 mm' }).click();
    await expect(alert).toBeHidden();
    await expect(field(page, 'Total wool')).toHaveValue('200');
  });

  test(
    'explains the usual slip and unreadable figures, and keeps the last good one',
    LONG,
    async ({ page }) => {
      await page.goto('/pieces/sample-ferry-pad/plan');
      await field(page, 'lengthwise').fill('+30');
      await expect(page.getByText(/ends up at 0.91 of the target size/)).toBeVisible();
      await page.keyboard.press('Escape');
      await expect(field(page, 'lengthwise')).toHaveValue('33');
      await field(page, 'Thickness').fill('8 potatoes');
      await expect(page.getByText(/does not read as a number/)).toBeVisible();
      await page.keyboard.press('Escape');
      await expect(field(page, 'Thickness')).toHaveValue('8');
    },
  );

  test('switches units at any moment without loss', LONG, async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    await type(page, 'Diameter', '12 1/4 in');
    await expect(field(page, 'Diameter')).toHaveValue('31.1');
    await page.getByRole('button', { name: /^Units/ }).click();
    await expect(field(page, 'Diameter')).toHaveValue('12 1/4');
    await page.getByRole('button', { name: /^Units/ }).click();
    await page.getByRole('button', { name: /^Units/ }).click();
    await expect(field(page, 'Diameter')).toHaveValue('12 1/4');
  });

  test('a form by girths takes another place, and undo takes it away', LONG, async ({ page }) => {
    await page.goto('/pieces/sample-boot-liner/plan');
    await page.getByRole('button', { name: 'Add a place' }).click();
    await expect(field(page, 'Place 6')).toHaveValue('50.0');
    await type(page, 'Girth 6', '36');
    await expect(field(page, 'Finished length on the wall')).toHaveValue('50');
    await page.getByRole('button', { name: 'Remove the last' }).click();
    await expect(field(page, 'Place 6')).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(field(page, 'Girth 6')).toHaveValue('36.0');
  });

  test('every figure says why', async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    await page.getByRole('button', { name: 'Why total wool?' }).click();
    const why = page.getByRole('dialog');
    await expect(why).toContainText('G = g₀ · A');
    await expect(why).toContainText('area of the laid wool');
  });

  test('a menu, a sheet and a reason are worked by keys, and give the focus back', async ({ page }) => {
    await page.goto('/pieces/sample-brick-sleeve/plan');
    const more = page.getByRole('button', { name: 'More', exact: true });
    await more.press('Enter');
    const items = page.getByRole('menuitem');
    await expect(items.first()).toBeFocused();
    await page.keyboard.press('ArrowUp');
    await expect(items.last()).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(items).toHaveCount(0);
    await expect(more).toBeFocused();
    await more.click();
    await page.getByRole('menuitem', { name: 'Another size' }).press('Enter');
    const sheet = page.getByRole('dialog', { name: 'Make it again, changed' });
    // Round and round in it: nothing below is reached.
    await expect(sheet.getByRole('button', { name: 'Close' })).toBeFocused();
    await page.keyboard.press('Shift+Tab');
    await expect(sheet.getByRole('button', { name: 'Make it' })).toBeFocused();
    await page.keyboard.press('Tab');
    await expect(sheet.getByRole('button', { name: 'Close' })).toBeFocused();
    // What is unfolded in it folds first.
    await sheet.getByRole('button', { name: /^Why/ }).click();
    await expect(sheet.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(sheet.getByRole('dialog')).toHaveCount(0);
    // What had the focus may go away: keys are for the sheet all the same.
    await page.evaluate(() => document.activeElement instanceof HTMLElement && document.activeElement.blur());
    await page.keyboard.press('Tab');
    await expect(sheet.getByRole('button', { name: 'Close' })).toBeFocused();
    await page.evaluate(() => document.activeElement instanceof HTMLElement && document.activeElement.blur());
    await page.keyboard.press('Escape');
    await expect(sheet).toHaveCount(0);
    // A tap beside folds it, and one on its button as well.
    const why = page.getByRole('button', { name: 'Why total wool?' });
    const reason = page.getByRole('dialog', { name: 'Why total wool?' });
    for (const fold of [() => page.mouse.click(40, 160), () => why.click()]) {
      await why.click();
      await expect(reason).toBeVisible();
      await fold();
      await expect(reason).toHaveCount(0);
    }
  });

  test('keeps what was typed a moment before the tab was closed', async ({ page, context }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    await field(page, 'Thickness').fill('9');
    await page.close({ runBeforeUnload: true });
    const again = await context.newPage();
    await again.goto('/pieces/sample-ferry-pad/plan');
    await expect(field(again, 'Thickness')).toHaveValue('9');
  });

  for (const [path, label] of [
    ['/pieces/sample-ferry-pad/plan', 'Name of the piece'],
    ['/pieces/sample-ferry-pad/finish', 'What to change next time'],
    ['/shelf', 'Name'],
  ] as const)
    test(`${path}: no letter is lost, however fast one types`, LONG, async ({ page }) => {
      const words = 'Rolled forty times along and across, twice on the bare mat; thin at one edge.';
      await page.goto(path);
      const name = field(page, label).first();
      await name.fill('-');
      await page.keyboard.press('End');
      await page.keyboard.type(words);
      await expect(name).toHaveValue(`-${words}`);
      await page.keyboard.press('Tab');
      await expect(name).toHaveValue(`-${words}`);
      await page.reload();
      await expect(name).toHaveValue(`-${words}`);
    });

  test('a name can be emptied while it is typed anew, and is never kept empty', LONG, async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    const name = field(page, 'Name of the piece');
    await name.fill('');
    await expect(name).toHaveValue('');
    await page.keyboard.press('Tab');
    await expect(name).toHaveValue('Seat pad for the ferry bench');
  });

  test('a wool typed a moment before the tab was closed is kept too', LONG, async ({ page, context }) => {
    await page.goto('/shelf');
    const grams = (p: typeof page) => field(p, 'On the shelf').first();
    await expect(grams(page)).toHaveValue('310.0');
    await grams(page).fill('275');
    await page.close({ runBeforeUnload: true });
    const again = await context.newPage();
    await again.goto('/shelf');
    await expect(grams(again)).toHaveValue('275.0');
  });

  test('on a tablet what is seldom wanted stands behind one button', LONG, async ({ page }) => {
    await page.setViewportSize({ width: 820, height: 1180 });
    await page.goto('/pieces/sample-lamp-band/plan');
    await page.getByRole('button', { name: 'More' }).click();
    await page.getByRole('menuitem', { name: 'Make again' }).click();
    await expect(field(page, 'Name of the piece')).toHaveValue('Lamp band for the loft, again');
  });

  test('a new piece is taken back by undo', LONG, async ({ page }) => {
    await page.goto('/new');
    await page.getByRole('button', { name: /Cosy/ }).click();
    await expect(page.getByRole('heading', { name: 'Linked figures' })).toBeVisible();
    await page.getByRole('link', { name: 'Table', exact: true }).click();
    await expect(page.getByRole('main').locator('a[href^="/pieces/"]')).toHaveCount(SAMPLE.pieces + 1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('main').locator('a[href^="/pieces/"]')).toHaveCount(SAMPLE.pieces);
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(page.getByRole('main').locator('a[href^="/pieces/"]')).toHaveCount(SAMPLE.pieces + 1);
  });

  test('a deleted piece comes back with undo', LONG, async ({ page }) => {
    await page.goto('/pieces/sample-lamp-band/plan');
    await pieceAct(page, 'Delete');
    await expect(page.getByRole('link', { name: /Lamp band/ })).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.getByRole('link', { name: /Lamp band/ })).toBeVisible();
  });
});
