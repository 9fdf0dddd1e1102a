import type { Page } from '@playwright/test';
import type { MotionSample } from '../src/core/motion/motion';
import { motionOf } from '../src/core/motion/motionScene';
import { expectPanelFit } from './axe';
import { expect, test } from './jorrit';
import { LONG } from './tiers';

/** The page hears a phone that is moved so, all at once; each event says when it was felt. */
const hear = (page: Page, samples: readonly MotionSample[]): Promise<void> =>
  page.evaluate(all => {
    for (const { atMs, push, turn } of all) {
      const [x, y, z] = push;
      const degrees = (v = 0): number => (v * 180) / Math.PI;
      const e = new DeviceMotionEvent('devicemotion', {
        accelerationIncludingGravity: { x, y, z },
        ...(turn
          ? { rotationRate: { beta: degrees(turn[0]), gamma: degrees(turn[1]), alpha: degrees(turn[2]) } }
          : {}),
      });
      Object.defineProperty(e, 'timeStamp', { value: atMs });
      window.dispatchEvent(e);
    }
  }, samples);

const openMotion = async (page: Page): Promise<void> => {
  await page.context().grantPermissions(['accelerometer', 'gyroscope']);
  await page.goto('/pieces/sample-kelp-cosy/bench');
  await expect(page.getByText('480 rolls')).toBeVisible();
  await page.keyboard.press('c');
  await page.getByRole('button', { name: 'By the phone’s motion …' }).click();
};

test('the phone counts the rolls, a tap goes on from there, and one tap logs them', async ({ page }) => {
  await openMotion(page);
  await expectPanelFit(page, page.getByRole('group', { name: 'By motion' }));
  await page.getByRole('radio', { name: 'In the bundle' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  const scene = {
    place: 'bundle',
    rolls: 24,
    seed: 31,
    pauses: 0,
    around: [],
    rate: 50,
    hasGyro: true,
    lost: 0,
  } as const;
  await hear(page, motionOf(scene).samples);
  await expect(page.getByTestId('moved')).toHaveText('24');
  await page.getByRole('button', { name: 'Go on by tapping: one more' }).click();
  await expect(page.getByTestId('moved')).toHaveText('25');
  await page.getByRole('button', { name: 'Stop and log 25' }).click();
  await expect(page.getByRole('region', { name: 'Log' }).getByText(/^Roll 25 /)).toBeVisible();
});

test(
  'a device that says nothing is told so; a made-up motion is to try, and nothing of it is saved',
  LONG,
  async ({ page }) => {
    await openMotion(page);
    const log = page.getByRole('region', { name: 'Log' }).getByRole('listitem');
    const entries = await log.count();
    await page.getByRole('button', { name: 'Start' }).click();
    await expect(page.getByRole('alert')).toContainText('says nothing of how it moves');
    await page.getByRole('button', { name: 'Try it with a made-up motion' }).click();
    await expect(page.getByTestId('moved')).not.toHaveText('0');
    await expect(page.getByRole('button', { name: /log/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Stop', exact: true }).click();
    await expect(page.getByRole('button', { name: 'By the phone’s motion …' })).toBeVisible();
    await expect(log).toHaveCount(entries);
  },
);
