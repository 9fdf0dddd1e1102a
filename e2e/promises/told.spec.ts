import type { Page } from '@playwright/test';
import { expect, field, SAMPLE, test } from '../jorrit';
import { LONG } from '../tiers';
import { within } from '../within';

const clearDatabase = async (page: Page, origin: string): Promise<void> => {
  const cdp = await page.context().newCDPSession(page);
  await page.goto('about:blank');
  await cdp.send('Storage.clearDataForOrigin', { origin, storageTypes: 'indexeddb' });
};
const alerts = (page: Page) => page.getByRole('alert');

test('a workshop that the browser lost is told, and never replaced by the sample', async ({
  page,
  baseURL,
}, info) => {
  await page.goto('/pieces/sample-ferry-pad/plan');
  await field(page, 'Name of the piece').fill('My own pad');
  await page.keyboard.press('Tab');
  await within(page, '/file');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  await download.saveAs(info.outputPath('kept.json'));
  await clearDatabase(page, baseURL ?? '');
  await page.goto('/');
  await expect(alerts(page)).toContainText('The workshop that was saved here is gone.');
  await expect(page.getByRole('heading', { name: 'The table is empty.' })).toBeVisible();
  // It goes on being told, until something is done about it.
  await page.reload();
  await expect(alerts(page)).toContainText('It was last changed on');
  await alerts(page).getByRole('link', { name: 'Open a file' }).click();
  await page.getByLabel('Choose a file').setInputFiles(info.outputPath('kept.json'));
  await expect(page.getByText(new RegExp(`^Opened: ${SAMPLE.records} new`))).toBeVisible();
  await within(page, '/');
  await expect(page.getByRole('link', { name: /My own pad/ })).toBeVisible();
  await expect(alerts(page)).toHaveCount(0);
});

test(
  'a change that only the next start carried out counts as one of the felter’s own',
  LONG,
  async ({ page, baseURL }) => {
    await page.goto('/');
    await expect(page.getByRole('link', { name: /Kelp cosy/ })).toBeVisible();
    await page.evaluate(() =>
      localStorage.setItem(
        `jorrit.ahead.${Date.now()}.1.closed-tab`,
        JSON.stringify({ kind: 'piece', id: 'sample-ferry-pad', fields: { name: 'My own pad' } }),
      ),
    );
    await page.reload();
    await expect(page.getByRole('link', { name: /My own pad/ })).toBeVisible();
    await clearDatabase(page, baseURL ?? '');
    await page.goto('/');
    await expect(alerts(page)).toContainText('The workshop that was saved here is gone.');
  },
);

test('a lost sample is only the sample: it is put again', LONG, async ({ page, baseURL }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Kelp cosy/ })).toBeVisible();
  await clearDatabase(page, baseURL ?? '');
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Kelp cosy/ })).toBeVisible();
  await expect(alerts(page)).toHaveCount(0);
});

test('a store that does not answer is told after two seconds, with what to do', async ({ page, context }) => {
  const holder = await context.newPage();
  await holder.goto('/icon.svg');
  // An older version in another tab holds the database, and does not let go.
  await holder.evaluate(
    () =>
      new Promise<void>(resolve => {
        const request = indexedDB.open('jorrit', 1);
        request.addEventListener('success', () => resolve());
      }),
  );
  const began = Date.now();
  await page.goto('/');
  await expect(alerts(page)).toContainText('The workshop is not open yet.');
  await expect(alerts(page)).toContainText('Close other tabs with Jorrit.');
  expect(Date.now() - began).toBeLessThan(10_000);
  await holder.close();
  await expect(page.getByRole('link', { name: /Kelp cosy/ })).toBeVisible();
});

test(
  'a browser that keeps nothing: that is said at once, and again with every file that is saved',
  LONG,
  async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(globalThis, 'indexedDB', {
        value: {
          open: () => {
            throw new DOMException('forbidden', 'SecurityError');
          },
        },
      });
    });
    await page.goto('/file');
    await expect(alerts(page).first()).toContainText('is gone when this tab closes');
    await expect(page.getByText('This browser is not saving anything at the moment')).toBeVisible();
    await page.getByRole('button', { name: 'Save to a file' }).click();
    await expect(page.getByText('This file has only what you typed in this tab').first()).toBeVisible();
  },
);

