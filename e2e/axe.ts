import { AxeBuilder } from '@axe-core/playwright';
import type { Locator, Page } from '@playwright/test';
import { expect } from './jorrit';

/** What is looked for in a page that is for everybody. */
export const axe = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });

/** A panel of the bench: for everybody, and for wet hands. A file is picked by the label round its field. */
export const expectPanelFit = async (page: Page, panel: Locator): Promise<void> => {
  for (const button of await panel.locator('button:visible, label:has(input[type=file])').all())
    expect((await button.boundingBox())?.height ?? 0).toBeGreaterThanOrEqual(64);
  const { violations } = await axe(page).analyze();
  expect(violations.map(v => v.id)).toEqual([]);
};
