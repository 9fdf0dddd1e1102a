import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { seeded } from '../../src/core/numeric/random';
import { SAMPLE, expect, field, test } from '../jorrit';
import { startBrowser, newProfile, pause } from './profile';
import { measured, rounds } from './rounds';
import { LONG } from '../tiers';

const BENCH = '/pieces/sample-kelp-cosy/bench';
const PLAN = '/pieces/sample-ferry-pad/plan';
const FIGURE = 'Thickness';

/** Goes on until the browser is gone; what goes wrong before that is told. */
const untilKilled = (isGone: () => boolean, work: () => Promise<void>): Promise<void> =>
  (async () => {
    while (!isGone()) await work();
  })().catch((error: unknown) => {
    if (!isGone()) throw error;
  });

test('kills at the bench: nothing acknowledged is lost or doubled', async ({ baseURL }, info) => {
  const kills = rounds(2, 100);
  test.setTimeout(30_000 + kills * 15_000);
  const profile = newProfile();
  const random = seeded(23);
  const begun = 480;
  let acknowledged = begun;
  for (let round = 0; round <= kills; round += 1) {
    const { page, kill, isGone } = await startBrowser(profile);
    await page.goto(`${baseURL}${BENCH}`);
    // What was shown as done is there; at most the one set that was under way may have been kept as well.
    const rolls = page.locator('figcaption');
    await expect(rolls).toContainText(new RegExp(`^(${acknowledged}|${acknowledged + 30}) rolls`));
    acknowledged = parseInt((await rolls.textContent()) ?? '', 10);
    if (round === kills) {
      await kill();
      break;
    }
    const work = untilKilled(isGone, async () => {
      // The advice may ask for something else; the set is rolled all the same.
      await page.getByRole('radio', { name: 'Roll', exact: true }).click();
      await page.getByRole('radio', { name: '30', exact: true }).click();
      await page.getByRole('button', { name: /^Done Roll 30/ }).click();
      await expect(rolls).toContainText(`${acknowledged + 30} rolls`);
      acknowledged += 30;
    });
    // Every other time at any moment, or in the middle of the work, once a set is done: however slow the machine is, some are.
    const before = acknowledged;
    if (round % 2 === 0) await expect.poll(() => acknowledged, { timeout: 60_000 }).toBeGreaterThan(before);
    await pause(300 + 2700 * random());
    await kill();
    await work;
  }
  expect(acknowledged).toBeGreaterThanOrEqual(begun + 30 * Math.ceil(kills / 2));
  measured(info, `${kills} kills, ${(acknowledged - begun) / 30} sets, none lost, none doubled`);
});

test(
  'kills while minutes are logged of many alike: none lost, none doubled',
  LONG,
  async ({ baseURL }, info) => {
    const kills = rounds(2, 50);
    test.setTimeout(30_000 + kills * 15_000);
    const profile = newProfile();
    const random = seeded(41);
    let acknowledged: number | null = null;
    let begun = 0;
    for (let round = 0; round <= kills; round += 1) {
      const { page, kill, isGone } = await startBrowser(profile);
      await page.goto(`${baseURL}/pieces/sample-drum-balls/bench`);
      const laid = page.getByRole('button', { name: 'Everything is laid already' });
      const minutes = page.locator('figcaption');
      await expect(minutes.or(laid).first()).toBeVisible();
      if (await laid.isVisible()) await laid.click();
      await expect(minutes).toContainText(/\d+ min/);
      const found = parseInt((await minutes.textContent()) ?? '', 10);
      // What was shown as done is there; at most the one act that was under way may have been kept as well.
      if (acknowledged !== null) expect([acknowledged, acknowledged + 2]).toContain(found);
      else begun = found;
      let shown: number = found;
      acknowledged = found;
      if (round === kills) {
        await kill();
        break;
      }
      const work = untilKilled(isGone, async () => {
        await page.getByRole('radio', { name: 'Palms', exact: true }).click();
        await page.getByRole('radio', { name: '2 min', exact: true }).click();
        await page.getByRole('button', { name: /^Done Roll in the palms, 2 min/ }).click();
        await expect(minutes).toContainText(`${shown + 2} min`);
        shown += 2;
      });
      await pause(1500 + 2500 * random());
      await kill();
      await work;
      acknowledged = shown;
    }
    expect(acknowledged).toBeGreaterThan(begun);
    measured(info, `${kills} kills, ${((acknowledged ?? 0) - begun) / 2} acts, none lost, none doubled`);
  },
);

