import { readFile, writeFile } from 'node:fs/promises';
import { onePiece, workshopText } from '../src/files/writeWorkshop';
import { pieceKind } from '../src/records/piece';
import { sampleWorkshop } from '../src/sample/sampleWorkshop';
import { clearedWorkshop, expect, test } from './jorrit';
import { measured, rounds } from './promises/rounds';
import { LONG } from './tiers';

const NOW = '2026-11-20T09:30:00.000Z';

test('the record is found, sorted, compared, and saved as a table', async ({ page }) => {
  await page.goto('/record');
  const rows = page.getByTestId('record').getByRole('listitem');
  await expect(rows).toHaveCount(5);
  await page.getByRole('textbox', { name: 'Find' }).fill('ferry mat');
  await expect(rows).toHaveCount(1);
  await expect(rows.first()).toContainText('Seat pad for the ferry bench');
  await page.getByRole('textbox', { name: 'Find' }).fill('');
  await page.getByRole('combobox', { name: 'Sorted by' }).selectOption({ label: 'dry weight' });
  await expect(rows.first()).toContainText('Seat pad for the ferry bench');
  await page.getByRole('button', { name: 'Other way round' }).click();
  await expect(rows.last()).toContainText('Seat pad for the ferry bench');
  await page.getByRole('combobox', { name: 'Form' }).selectOption({ label: 'Bottle sleeve' });
  await expect(rows).toHaveCount(1);
  await page.getByRole('combobox', { name: 'Form' }).selectOption({ label: 'any' });
  for (const name of ['Seat pad for the ferry bench', 'Brick bottle sleeve'])
    await page.getByRole('checkbox', { name: `Compare ${name}` }).check();
  const beside = page.getByRole('region', { name: 'Side by side' });
  await expect(beside.getByRole('row', { name: /^shrinkage lengthwise/ })).toContainText(/31 %.*36 %/);
  await expect(beside).toContainText('Four more rounds on the bare mat next time.');
  await expect(beside.getByRole('img', { name: /^Length against work/ })).toBeVisible();
  await beside.getByRole('button', { name: 'Leave the comparison' }).click();
  await expect(beside).toHaveCount(0);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a table' }).click();
  const text = await readFile(await (await saved).path(), 'utf8');
  expect(text.split('\r\n')).toHaveLength(6);
  expect(text).toContain('Brick bottle sleeve,Bottle sleeve,');
  await page.getByRole('button', { name: 'Wall of pictures' }).click();
  await expect(page.getByText('No finished piece has a picture yet.')).toBeVisible();
});

test('how right Jorrit was is replayed from the logs, with what chance does to so few', async ({ page }) => {
  await page.goto('/record');
  await page.getByRole('link', { name: 'How right was Jorrit?' }).click();
  await expect(
    page.getByText(/^Of 25 predicted lengths that a tape tested, \d+ lay in their range/),
  ).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByRole('row', { name: /^Brick, combed tops/ })).toContainText(/\d+ of 15/);
  await expect(page.getByRole('row', { name: /^Seat pad/ })).toContainText(/\d+ of 10/);
});

test(
  'what to change next time stands before the maker when the piece is made again',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/diary');
    await page.getByRole('button', { name: 'Make again' }).click();
    const last = page.getByRole('note');
    await expect(last).toContainText('To change this time, from “Seat pad for the ferry bench”');
    await expect(last).toContainText('Four more rounds on the bare mat next time.');
    await page.getByRole('link', { name: 'Bench', exact: true }).click();
    await expect(last).toContainText('Four more rounds on the bare mat next time.');
  },
);

test('how it fits, in a word, asks of the next one to be smaller or larger', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-brick-sleeve/finish');
  await page.getByRole('radio', { name: 'tight' }).click();
  await expect(page.getByText('It was tight: plan the next about 3.5 % larger.')).toBeVisible();
  await page.getByRole('button', { name: 'Make again' }).click();
  await expect(page.getByRole('note')).toContainText(
    'It was tight: plan the next about 3.5 % larger. Good on the flask.',
  );
});

test('two thousand finished pieces are found and scrolled as five are', LONG, async ({ page }, info) => {
  test.setTimeout(180_000);
  const sample = onePiece(sampleWorkshop(NOW), 'sample-ferry-pad');
  const pad = sample.records.find(pieceKind.is);
  if (!pad) throw new Error('no pad');
  const many = Array.from({ length: 2000 }, (_, i) => ({
    ...pad,
    id: `pad-${i}`,
    name: `Pad ${String(i).padStart(4, '0')}`,
    sample: false,
    result: { ...pad.result, grams: 100 + ((i * 37) % 300) },
  }));
  const path = info.outputPath('many.json');
  await clearedWorkshop(page);
  const wools = sample.records.filter(r => !pieceKind.is(r));
  await writeFile(path, workshopText({ records: [...many, ...wools], entries: [], unread: [] }, NOW));
  await page.getByLabel('Choose a file').setInputFiles(path);
  const take = page.getByRole('button', { name: /^Take/ }).first();
  const done = page.getByText(/^Opened:/);
  await expect(take.or(done).first()).toBeVisible({ timeout: 60_000 });
  if (await take.isVisible()) await take.click();
  await expect(done).toBeVisible({ timeout: 60_000 });
  await page.goto('/record');
  await expect(page.getByText('2000 finished')).toBeVisible({ timeout: 90_000 });
  const list = page.getByTestId('record');
  expect(await list.getByRole('listitem').count()).toBeLessThan(60);
  // A field is typed into, and the list shows what is found: from the key to the next paint.
  const find = (text: string): Promise<number> =>
    page.evaluate(async words => {
      const field = [...document.querySelectorAll('input')].find(i => i.labels?.[0]?.textContent === 'Find');
      if (!field) throw new Error('no field');
      const began = performance.now();
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, words);
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise(requestAnimationFrame);
      await new Promise(resolve => setTimeout(resolve, 0));
      return performance.now() - began;
    }, text);
  const times: number[] = [];
  for (const text of ['pad 01', 'pad 1', 'p', 'pad 19', '']) times.push(await find(text));
  measured(info, `finding in 2 000, to the next paint: ${times.map(Math.round).join(', ')} ms`);
  expect(Math.min(...times)).toBeLessThan(rounds(400, 50));
  await find('pad 1999');
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await find('');
  // Scrolled to the end, it draws what is there, and no more.
  await list.evaluate(e => e.scrollTo(0, e.scrollHeight));
  await expect(list.getByRole('listitem').last()).toHaveAttribute('aria-posinset', '2000');
  expect(await list.getByRole('listitem').count()).toBeLessThan(60);
});
