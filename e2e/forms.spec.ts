import { readFile, writeFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { begin, expect, field, figure, stage, test, type, pieceAct } from './jorrit';
import { LONG } from './tiers';

const GROUPS = [
  'To wear',
  'To hold things',
  'For table, floor and wall',
  'Flowers',
  'Solid through and through',
  'Your own shape',
] as const;

const readSvg = async (page: Page, path: string, text: string): Promise<void> => {
  await writeFile(path, text);
  await page.getByLabel(/Open an outline/).setInputFiles(path);
};
const svg = (d: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="200mm" viewBox="0 0 300 200"><path id="trace" d="${d}"/></svg>`;

for (const group of GROUPS)
  test(
    `everything under “${group}” is planned, weighed, drawn and taken to the bench`,
    LONG,
    async ({ page }) => {
      test.slow();
      await page.goto('/new');
      const tiles = page.getByRole('region', { name: group }).getByRole('listitem').getByRole('button');
      await expect(tiles.first()).toBeVisible();
      const titles = await tiles.locator('span:first-of-type').allTextContents();
      expect(titles.length).toBeGreaterThan(2);
      for (const title of titles) {
        await begin(page, title);
        await expect(page.getByRole('alert')).toHaveCount(0);
        expect(await figure(page, 'Total wool')).toBeGreaterThan(0);
        await stage(page, 'Wool').click();
        await expect(page.getByText('take from the shelf')).toBeVisible();
        await stage(page, 'Template').click();
        await expect(page.getByText(/\d sheets?/).first()).toBeVisible();
        await stage(page, 'Bench').click();
        await expect(page.getByRole('region', { name: /^(Next|Laying)$/ })).toContainText(
          /Lay layer 1|Blow the ball up|Lay thin plastic|Tease the|Wad the core|Twist it dry/,
        );
        await stage(page, 'Finish').click();
        await expect(page.getByText('Plan against result')).toBeVisible();
      }
    },
  );

test('a form is found by a word, also one of what it is for', LONG, async ({ page }) => {
  await page.goto('/new');
  await field(page, 'Find').fill('hot-water');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByRole('listitem')).toContainText('Bottle sleeve');
});

test('begun from a resist you have, the finished size follows from it', LONG, async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('radio', { name: 'a resist you have' }).click();
  await page.getByRole('button', { name: /^Bowl/ }).click();
  await expect(page.getByRole('button', { name: 'Keep Disc resist' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await type(page, 'Disc resist', '36');
  // 36 cm of disc at 40 %: 21.6 cm flat, and mouth, base and height in their proportions.
  await expect(field(page, 'Finished disc')).toHaveValue('21.6');
  const [mouth, height] = [await figure(page, 'Mouth'), await figure(page, 'Height')];
  expect(mouth / height).toBeCloseTo(140 / 90, 1);
});

test('begun from the wool you have left, the size follows from it', LONG, async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('radio', { name: 'the wool you have left' }).click();
  await page.getByRole('button', { name: /^Egg/ }).click();
  const [length, wool] = [await figure(page, 'Finished length'), await figure(page, 'Total wool')];
  await type(page, 'Total wool', String(8 * wool));
  await expect.poll(() => figure(page, 'Finished length')).toBeCloseTo(2 * length, 0);
});

test('a shoe size sets the foot, and says what it rests on', LONG, async ({ page }) => {
  await begin(page, 'Slipper');
  await page.getByRole('combobox', { name: /shoe size/ }).selectOption({ label: 'EU 42 · UK 8.5' });
  await expect(field(page, 'Foot length').first()).toHaveValue('26.5');
  await page.getByRole('button', { name: 'Why these shoe sizes?' }).click();
  await expect(page.getByRole('dialog')).toContainText('ISO/TS 19407');
});

test('a pair takes twice the wool, and is weighed twice alike', LONG, async ({ page }) => {
  await begin(page, 'Cosy');
  const one = await figure(page, 'Total wool');
  await type(page, 'How many alike', '2');
  await expect.poll(() => figure(page, 'Total wool')).toBeCloseTo(2 * one, 0);
  await stage(page, 'Wool').click();
  await expect(page.getByText('Weigh all of this 2 times, each the same')).toBeVisible();
});

test('measured outside, a cushion is two walls smaller inside', LONG, async ({ page }) => {
  await begin(page, 'Cushion');
  await page.getByRole('radio', { name: 'outside' }).click();
  await stage(page, 'Finish').click();
  // 40 cm less two walls of 4 mm.
  await expect(page.getByRole('row', { name: /A, length/ })).toContainText('39.2 cm');
});

test(
  'a grid finds the one figure that is left out, and what is typed no longer follows',
  LONG,
  async ({ page }) => {
    await begin(page, 'Relief panel');
    await expect(field(page, 'Cell, lengthwise')).toHaveValue('6.7');
    await type(page, 'Cells lengthwise', '6');
    // (42 − 5·1.2 − 2·1.8)/6 = 5.4 cm.
    await expect(field(page, 'Cell, lengthwise')).toHaveValue('5.4');
    await type(page, 'Cell, lengthwise', '6');
    // 6·6 + 5·1.2 + 2·1.8 = 45.6 cm.
    await expect(field(page, 'Length')).toHaveValue('45.6');
    await expect(page.getByText('Felted together')).toBeVisible();
  },
);

test('the front of a flap pocket carries no flap', LONG, async ({ page }) => {
  await begin(page, 'Flap pocket');
  const wool = page.getByTestId('table').locator('[data-role=wool]');
  const high = async (): Promise<number> => (await wool.boundingBox())?.height ?? 0;
  const whole = await high();
  await page.getByRole('radio', { name: 'front' }).click();
  await expect.poll(high).toBeLessThan(whole * 0.8);
});

test('the finished form is turned by the keyboard', LONG, async ({ page }) => {
  await begin(page, 'Vessel with a neck');
  const form = page.getByRole('slider', { name: 'Finished form: turn it' });
  await form.focus();
  await page.keyboard.press('ArrowRight');
  await expect(form).toHaveAttribute('aria-valuetext', 'turned 50 degrees');
});

test('made again at half the area, a recipe takes half the wool', LONG, async ({ page }) => {
  await begin(page, 'Flat rectangle');
  const wool = await figure(page, 'Total wool');
  await pieceAct(page, 'Another size');
  const dialog = page.getByRole('dialog', { name: 'Make it again, changed' });
  await dialog.getByRole('textbox', { name: 'As large as' }).fill('50');
  await dialog.getByRole('radio', { name: 'area' }).click();
  await expect(dialog).toContainText('That is 71 % of its length');
  await expect(dialog).toContainText('0.71 times as long, 0.50 times the wool');
  await dialog.getByRole('button', { name: 'Make it' }).click();
  await expect(field(page, 'Name of the piece')).toHaveValue('Flat rectangle, again');
  expect(await figure(page, 'Total wool')).toBeCloseTo(wool / 2, 0);
});

test.describe('a drawn outline', () => {
  test('is edited with the keyboard, undone, and kept', LONG, async ({ page }) => {
    await begin(page, 'Free shape, flat');
    await page.getByRole('button', { name: 'Edit its points' }).click();
    const points = page.getByRole('slider', { name: 'Points of the outline' });
    await points.focus();
    for (let i = 0; i < 2; i += 1) await page.keyboard.press(']');
    await expect(points).toHaveAttribute('aria-valuetext', /^Point 3 of 4, round.*, 8.8 cm crosswise/);
    // Five keys at once are five half centimetres.
    for (let i = 0; i < 5; i += 1) await page.keyboard.press('ArrowDown');
    await expect(points).toHaveAttribute('aria-valuetext', /, 11.3 cm crosswise/);
    await page.getByRole('button', { name: 'Make it a corner' }).click();
    await expect(points).toHaveAttribute('aria-valuetext', /^Point 3 of 4, corner/);
    await page.getByRole('button', { name: 'Add after' }).click();
    await expect(points).toHaveAttribute('aria-valuetext', /^Point 4 of 5/);
    await page.getByRole('button', { name: 'Done with points' }).click();
    const width = await figure(page, 'Width');
    expect(width).toBeGreaterThan(22);
    await page.reload();
    await expect(field(page, 'Width')).toHaveValue(width.toFixed(1));
  });

  test('is dragged on the table, and undo puts the point back', async ({ page }) => {
    await begin(page, 'Free shape, hollow');
    const before = await figure(page, 'Length');
    await page.getByRole('button', { name: 'Edit its points' }).click();
    const points = page.getByRole('slider', { name: 'Points of the outline' });
    await points.focus();
    for (let i = 0; i < 4; i += 1) await page.keyboard.press(']');
    await expect(points).toHaveAttribute('aria-valuetext', /^Point 5 of 13/);
    const mark = await points.locator('circle').boundingBox();
    const [x, y] = [(mark?.x ?? 0) + 8, (mark?.y ?? 0) + 8];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (let i = 1; i <= 6; i += 1) await page.mouse.move(x + 10 * i, y);
    await page.mouse.up();
    await page.getByRole('button', { name: 'Done with points' }).click();
    await expect.poll(() => figure(page, 'Length')).toBeGreaterThan(before + 1);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(field(page, 'Length')).toHaveValue(before.toFixed(1));
  });

  test('that would cross itself is shown where, and not kept', LONG, async ({ page }) => {
    await begin(page, 'Free shape, hollow');
    const before = await figure(page, 'Total wool');
    await page.getByRole('button', { name: 'Edit its points' }).click();
    const points = page.getByRole('slider', { name: 'Points of the outline' });
    await points.focus();
    // The lower corner of the wrist, thrown up past the other one.
    for (let i = 0; i < 12; i += 1) await page.keyboard.press('ArrowDown');
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowDown');
    await expect(page.getByText(/crosses itself at .* The outline is unchanged/).first()).toBeVisible();
    await page.reload();
    await expect(page.getByRole('alert')).toHaveCount(0);
    expect(await figure(page, 'Total wool')).toBeGreaterThan(before * 0.5);
  });

  test('is read from an SVG in mm, with ease all round', LONG, async ({ page }, info) => {
    await begin(page, 'Free shape, hollow');
    await readSvg(page, info.outputPath('trace.svg'), svg('M20 20h240v100h-240z'));
    await expect(field(page, 'Length')).toHaveValue('24.0');
    await expect(field(page, 'Width')).toHaveValue('10.0');
    await stage(page, 'Finish').click();
    // 24 and 10 cm, and 1 cm of ease on each side.
    await expect(page.getByRole('row', { name: /A, length/ })).toContainText('26.0 cm');
    await expect(page.getByRole('row', { name: /B, width/ })).toContainText('12.0 cm');
  });

  test('bad files are told with the place, and change nothing', LONG, async ({ page }, info) => {
    await begin(page, 'Free shape, flat');
    const before = await figure(page, 'Length');
    const path = info.outputPath('bad.svg');
    for (const [text, says] of [
      [
        svg('M0 0L50 50L50 0L0 50Z'),
        /crosses itself at 2.5 cm lengthwise, 2.5 cm crosswise. \(path “trace”\)/,
      ],
      [svg('M0 0L50 0L50 50'), /not closed/],
      ['<svg><rect', /cannot be read as SVG/],
      [svg(''), /No outline was found/],
    ] as const) {
      await readSvg(page, path, text);
      await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
    }
    await expect(field(page, 'Length')).toHaveValue(before.toFixed(1));
    const hostile = `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100"><script>document.title='touched'</script><image href="http://example.org/x.png"/><g onload="document.title='touched'"><rect width="80" height="60"/></g></svg>`;
    await readSvg(page, path, hostile);
    await expect(field(page, 'Length')).toHaveValue('8.0');
    await expect(page.getByText('A script was left out')).toBeVisible();
    await expect(page).toHaveTitle(/^Free shape/);
  });
});