/** What the browser's database holds of the thickness now, mm: a read waits for what is being written. */
const durable = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const open = indexedDB.open('jorrit');
        open.addEventListener('error', () => reject(new Error('not open')));
        open.addEventListener('success', () => {
          const get = open.result.transaction('pieces').objectStore('pieces').get('sample-ferry-pad');
          get.addEventListener('success', () => {
            resolve(Number(get.result.plan.chain.thickness ?? Number.NaN));
            open.result.close();
          });
        });
      }),
  );

test(
  'kills while a plan is edited: no figure is older than what was kept',
  LONG,
  async ({ baseURL }, info) => {
    const kills = rounds(2, 100);
    test.setTimeout(60_000 + kills * 20_000);
    const profile = newProfile();
    const random = seeded(7);
    let [kept, edits] = [0, 0];
    for (let round = 0; round <= kills; round += 1) {
      const { page, kill, isGone } = await startBrowser(profile);
      await page.goto(`${baseURL}${PLAN}`);
      await expect(field(page, FIGURE)).not.toHaveValue('');
      const found = Number(await field(page, FIGURE).inputValue());
      // The field shows a tenth of a millimetre.
      expect(found, `round ${round}`).toBeGreaterThanOrEqual(kept - 0.05);
      if (round === kills) {
        await kill();
        break;
      }
      // Low again, and then only upwards: an older figure is a smaller one.
      await field(page, FIGURE).fill('3');
      await page.keyboard.press('Enter');
      await expect.poll(() => durable(page)).toBe(3);
      kept = 3;
      let top = 3;
      const work = untilKilled(isGone, async () => {
        // As thick as a felt is made: no more is typed, and the kill is waited for.
        if (top >= 35) {
          await page.title();
          await pause(100);
          return;
        }
        for (let i = 0; i < 12; i += 1) await page.keyboard.press('ArrowUp');
        top += 8;
        await field(page, FIGURE).fill(String(top + random()));
        await page.keyboard.press('Enter');
        edits += 13;
        await pause(2500 * random());
      });
      const watch = untilKilled(isGone, async () => {
        kept = Math.max(kept, await durable(page));
        await pause(50);
      });
      await pause(400 + 5000 * random());
      await kill();
      await Promise.all([work, watch]);
    }
    measured(info, `${kills} kills, ${edits} edits, none came back older`);
  },
);

test('kills while a file is read in: all of it is there, or none', LONG, async ({ baseURL }, info) => {
  const kills = rounds(2, 100);
  test.setTimeout(60_000 + kills * 20_000);
  const file = new URL('../../fixtures/build-1/workshop.json', import.meta.url).pathname;
  const held: { readonly pieces: ReadonlyArray<{ readonly deletedAt: string | null }> } = JSON.parse(
    readFileSync(file, 'utf8'),
  );
  const live = held.pieces.filter(p => p.deletedAt === null).length;
  const random = seeded(11);
  const came = { whole: 0, none: 0 };
  for (let round = 0; round < kills; round += 1) {
    const profile = newProfile();
    const first = await startBrowser(profile);
    await first.page.goto(`${baseURL}/file`);
    await first.page.getByRole('button', { name: 'Clear the sample' }).click();
    await expect(first.page.getByText('The sample is cleared.').first()).toBeVisible();
    const reading = first.page
      .getByLabel('Choose a file')
      .setInputFiles(file)
      .catch(() => undefined);
    await pause(700 * random());
    await first.kill();
    await reading;
    const again = await startBrowser(profile);
    await again.page.goto(`${baseURL}/`);
    const pieces = again.page.getByRole('main').locator('a[href^="/pieces/"]');
    const clear = again.page.getByRole('heading', { name: 'The table is empty.' });
    await expect(pieces.first().or(clear)).toBeVisible();
    const count = await pieces.count();
    expect([0, live]).toContain(count);
    came[count === 0 ? 'none' : 'whole'] += 1;
    await again.kill();
  }
  measured(info, `${kills} kills, ${came.whole} whole, ${came.none} not at all, none in part`);
});

test(
  'kills at the very first start: the next one finds a whole workshop',
  LONG,
  async ({ baseURL }, info) => {
    const kills = rounds(2, 100);
    test.setTimeout(60_000 + kills * 20_000);
    const random = seeded(5);
    for (let round = 0; round < kills; round += 1) {
      const profile = newProfile();
      const first = await startBrowser(profile);
      const opening = first.page.goto(`${baseURL}/`).catch(() => undefined);
      await pause(1200 * random());
      await first.kill();
      await opening;
      const again = await startBrowser(profile);
      await again.page.goto(`${baseURL}/`);
      await expect(again.page.getByRole('main').locator('a[href^="/pieces/"]')).toHaveCount(SAMPLE.pieces);
      await expect(again.page.getByRole('alert')).toHaveCount(0);
      await again.kill();
    }
    measured(info, `${kills} kills, each next start whole`);
  },
);
