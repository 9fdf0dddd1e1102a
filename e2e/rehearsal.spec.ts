import type { Page } from '@playwright/test';
import { A_HAND_MS, expect, pieceAct, test } from './jorrit';

const hands = (page: Page) => page.getByRole('region', { name: 'The felt in your hands' });
const found = async (page: Page, touch: string): Promise<string> => {
  await hands(page).getByRole('button', { name: touch, exact: true }).click();
  return hands(page).getByRole('status').innerText();
};
const great = (page: Page) =>
  page
    .getByRole('button', { name: /^(Done|Measure$|Pinch test$|Test it$|Check the drawing$|To the finish)/ })
    .first();

/** Measures what the bench asks for, as the tape reads it. */
const measure = async (page: Page): Promise<void> => {
  const said = await found(page, 'Lay the tape on');
  const read = new Map([...said.matchAll(/([A-Z]\d?) ([\d.]+) cm/g)].map(([, id = '', cm = '']) => [id, cm]));
  await great(page).click();
  const panel = page.getByRole('group', { name: 'Measure' });
  for (let n = 0; n < read.size; n += 1) {
    const line = await panel.locator('p span').first().innerText();
    for (const digit of read.get(line.split(',')[0] ?? '') ?? '') await page.keyboard.press(digit);
    await page.waitForTimeout(A_HAND_MS);
    await page.getByRole('button', { name: /^(OK |Keep it as it is)/ }).click();
    if (!(await panel.isVisible())) break;
  }
};

/** Tests what the bench asks for, by what the fingers find. */
const testIt = async (page: Page): Promise<void> => {
  const name = await page
    .locator('main')
    .getByText(/^(Finger roll|Squeeze|Back of the cloth)$/)
    .locator('visible=true')
    .last()
    .innerText();
  const said = await found(page, name);
  await great(page).click();
  const grades = page
    .getByRole('group', { name: 'Tests' })
    .getByRole('button', { name: new RegExp(`^${name}: `) });
  for (const grade of await grades.all()) {
    const words = ((await grade.getAttribute('aria-label')) ?? '').slice(name.length + 2);
    if (said.toLowerCase().endsWith(`${words.toLowerCase()}.`)) return grade.click();
  }
  throw new Error(`No grade is called so: ${said}`);
};

/** Plays a rehearsal to its end by the advice alone, with the buttons of the bench. Gives how far each line is off at last, per cent. */
const play = async (page: Page): Promise<readonly number[]> => {
  for (let n = 0; n < 120; n += 1) {
    await expect(great(page)).toBeEnabled();
    const words = (await great(page).innerText()).split('\n')[0] ?? '';
    if (words === 'To the finish') break;
    if (words === 'Measure') await measure(page);
    else if (words === 'Pinch test') {
      const said = await found(page, 'Pinch it');
      await great(page).click();
      await page
        .getByRole('button', { name: new RegExp(said.replace('You pinch it: ', '').replace('.', '')) })
        .first()
        .click();
    } else if (words === 'Test it') await testIt(page);
    else await great(page).click();
    await page.waitForTimeout(A_HAND_MS);
  }
  await page.getByRole('link', { name: 'How is it truly?' }).click();
  const off = page.getByRole('region', { name: 'Size' }).locator('tbody tr td:last-child');
  await expect(off.first()).toBeVisible();
  return (await off.allInnerTexts()).map(t => Number(t.replace('−', '-').replace(/[+%\s]/g, '')));
};

for (const { piece, seed } of [
  { piece: 'sample-kelp-cosy', seed: 7 },
  { piece: 'sample-drum-balls', seed: 3 },
])
  test(`a rehearsal of ${piece} is played by the advice through the bench, to its end`, async ({ page }) => {
    test.setTimeout(120_000);
    page.setDefaultTimeout(10_000);
    await page.goto(`/rehearse/${piece}?seed=${seed}`);
    await expect(hands(page)).toBeVisible();
    const off = await play(page);
    expect(Math.max(...off.slice(0, 2).map(Math.abs))).toBeLessThanOrEqual(6);
    await expect(page.getByText(/On the same felt, in \d+ steps, it would have ended/)).toBeVisible({
      timeout: 60_000,
    });
  });

test('a rehearsal is begun from a plan, tried again from a step, and leaves nothing behind', async ({
  page,
}) => {
  const kept = (): Promise<string> =>
    page.evaluate(async () => {
      const open = indexedDB.open('jorrit');
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        open.onsuccess = () => resolve(open.result);
        open.onerror = () => reject(open.error);
      });
      const all = await Promise.all(
        [...db.objectStoreNames].map(
          name =>
            new Promise<unknown>(resolve => {
              const ask = db.transaction(name).objectStore(name).getAll();
              ask.onsuccess = () => resolve([name, ask.result]);
            }),
        ),
      );
      db.close();
      return JSON.stringify(all);
    });
  await page.goto('/pieces/sample-kelp-cosy/plan');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await page.waitForTimeout(2500);
  const before = await kept();
  await pieceAct(page, 'Rehearse it');
  await expect(hands(page)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Rehearsal' })).toContainText('nothing of it is kept');
  for (let n = 0; n < 3; n += 1) {
    await great(page).click();
    await page.waitForTimeout(A_HAND_MS);
  }
  await page.getByRole('combobox', { name: 'Try again after' }).selectOption({ index: 1 });
  await expect(page.getByRole('radio', { name: 'try 2' })).toBeChecked();
  await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(1);
  await page.getByRole('radio', { name: 'try 1' }).click();
  await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(3);
  await page.getByRole('link', { name: 'Leave' }).click();
  await expect(page.getByRole('heading', { name: 'On the table' })).toBeVisible();
  expect(await kept()).toBe(before);
});
