import { execFileSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, stage, test } from './jorrit';
import { type Path, pathsOf } from './poppler';
import { LONG } from './tiers';

const save = async (page: Page, button: string): Promise<string> => {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return download.path();
};

const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);
const sizeOf = (p: Path) => ({
  width: spread(p.points.map(([x]) => x)),
  height: spread(p.points.map(([, y]) => y)),
});

test('the check line on every sheet is 100 mm within 0.1, and sheets are numbered', async ({ page }) => {
  await page.goto('/pieces/sample-boot-liner/template');
  await expect(page.getByText('6 sheets')).toBeVisible();
  const pdf = await save(page, 'Save PDF');
  const info = execFileSync('pdfinfo', [pdf], { encoding: 'utf8' });
  expect(info).toMatch(/Pages:\s+6/);
  expect(info).toMatch(/Page size:\s+595\.\d+ x 841\.\d+ pts \(A4\)/);
  for (let sheet = 1; sheet <= 6; sheet += 1) {
    const straight = pathsOf(pdf, sheet).filter(
      p => p.points.length === 2 && sizeOf(p).height < 0.01 && sizeOf(p).width > 60,
    );
    expect(straight.some(p => Math.abs(sizeOf(p).width - 100) < 0.1)).toBe(true);
  }
  const words = execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' });
  for (const name of ['A1', 'A2', 'B1', 'B2', 'C1', 'C2']) expect(words).toContain(`Sheet ${name} of 3 × 2`);
  expect(words).toContain('Boot liner, left leg');
  expect(words).toContain('100 mm');
});

test(
  'a piece on one sheet has its laid outline at true scale, as poppler measures it',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-press-cosy/plan');
    await page.getByRole('textbox', { name: 'Girth', exact: true }).fill('16');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Hem girth', exact: true }).fill('18');
    await page.keyboard.press('Enter');
    await page.getByRole('textbox', { name: 'Wall height', exact: true }).fill('6');
    await page.keyboard.press('Enter');
    await stage(page, 'Template').click();
    await expect(page.getByText('1 sheet', { exact: false })).toBeVisible();
    const pdf = await save(page, 'Save PDF');
    // Laid: hem 180/2 ÷ 0.67 wide, crown 70 + wall 60 ÷ 0.67 long.
    const wanted = { width: 90 / 0.67, height: 130 / 0.67 };
    const outline = pathsOf(pdf, 1).filter(
      p =>
        p.closed &&
        Math.abs(sizeOf(p).width - wanted.width) < 0.1 &&
        Math.abs(sizeOf(p).height - wanted.height) < 0.1,
    );
    expect(outline.length).toBeGreaterThan(0);
  },
);

test('the SVG is in millimetres and as wide as the laid piece', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-ferry-pad/template');
  const svg = await readFile(await save(page, 'Save SVG'), 'utf8');
  const laid = 380 / 0.67;
  const width = Number(/width="([\d.]+)mm"/.exec(svg)?.[1]);
  expect(width).toBeGreaterThan(laid);
  expect(width).toBeLessThan(laid + 21);
  expect(svg).toContain('id="check-100-mm"');
});

test('the page itself, printed, says that it is not at true scale', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-boot-liner/template');
  await expect(page.getByText('6 sheets')).toBeVisible();
  await expect(page.getByText(/not at true scale/)).toBeHidden();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText(/not at true scale/)).toBeVisible();
  await expect(page.getByText('6 sheets')).toBeHidden();
});

/** How far right the words of a PDF reach, as a share of the page, as poppler measures it. */
const wordsReach = (pdf: string): number => {
  const boxes = execFileSync('pdftotext', ['-bbox', pdf, '-'], { encoding: 'utf8' });
  const width = Number(/<page width="([\d.]+)"/.exec(boxes)?.[1]);
  return Math.max(...[...boxes.matchAll(/xMax="([\d.]+)"/g)].map(([, x]) => Number(x))) / width;
};

test('Letter paper has Letter’s size, and its notes end before the margin', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-brick-sleeve/plan');
  // Narrow enough to stand upright, with three measuring lines to be written at the foot.
  await page.getByRole('textbox', { name: 'Body girth', exact: true }).fill('20');
  await page.keyboard.press('Enter');
  await stage(page, 'Template').click();
  await expect(page.getByText('1 across, 3 down, portrait')).toBeVisible();
  await page.getByRole('radio', { name: 'Letter' }).click();
  const pdf = await save(page, 'Save PDF');
  expect(execFileSync('pdfinfo', [pdf], { encoding: 'utf8' })).toMatch(/\(letter\)/i);
  expect(execFileSync('pdftotext', [pdf, '-'], { encoding: 'utf8' })).toContain('C laid');
  expect(wordsReach(pdf)).toBeLessThan(1 - 10 / 216);
});
