import { readFile } from 'node:fs/promises';
import { A_HAND_MS, clearedWorkshop, expect, pieceAct, test } from './jorrit';
import { found, great, hands } from './promises/playing';
import { LONG } from './tiers';

test(
  'a rehearsal is begun from a plan, tried again from a step, and leaves nothing behind',
  LONG,
  async ({ page }) => {
    const kept = (): Promise<readonly string[]> =>
      page.evaluate(async () => {
        const open = indexedDB.open('jorrit');
        const db = await new Promise<IDBDatabase>((resolve, reject) => {
          open.onsuccess = () => resolve(open.result);
          open.onerror = () => reject(open.error);
        });
        const all = await Promise.all(
          // What is only worked out from the rest is made anew whenever it is looked at.
          [...db.objectStoreNames]
            .filter(name => name !== 'summaries')
            .map(
              name =>
                new Promise<unknown>(resolve => {
                  const ask = db.transaction(name).objectStore(name).getAll();
                  ask.onsuccess = () => resolve([name, ask.result]);
                }),
            ),
        );
        db.close();
        // A digest of each table: what differs is told by its name.
        return Promise.all(
          all.map(async table => {
            const text = JSON.stringify(table);
            const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
            return `${text.slice(2, 14)} ${[...new Uint8Array(digest)].slice(0, 8).join('-')}`;
          }),
        );
      });
    await page.goto('/pieces/sample-kelp-cosy/plan');
    await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
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
    // The bench knows the other try as any other piece that is on it.
    await page.getByRole('navigation', { name: 'Also on the bench' }).getByRole('link').first().click();
    await expect(page.getByRole('radio', { name: 'try 1' })).toBeChecked();
    await expect(page.getByRole('region', { name: 'Log' }).getByRole('listitem')).toHaveCount(3);
    await page.getByRole('link', { name: 'Leave' }).click();
    await expect(page.getByRole('heading', { name: 'On the table' })).toBeVisible();
    expect(await kept()).toEqual(before);
  },
);

test('from an empty workshop to the end of the first lesson, all of it said on the spot', async ({
  page,
}) => {
  await clearedWorkshop(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'the first lesson' }).click();
  const lesson = page.getByRole('region', { name: 'Lesson' });
  await expect(lesson).toContainText('Step 1 of 4');
  await great(page).click();
  await expect(lesson).toContainText('Step 2 of 4');
  await page.waitForTimeout(A_HAND_MS);
  await great(page).click();
  for (let n = 0; n < 8; n += 1) {
    await page.waitForTimeout(A_HAND_MS);
    await expect(great(page)).toBeEnabled();
    if (!(await great(page).innerText()).startsWith('Pinch')) {
      await great(page).click();
      continue;
    }
    const said = (await found(page, 'Pinch it')).replace('You pinch it: ', '').replace('.', '');
    await great(page).click();
    await page
      .getByRole('button', { name: new RegExp(said) })
      .first()
      .click();
    if (said.includes('lifts as one')) break;
  }
  await expect(lesson).toContainText('The skin holds. From here it can be rolled.');
  await lesson.getByRole('link', { name: 'Other lessons' }).click();
  await expect(page.getByRole('link', { name: /^Begin / })).toHaveCount(9);
});

test(
  'a lesson is saved as a file, changed, and opened as one’s own; a broken one says what is wrong',
  LONG,
  async ({ page }) => {
    await page.goto('/lessons');
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save Feel the skin as a file' }).click();
    const text = await readFile(await (await download).path(), 'utf8');
    const changed = text
      .replace('"id": "skin"', '"id": "my-skin"')
      .replace('Feel the skin', 'Our first evening');
    const open = (name: string, of: string) =>
      page
        .locator('input[type=file]')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(of) });
    await open('lesson.json', changed);
    await expect(page.getByRole('link', { name: 'Begin Our first evening' })).toBeVisible();
    await page.reload();
    await page.getByRole('link', { name: 'Begin Our first evening' }).click();
    await expect(page.getByRole('region', { name: 'Lesson' })).toContainText('Our first evening');
    await page.goto('/lessons');
    await open('broken.json', changed.replace('"steps"', '"stops"'));
    await expect(page.getByRole('alert')).toContainText('steps');
    await page.getByRole('button', { name: 'Remove Our first evening' }).click();
    await expect(page.getByRole('link', { name: 'Begin Our first evening' })).toHaveCount(0);
  },
);

test('a teacher changes a lesson, and passes on what is her own', LONG, async ({ page }) => {
  await page.goto('/lessons');
  await page.getByRole('link', { name: 'Change Feel the skin' }).click();
  await page.getByLabel('Its name').fill('The skin, in our class');
  await page.getByLabel('Step 1 says').fill('Wet it as I showed you.');
  await page.getByRole('group', { name: 'Step 2' }).getByLabel('at least').fill('80');
  await page.getByRole('button', { name: 'Another step' }).click();
  await page.getByLabel('Step 5 says').fill('Show it to me.');
  await page.getByRole('group', { name: 'Step 5' }).getByLabel('and waits until').selectOption('sound');
  await page.getByRole('button', { name: 'Remove step 4' }).click();
  await page.getByRole('combobox', { name: 'Made as' }).selectOption({ label: 'Kelp cosy, four cups' });
  await page.getByRole('button', { name: 'Keep it as my own' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save The skin, in our class as a file' }).click();
  const kept = JSON.parse(await readFile(await (await download).path(), 'utf8')) as {
    readonly steps: ReadonlyArray<{ readonly says: string; readonly until: unknown }>;
  };
  expect(kept.steps.map(s => s.says)).toHaveLength(4);
  expect(kept.steps[1]?.until).toEqual({ is: 'done', act: 'rub', least: 80 });
  expect(kept.steps[3]).toEqual({ says: 'Show it to me.', until: { is: 'sound' } });
  // The one it came from is there as it was.
  await expect(page.getByRole('link', { name: 'Begin Feel the skin' })).toBeVisible();
  await page.getByRole('link', { name: 'Begin The skin, in our class' }).click();
  await expect(page.getByRole('region', { name: 'Lesson' })).toContainText('Wet it as I showed you.');
  await expect(page.getByRole('navigation', { name: 'Also on the bench' })).toHaveCount(0);
});

test('what if: a real piece is gone on with as a copy, on several felts', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-galley-mat/bench');
  const log = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
  await expect(log.first()).toBeVisible();
  const entries = await log.count();
  await page.getByRole('button', { name: 'What if …' }).click();
  await expect(hands(page)).toBeVisible();
  expect(await log.count()).toBe(entries);
  await page.getByRole('link', { name: 'How is it truly?' }).click();
  await expect(page.getByText(/may be any of 12 felts/)).toBeVisible();
  await page.getByRole('link', { name: 'Leave' }).click();
  await expect(page.getByRole('heading', { name: 'On the table' })).toBeVisible();
});