test('a template goes out as DXF, half of it on the fold', LONG, async ({ page }) => {
  await begin(page, 'Bell hat');
  await stage(page, 'Template').click();
  const save = async (): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save DXF' }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/\.dxf$/);
    return readFile(await download.path(), 'utf8');
  };
  const whole = await save();
  expect(whole).toContain('AC1009');
  expect(whole).not.toContain('put the fold line');
  await page.getByRole('radio', { name: 'half, on the fold' }).click();
  const half = await save();
  expect(half).toContain('put the fold line');
  const width = (dxf: string): number => {
    const [min, max] = ['EXTMIN', 'EXTMAX'].map(name =>
      Number(new RegExp(`\\$${name}\\s+10\\s+(\\S+)`).exec(dxf)?.[1]),
    );
    return (max ?? 0) - (min ?? 0);
  };
  expect(width(half) / width(whole)).toBeCloseTo(0.5, 1);
});

test('a plan that cannot be is told, and can be mended after a reload', LONG, async ({ page }) => {
  await begin(page, 'Bottle sleeve');
  await type(page, 'Neck girth', '40');
  await expect(page.getByRole('alert')).toContainText('The neck is wider than the body');
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('The neck is wider than the body');
  await expect(field(page, 'Neck girth')).toHaveValue('40.0');
  await type(page, 'Neck girth', '12');
  await expect(page.getByRole('alert')).toHaveCount(0);
});
