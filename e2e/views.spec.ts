import { axe, expectPanelFit } from './axe';
import type { Page } from '@playwright/test';
import { SAMPLE, expect, test } from './jorrit';
import { isWhole, LONG } from './tiers';
import { PARTS, within } from './within';

const ALL = [
  '/',
  '/new',
  '/shelf',
  '/rack',
  '/shelf/wool-brick',
  '/recipe',
  '/projects',
  '/projects/project-garland',
  '/parts',
  '/schedule',
  '/orders',
  '/orders/order-quay',
  '/stock/product-ball',
  '/classes',
  '/classes/class-fern',
  '/hours',
  '/pieces/sample-brick-sleeve/cost',
  '/record',
  '/record/accuracy',
  '/blend',
  '/file',
  '/pieces/sample-brick-sleeve/plan',
  '/pieces/sample-boot-liner/plan',
  '/pieces/sample-gale-mittens/plan',
  '/pieces/sample-fern-mat/plan',
  '/pieces/sample-drum-balls/wool',
  '/pieces/sample-lattice-panel/template',
  '/pieces/sample-kelp-cosy/wool',
  '/pieces/sample-kelp-cosy/template',
  '/pieces/sample-kelp-cosy/bench',
  '/pieces/sample-galley-mat/bench',
  '/pieces/sample-ferry-pad/finish',
  '/pieces/sample-ferry-pad/diary',
  '/lessons',
  '/lessons/skin',
  '/lessons/skin/change',
] as const;
/** Shown by others of the same kind as well: looked at with all tests only. */
const ALIKE: ReadonlySet<string> = new Set([
  '/projects',
  '/orders',
  '/classes',
  '/shelf',
  '/record/accuracy',
  '/parts',
  '/hours',
  '/lessons',
  '/recipe',
  '/pieces/sample-boot-liner/plan',
  '/pieces/sample-gale-mittens/plan',
  '/pieces/sample-fern-mat/plan',
  '/pieces/sample-drum-balls/wool',
  '/pieces/sample-lattice-panel/template',
  '/pieces/sample-galley-mat/bench',
  '/lessons/skin/change',
  '/stock/product-ball',
  '/classes/class-fern',
  '/pieces/sample-brick-sleeve/cost',
  '/blend',
  '/lessons/skin',
]);
const VIEWS = ALL.filter(path => isWhole || !ALIKE.has(path));
/** Light on a laptop and dark on a phone: what differs between them differs between any two. A tablet only has to hold it. */
const SIZES = [
  { name: 'laptop', width: 1280, height: 800, scheme: 'light' },
  { name: 'phone', width: 390, height: 844, scheme: 'dark' },
] as const;
const TABLET = { width: 820, height: 1180 } as const;
/** With all tests each view at both; each time at one of them, every second view at the other. */
const sizesFor = (path: (typeof VIEWS)[number]) =>
  isWhole ? SIZES : SIZES.slice(VIEWS.indexOf(path) % 2).slice(0, 1);
/** Views that are looked at by one test: a page that is there already opens the next one sooner. */
const AT_ONCE = 8;
const GROUPS = Array.from({ length: Math.ceil(VIEWS.length / AT_ONCE) }, (_, i) =>
  VIEWS.slice(i * AT_ONCE, (i + 1) * AT_ONCE),
);

const overflow = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

for (const group of GROUPS)
  test(`${group[0]} and ${group.length - 1} more: no accessibility violation, nothing wider than the screen`, async ({
    page,
  }) => {
    test.slow();
    for (const [n, path] of group.entries()) {
      await (n === 0 ? page.goto(path) : within(page, path));
      await expect(page.getByRole('main').locator(PARTS).first()).toBeVisible();
      for (const { name, scheme, ...size } of sizesFor(path)) {
        await page.setViewportSize(size);
        await page.emulateMedia({ colorScheme: scheme });
        const { violations } = await axe(page)
          .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
          .analyze();
        const told = violations.map(
          v => `${v.id}: ${v.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`,
        );
        expect.soft(told, `${path} on a ${name}`).toEqual([]);
        expect.soft(await overflow(page), `${path} on a ${name}`).toBeLessThanOrEqual(0);
      }
      await page.setViewportSize(TABLET);
      expect.soft(await overflow(page), `${path} on a tablet`).toBeLessThanOrEqual(0);
    }
  });

