import { execFileSync } from 'node:child_process';
import { readFile, writeFile } from 'node:fs/promises';
import jsQR from 'jsqr';
import type { Download, Page } from '@playwright/test';
import { fromBase45 } from '../src/files/base45';
import { clearedWorkshop, expect, test, pieceAct } from './jorrit';
import { LONG } from './tiers';

const PAD = '/pieces/sample-ferry-pad/plan';

const dialog = (page: Page) => page.getByRole('dialog', { name: 'Recipe card' });
const open = async (page: Page): Promise<void> => {
  await page.goto(PAD);
  await pieceAct(page, 'Recipe card');
  await expect(dialog(page)).toBeVisible();
};
const saved = async (page: Page, button: RegExp): Promise<Download> => {
  const waiting = page.waitForEvent('download');
  await dialog(page).getByRole('button', { name: button }).click();
  return waiting;
};

/** A page of a PDF as poppler renders it, as a picture. */
const rendered = (pdf: string, to: string, dpi = 200): string => {
  execFileSync('pdftoppm', ['-png', '-r', String(dpi), '-f', '1', '-l', '1', '-singlefile', pdf, to]);
  return `${to}.png`;
};

/** The points of a picture, as the browser decodes it. */
const pointsOf = async (page: Page, png: string) => {
  const base64 = (await readFile(png)).toString('base64');
  const got = await page.evaluate(async text => {
    const bytes = Uint8Array.from(atob(text), ch => ch.charCodeAt(0));
    const bitmap = await createImageBitmap(new Blob([bytes]));
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const c = canvas.getContext('2d', { willReadFrequently: true });
    c?.drawImage(bitmap, 0, 0);
    const data = c?.getImageData(0, 0, bitmap.width, bitmap.height).data ?? new Uint8ClampedArray();
    let out = '';
    for (let i = 0; i < data.length; i += 0x8000) out += String.fromCharCode(...data.subarray(i, i + 0x8000));
    return { width: bitmap.width, height: bitmap.height, data: btoa(out) };
  }, base64);
  return { ...got, data: new Uint8ClampedArray(Buffer.from(got.data, 'base64')) };
};

for (const paper of ['A5', 'A4', 'Letter'])
  test(
    `a card on ${paper} is rendered by poppler, and its code holds the recipe`,
    LONG,
    async ({ page }, info) => {
      await open(page);
      await dialog(page).getByRole('radio', { name: paper }).click();
      const file = JSON.parse(
        await readFile(await (await saved(page, /as a file/)).path(), 'utf8'),
      ) as unknown;
      const pdf = await (await saved(page, /card as PDF/)).path();
      const points = await pointsOf(page, rendered(pdf, info.outputPath('card')));
      const found = jsQR(points.data, points.width, points.height);
      expect(found?.data.slice(0, 4)).toBe('JR1:');
      // Unpacked by something other than what packed it: Node's own zlib.
      const packed = fromBase45(found?.data.slice(4) ?? '') ?? new Uint8Array();
      const { inflateRawSync } = await import('node:zlib');
      expect(JSON.parse(inflateRawSync(packed).toString('utf8'))).toEqual(file);
      const words = execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' });
      expect(words).toContain('Seat pad for the ferry bench');
      expect(words).toMatch(/Oat, undyed batt/);
      expect(words).toContain('Four more rounds on the bare mat next time.');
      expect(words).toContain('Hot water scalds');
    },
  );

test(
  'a teacher prints twelve cards; a pupil reads one from a picture, at another size and in a wool of their own',
  LONG,
  async ({ page }, info) => {
    await open(page);
    await dialog(page).getByRole('textbox', { name: 'How many' }).fill('12');
    await page.keyboard.press('Tab');
    const pdf = await (await saved(page, /12 cards as PDF/)).path();
    const pages = execFileSync('pdfinfo', [pdf], { encoding: 'utf8' });
    expect(Number(/Pages:\s+(\d+)/.exec(pages)?.[1]) % 12).toBe(0);
    const png = rendered(pdf, info.outputPath('pupil'), 220);
    // The pupil's own device: nothing of the teacher's is there.
    await clearedWorkshop(page);
    await page.getByRole('link', { name: 'Read a recipe' }).click();
    await page.getByText('Choose a file or picture').locator('input').setInputFiles(png);
    const recipe = page.getByRole('region', { name: 'The recipe' });
    await expect(recipe).toContainText('Seat pad for the ferry bench');
    await expect(recipe).toContainText('Came out a little long.');
    await recipe.getByRole('textbox', { name: 'As large as' }).fill('50');
    await page.keyboard.press('Tab');
    await expect(recipe.getByRole('row', { name: /diameter/i }).first()).toContainText('19.0 cm');
    await expect(recipe.getByRole('combobox', { name: /^For “Oat, undyed batt”/ })).toHaveValue('');
    await recipe.getByRole('button', { name: 'Plan it' }).click();
    await expect(page).toHaveURL(/\/pieces\/.*\/plan$/);
    await expect(page.getByRole('textbox', { name: 'Name of the piece' })).toHaveValue(
      'Seat pad for the ferry bench',
    );
    await expect(page.getByRole('textbox', { name: 'Finished diameter' })).toHaveValue('19');
    await page.getByRole('link', { name: 'Shelf' }).click();
    await expect(page.getByText('Oat, undyed batt').first()).toBeVisible();
  },
);

test(
  'what is no recipe is refused and says so: a picture without a code, another file, other people’s code',
  LONG,
  async ({ page }, info) => {
    await page.goto('/recipe');
    const input = page.getByText('Choose a file or picture').locator('input');
    const alert = page.getByRole('alert');
    const plain = await page.screenshot();
    await input.setInputFiles({ name: 'plain.png', mimeType: 'image/png', buffer: plain });
    await expect(alert).toContainText('There is no code to be seen in this picture.');
    await writeFile(info.outputPath('x.json'), '{"format":"other"}');
    await input.setInputFiles(info.outputPath('x.json'));
    await expect(alert).toContainText('This is no recipe of Jorrit’s.');
    const { toBuffer } = await import('qrcode');
    const other = await toBuffer('https://example.org/recipe', { width: 400 });
    await input.setInputFiles({ name: 'other.png', mimeType: 'image/png', buffer: other });
    await expect(alert).toContainText('The code is of something else.');
  },
);