test(
  'local storage that is denied is told as what it is, and all is kept as usual',
  LONG,
  async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(globalThis, 'localStorage', {
        get: () => {
          throw new DOMException('denied', 'SecurityError');
        },
      });
    });
    await page.goto('/pieces/sample-ferry-pad/plan');
    await expect(alerts(page)).toContainText('does not let Jorrit note your very last change');
    await field(page, 'Thickness').fill('9');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('banner').getByRole('button', { name: 'Undo' })).toBeEnabled();
    await page.reload();
    await expect(field(page, 'Thickness')).toHaveValue('9');
  },
);

test('a worker that cannot start is told, and asked again', LONG, async ({ page, watched }) => {
  await page.route(/worker.*\.js$/, route => route.abort());
  await page.goto('/pieces/sample-kelp-cosy/bench');
  await expect(page.getByText(/No forecast/)).toBeVisible();
  await page.unroute(/worker.*\.js$/);
  // What is asked anew meanwhile (more was learnt of the wool) may have been answered by now; else a tap asks again.
  const again = page.getByRole('button', { name: 'Try again' });
  await expect(async () => {
    if (await again.isVisible()) await again.click({ timeout: 1000 });
    await expect(page.getByText(/No forecast/)).toBeHidden({ timeout: 5000 });
  }).toPass({ timeout: 45_000 });
  watched.complaints.length = 0;
});

/** Puts a piece into the database as a damaged store may hold it. */
const putRaw = (page: Page, change: object): Promise<void> =>
  page.evaluate(
    given =>
      new Promise<void>(resolve => {
        const open = indexedDB.open('jorrit');
        open.addEventListener('success', () => {
          const table = open.result.transaction('pieces', 'readwrite').objectStore('pieces');
          const get = table.get('sample-ferry-pad');
          get.addEventListener('success', () => {
            const put = table.put({ ...get.result, ...given });
            put.addEventListener('success', () => {
              open.result.close();
              resolve();
            });
          });
        });
      }),
    change,
  );

test('a piece that cannot be read takes nothing else down, and is saved or removed where it shows', async ({
  page,
}) => {
  await page.goto('/');
  const pieces = page.getByRole('main').getByRole('link', { name: /bench|planned|finished/ });
  await expect(pieces).toHaveCount(11);
  await putRaw(page, { id: 'damaged', name: 'Damaged pad', plan: { form: 7 } });
  await page.goto('/');
  await expect(pieces).toHaveCount(11);
  const told = page.getByRole('alert', { name: 'Could not be read' });
  await expect(told).toContainText('Damaged pad');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    told.getByRole('button', { name: 'Save Damaged pad as it is' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('damaged-pad.json');
  await told.getByRole('button', { name: 'Remove Damaged pad' }).click();
  await expect(told).toBeHidden();
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  await expect(told).toContainText('Damaged pad');
});

test(
  'a plan of an earlier build beyond all limits is brought within them, says so, and can be mended',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-ferry-pad/plan');
    await expect(field(page, 'Thickness')).toHaveValue('8');
    const plan = await page.evaluate(
      () =>
        new Promise<object>(resolve => {
          const open = indexedDB.open('jorrit');
          open.addEventListener('success', () => {
            const get = open.result.transaction('pieces').objectStore('pieces').get('sample-ferry-pad');
            get.addEventListener('success', () => resolve(get.result.plan));
          });
        }),
    );
    const chain = { thickness: 8, layers: 1e9, firmness: 0.25 };
    await putRaw(page, { version: 5, plan: { ...plan, chain } });
    await page.goto('/');
    await expect(page.getByRole('link', { name: /Seat pad for the ferry/ })).toBeVisible();
    await page.goto('/pieces/sample-ferry-pad/plan');
    await expect(field(page, 'Layers per side')).toBeVisible();
    expect(Number(await field(page, 'Layers per side').inputValue())).toBe(200);
    await field(page, 'Layers per side').fill('6');
    await page.keyboard.press('Enter');
    await page.goto('/pieces/sample-ferry-pad/bench?do=felt');
    await expect(page.getByRole('button', { name: /^Done/ })).toBeVisible();
  },
);
