import { spawnSync } from 'node:child_process';
import { closeSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { seeded } from '../../src/core/numeric/random';
import { expect, test } from '../jorrit';
import { newProfile, pause, startBrowser } from './profile';
import { measured, rounds } from './rounds';
import { LONG } from '../tiers';

const BENCH = '/pieces/sample-kelp-cosy/bench';
const waits = (page: Page) => page.getByRole('alert').filter({ hasText: 'Not kept yet' });

/** Taps a set of thirty rolls, whatever is advised. */
const tap = async (page: Page): Promise<void> => {
  await page.getByRole('radio', { name: 'Roll', exact: true }).click();
  await page.getByRole('radio', { name: '30', exact: true }).click();
  await page.getByRole('button', { name: /^Done Roll 30/ }).click();
  await pause(300);
};

test(
  'no room left: a tap is said to be not kept yet, waits, and is kept when there is room',
  LONG,
  async ({ page, baseURL }) => {
    await page.goto(BENCH);
    await expect(page.locator('figcaption')).toContainText(/^480 rolls/);
    const cdp = await page.context().newCDPSession(page);
    const quota = (size?: number) =>
      cdp.send('Storage.overrideQuotaForOrigin', {
        origin: baseURL ?? '',
        ...(size === undefined ? {} : { quotaSize: size }),
      });
    await quota(1);
    // The browser goes by what it had reckoned for some seconds more.
    await expect(async () => {
      await tap(page);
      await expect(waits(page)).toBeVisible({ timeout: 500 });
    }).toPass({ intervals: [4000] });
    const kept = parseInt((await page.locator('figcaption').textContent()) ?? '', 10);
    await tap(page);
    await expect(waits(page)).toContainText('Not kept yet: 2 acts. There is no room left to save this.');
    await expect(page.locator('figcaption')).toContainText(`${kept} rolls`);
    // One that waits is taken back as any other.
    await page.keyboard.press('PageUp');
    await expect(waits(page)).toContainText('Not kept yet: 1 act.');
    await quota();
    await waits(page).getByRole('button', { name: 'Try again' }).click();
    await expect(waits(page)).toHaveCount(0);
    await expect(page.locator('figcaption')).toContainText(`${kept + 30} rolls`);
    await page.reload();
    await expect(page.locator('figcaption')).toContainText(`${kept + 30} rolls`);
  },
);

/** A small disk of its own for a profile, where this machine lets one be made; else null. */
const smallDisk = (): { readonly path: string; readonly gone: () => void } | null => {
  const path = newProfile();
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=64m', 'tmpfs', path]).status !== 0) return null;
  return { path, gone: () => void spawnSync('umount', ['-l', path]) };
};
/** Writes until nothing more goes onto the disk. */
const fill = (path: string): void => {
  const file = openSync(path, 'w');
  try {
    for (let size = 1 << 20; size >= 1; size = size > 1 ? size >> 4 || 1 : 0)
      try {
        for (;;) writeSync(file, Buffer.alloc(size));
      } catch {
        // Full for pieces of this size: smaller ones.
      }
  } finally {
    closeSync(file);
  }
};

test(
  'a disk that fills up while one taps: what was shown as kept is kept, and no more',
  LONG,
  async ({ baseURL }, info) => {
    const times = rounds(1, 20);
    test.setTimeout(60_000 + times * 60_000);
    const random = seeded(3);
    let [shown, waited] = [0, 0];
    for (let round = 0; round < times; round += 1) {
      const disk = smallDisk();
      test.skip(disk === null, 'this machine lets no small disk be made');
      if (!disk) return;
      const filler = join(disk.path, 'filler');
      const first = await startBrowser(join(disk.path, 'profile'));
      await first.page.goto(`${baseURL}${BENCH}`);
      const rolls = first.page.locator('figcaption');
      await expect(rolls).toContainText(/^480 rolls/);
      await tap(first.page);
      fill(filler);
      for (let i = 0; i < 6; i += 1) await tap(first.page).catch(() => undefined);
      await pause(2000 * random());
      const acknowledged = parseInt((await rolls.textContent()) ?? '', 10);
      const text = await waits(first.page).allTextContents();
      const waiting = parseInt(/Not kept yet: (\d+)/.exec(text.join(' '))?.[1] ?? '0', 10);
      await first.kill();
      rmSync(filler);
      const again = await startBrowser(join(disk.path, 'profile'));
      await again.page.goto(`${baseURL}${BENCH}`);
      await expect(again.page.locator('figcaption')).toContainText(/rolls/);
      const found = parseInt((await again.page.locator('figcaption').textContent()) ?? '', 10);
      await again.kill();
      disk.gone();
      expect(found, `round ${round}`).toBeGreaterThanOrEqual(acknowledged);
      expect(found, `round ${round}`).toBeLessThanOrEqual(acknowledged + 30 * waiting);
      shown += (acknowledged - 480) / 30;
      waited += waiting;
    }
    measured(info, `${times} full disks, ${shown} sets shown as kept and kept, ${waited} said to wait`);
  },
);