/** The checker; there are no frames, and what is in order need not be told in full. */
const PANELS = {
  m: 'Measure',
  p: 'Pinch test',
  l: 'Look',
  t: 'Tests',
  w: 'Something is wrong',
  c: 'Counting',
  k: 'Curve',
  r: 'Recipe to follow',
} as const;

test(
  'the panels of the bench have no accessibility violation, and are made for wet hands',
  LONG,
  async ({ page }) => {
    await page.goto('/pieces/sample-kelp-cosy/bench');
    await expect(page.getByText('480 rolls')).toBeVisible();
    await page.getByRole('radio', { name: 'Roll', exact: true }).click();
    for (const [key, name] of Object.entries(PANELS)) {
      await page.keyboard.press(key);
      const panel = page.getByRole('group', { name, exact: true });
      await expect(panel).toBeVisible();
      await expectPanelFit(page, panel);
      await page.keyboard.press('Escape');
    }
  },
);

test('first start shows the sample workshop; once cleared it stays away', async ({ page }) => {
  await page.goto('/');
  await expect(
    page
      .getByRole('main')
      .getByRole('link', { name: /cm|Kelp/ })
      .first(),
  ).toBeVisible();
  await expect(page.getByRole('main').locator('a[href^="/pieces/"]')).toHaveCount(SAMPLE.pieces);
  await within(page, '/file');
  await page.getByRole('button', { name: 'Clear the sample' }).click();
  await expect(page.getByText('The sample is cleared.').first()).toBeVisible();
  await within(page, '/');
  await expect(page.getByRole('heading', { name: 'The table is empty.' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'The table is empty.' })).toBeVisible();
});

test('clearing the sample is undone like anything else, long after it was done', LONG, async ({ page }) => {
  await page.goto('/file');
  await page.getByRole('button', { name: 'Clear the sample' }).click();
  await page.getByRole('link', { name: 'Table', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The table is empty.' })).toBeVisible();
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('main').locator('a[href^="/pieces/"]')).toHaveCount(SAMPLE.pieces);
});

test('a theme that was chosen holds against the system’s', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/shelf');
  const ground = () => page.locator('body').evaluate(e => getComputedStyle(e).backgroundColor);
  await expect.poll(ground).toBe('rgb(19, 26, 30)');
  await page.getByRole('button', { name: 'Light' }).click();
  await expect.poll(ground).toBe('rgb(237, 241, 243)');
});

test('data of a later version is left alone, and that is said for as long as the tab lives', async ({
  page,
}) => {
  await page.goto('/icon.svg');
  await page.evaluate(
    () =>
      new Promise(resolve => {
        const request = indexedDB.open('jorrit', 99);
        request.addEventListener('success', () => resolve(request.result.close()));
      }),
  );
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('written by a later version');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('alert')).toContainText('is gone when this tab closes');
  const version = await page.evaluate(async () => (await indexedDB.databases())[0]?.version);
  expect(version).toBe(99);
});

test('each stage has its own address, and back works', LONG, async ({ page }) => {
  await page.goto('/pieces/sample-kelp-cosy/plan');
  await page.getByRole('link', { name: 'Wool', exact: true }).click();
  await expect(page).toHaveURL(/wool$/);
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page).toHaveURL(/bench$/);
  await expect(page).toHaveTitle('Kelp cosy, four cups · Bench · Jorrit');
  await page.goBack();
  await expect(page).toHaveURL(/wool$/);
  await expect(page.getByText('take from the shelf')).toBeVisible();
});

test('an address that leads nowhere says so', LONG, async ({ page }) => {
  await page.goto('/pieces/gone/plan');
  await expect(page.getByRole('heading', { name: 'This piece is not in this browser.' })).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByRole('heading', { name: 'There is no page at this address.' })).toBeVisible();
});

test('theme and units are remembered', LONG, async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Dark' }).click();
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(page.getByText('12 in, all to the same scale')).toBeVisible();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.getByText('12 in, all to the same scale')).toBeVisible();
});
