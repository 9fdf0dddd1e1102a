import { type Locator, type Page, expect, test as base } from '@playwright/test';

/** What a page must never do: speak to another origin, or complain in its console. */
interface Watch {
  readonly foreign: string[];
  readonly complaints: string[];
}

const watch = (page: Page, origin: string): Watch => {
  const seen: Watch = { foreign: [], complaints: [] };
  page.on('request', r => {
    const url = new URL(r.url());
    if (url.origin !== origin && !['data:', 'blob:'].includes(url.protocol)) seen.foreign.push(r.url());
  });
  page.on('console', m => {
    if (['error', 'warning'].includes(m.type())) seen.complaints.push(m.text());
  });
  page.on('pageerror', e => seen.complaints.push(e.message));
  return seen;
};

/** Every test watches its page; a request to another origin or a console error fails it. */
export const test = base.extend<{ watched: Watch }>({
  watched: [
    async ({ page, baseURL }, use) => {
      const seen = watch(page, new URL(baseURL ?? '').origin);
      await use(seen);
      expect(seen.foreign, 'requests to other origins').toEqual([]);
      expect(seen.complaints, 'console errors').toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** What the sample workshop holds: its pieces on the table, and with them its wools, swatches and recipes. */
export const SAMPLE = { pieces: 12, records: 44 } as const;

/** Starts with nothing: the sample is cleared as a felter would clear it. */
export const clearedWorkshop = async (page: Page): Promise<void> => {
  await page.goto('/file');
  await page.getByRole('button', { name: 'Clear the sample' }).click();
  await expect(page.getByText('The sample is cleared.').first()).toBeVisible();
};

/** The field of a link of the chain, or any figure, by its label. */
export const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name, exact: true });

/** Types a figure and takes it. */
export const type = async (page: Page, name: string, text: string): Promise<void> => {
  await field(page, name).fill(text);
  await page.keyboard.press('Enter');
};

/** What is done with a piece from its menu: another size, its card, its file, deleting it. */
export const pieceAct = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name, exact: true }).click();
};

/** Longer than a finger bounces, shorter than anything a felter does. */
export const A_HAND_MS = 190;

/** Taps Done for an act, waits until it is in the log, and takes as long as a hand takes at least. */
export const done = async (page: Page, act: string): Promise<void> => {
  await page.getByRole('button', { name: `Done ${act}` }).click();
  await expect(page.getByRole('button', { name: `Undo ${act}` })).toBeVisible();
  await page.waitForTimeout(A_HAND_MS);
};

/** How many entries stand in the log of the bench. */
const entriesOf = async (page: Page): Promise<number> => {
  const log = page.getByRole('region', { name: 'Log' });
  const many = /, (\d+) entries/.exec(await log.getByRole('heading').innerText());
  return many
    ? Number(many[1])
    : log
        .getByRole('listitem')
        .filter({ has: page.getByRole('button') })
        .count();
};

/** Does something at the bench, and waits until the log has one more entry for it. */
export const logged = async (page: Page, act: () => Promise<unknown>): Promise<void> => {
  const before = await entriesOf(page);
  await act();
  await expect.poll(() => entriesOf(page), { intervals: [20, 40, 80] }).toBeGreaterThan(before);
};

/** Goes to an element with the Tab key alone. */
export const tabTo = async (page: Page, target: Locator): Promise<void> => {
  for (let i = 0; i < 120; i += 1) {
    if (await target.evaluate(e => e === document.activeElement).catch(() => false)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${String(target)}`);
};

/** The link to a stage of the piece. */
export const stage = (page: Page, name: string): Locator =>
  page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name });

/** Goes where a new piece is begun: by the links where a view is open already. */
const toNewPiece = async (page: Page): Promise<void> => {
  if (page.url().endsWith('/new')) return;
  const table = page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Table' });
  if (!(await table.isVisible())) return void (await page.goto('/new'));
  await table.click();
  await page.getByRole('link', { name: 'New piece' }).click();
};

/** Begins a new piece by its tile. */
export const begin = async (page: Page, title: string): Promise<void> => {
  await toNewPiece(page);
  await page
    .getByRole('listitem')
    .filter({ has: page.getByText(title, { exact: true }) })
    .getByRole('button')
    .click();
  await expect(page).toHaveURL(/plan$/);
  await expect(page.getByRole('heading', { name: 'Linked figures' })).toBeVisible();
};
/** A figure as the field shows it. */
export const figure = async (page: Page, name: string): Promise<number> =>
  Number(await field(page, name).inputValue());
