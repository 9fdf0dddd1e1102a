import { type Page, expect } from '@playwright/test';

/** What a view is made of, by which it is seen that it is there. */
export const PARTS = 'h1, h2, [role=group], section';

/** Opens another view in the page that is there, as a link does: what is loaded is not loaded anew. Waits until it is shown. */
export const within = async (page: Page, path: string): Promise<void> => {
  await page.evaluate(
    ({ to, parts }) => {
      for (const part of document.querySelectorAll(parts)) part.toggleAttribute('data-left', true);
      const idx = Number(history.state?.idx ?? 0) + 1;
      history.pushState({ usr: null, key: `within-${idx}`, idx }, '', to);
      dispatchEvent(new PopStateEvent('popstate', { state: history.state }));
    },
    { to: path, parts: PARTS },
  );
  const shown = page.getByRole('main').locator(
    PARTS.split(', ')
      .map(part => `${part}:not([data-left])`)
      .join(', '),
  );
  await expect(shown.first(), path).toBeVisible();
};
