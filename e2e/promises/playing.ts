import type { Page } from '@playwright/test';

/** What is in one's hands in a rehearsal, and what is found by touching it. */
export const hands = (page: Page) => page.getByRole('region', { name: 'The felt in your hands' });
export const found = async (page: Page, touch: string): Promise<string> => {
  await hands(page).getByRole('button', { name: touch, exact: true }).click();
  return hands(page).getByRole('status').innerText();
};

/** The great button of the bench. */
export const great = (page: Page) =>
  page
    .getByRole('button', { name: /^(Done|Measure$|Pinch test$|Test it$|Check the drawing$|To the finish)/ })
    .first();

/**
 * Plays a rehearsal to its end by the advice alone, with the buttons and keys of the bench and what the hands find. All of it goes on in the page:
 * a script that asks from outside for each thing it sees waits longer for the answers than a felter works.
 */
const playInPage = async (): Promise<void> => {
  const MOST_STEPS = 120;
  const WAITS_MS = 15_000;
  const CHANGED = new Error('It says something else by now.');
  const wait = (ms: number) => new Promise(resolve => setTimeout(resolve, ms));
  const until = async <T>(what: string, look: () => T | null | undefined | false): Promise<T> => {
    for (const began = performance.now(); performance.now() - began < WAITS_MS; await wait(15)) {
      const seen = look();
      if (seen) return seen;
    }
    throw new Error(`Waited for ${what}.`);
  };
  const one = (selector: string): HTMLElement | null => document.querySelector<HTMLElement>(selector);
  const buttons = (within: string): readonly HTMLButtonElement[] =>
    [...document.querySelectorAll<HTMLButtonElement>(`${within} button`)].filter(
      b => b.offsetParent !== null,
    );
  const words = (b: HTMLElement): string => (b.getAttribute('aria-label') ?? b.textContent ?? '').trim();
  const HANDS = '[aria-labelledby=in-hands]';
  const feel = async (touch: string): Promise<string> => {
    const button = await until(touch, () => buttons(HANDS).find(b => words(b) === touch));
    button.click();
    const said = await until(`what comes of ${touch}`, () => {
      const text = one(`${HANDS} [role=status]`)?.textContent ?? '';
      return !text.startsWith('Before') && !text.startsWith('Touch it') && text;
    });
    return said;
  };
  /** What is next: not the way back out of a panel that is about to close. */
  const asked = (): HTMLButtonElement | null =>
    [...document.querySelectorAll<HTMLButtonElement>('[data-place=great] button')].find(
      b => !b.disabled && words(b) !== 'Not now',
    ) ?? null;
  const panel = (name: string): HTMLElement | null => one(`[role=group][aria-label="${name}"]`);
  const opened = (name: string): Promise<HTMLElement> => until(name, () => panel(name));
  const press = (key: string): boolean =>
    (document.activeElement ?? document.body).dispatchEvent(
      new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
    );
  /** Entries that stand, as the strip of the rehearsal offers them to be gone back to. */
  const entries = (): string =>
    [...document.querySelectorAll<HTMLOptionElement>('[aria-label=Rehearsal] select option')].findLast(o =>
      /^\d+\. /.test(o.textContent ?? ''),
    )?.textContent ?? '';
  const choose = async (name: string, is: (said: string) => boolean): Promise<void> => {
    await opened(name);
    const button = await until(`a choice of ${name}`, () =>
      buttons(`[role=group][aria-label="${name}"]`).find(b => is(words(b))),
    );
    button.click();
  };
  const measure = async (go: () => void): Promise<void> => {
    const said = await feel('Lay the tape on');
    const read = new Map(
      [...said.matchAll(/([A-Z]\d?) ([\d.]+) cm/g)].map(([, id = '', cm = '']) => [id, cm]),
    );
    go();
    await opened('Measure');
    const line = (): string =>
      one('[role=group][aria-label="Measure"] p span')?.textContent?.split(',')[0] ?? '';
    while (panel('Measure')) {
      const now = line();
      for (const digit of read.get(now) ?? '') {
        press(digit);
        await wait(0);
      }
      press('Enter');
      await wait(30);
      // A length that is asked about again was meant.
      if (panel('Measure') && line() === now) press('Enter');
      await wait(15);
    }
  };
  const follow = async (does: string, go: () => void): Promise<void> => {
    if (does.startsWith('Measure')) return measure(go);
    if (does.startsWith('Check the drawing')) {
      const said = await feel('Hold it to its drawing');
      const [, along = '', across = ''] = /Lengthwise its edge lies (.*), crosswise (.*)\./.exec(said) ?? [];
      const [, both = along === across ? along : ''] = /^Its edge lies (.*)\./.exec(said) ?? [];
      go();
      if (both) return choose('By the drawing', w => w.toLowerCase() === both);
      await choose('By the drawing', w => w === `${along}, lengthwise`);
      return choose('By the drawing', w => w === `${across}, crosswise`);
    }
    if (does.startsWith('Pinch test')) {
      const said = (await feel('Pinch it')).replace('You pinch it: ', '').replace(/\.$/, '');
      go();
      return choose('Pinch test', w => w.includes(said));
    }
    if (does.startsWith('Test it')) {
      const offered = ['Finger roll', 'Squeeze', 'Back of the cloth'];
      const named = offered.find(t =>
        [...document.querySelectorAll('[aria-label=Next] *')].some(e => e.textContent === t),
      );
      const name = named ?? offered.find(t => buttons(HANDS).some(b => words(b) === t)) ?? '';
      const said = (await feel(name)).toLowerCase();
      go();
      return choose(
        'Tests',
        w => w.startsWith(`${name}: `) && said.endsWith(`${w.slice(name.length + 2).toLowerCase()}.`),
      );
    }
    go();
  };
  let measured = 0;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    // What it says has come to rest: the model answers a moment after an act.
    let [said, since] = ['', performance.now()];
    const button = await until('what is next', () => {
      const now = asked();
      if (!now || words(now) !== said) [said, since] = [now ? words(now) : '', performance.now()];
      return now && performance.now() - since > 60 && now;
    });
    const does = words(button);
    if (does.startsWith('To the finish')) return;
    // What came out too small is pulled and measured: twice running says that it stays so.
    measured = does.startsWith('Measure') ? measured + 1 : 0;
    if (measured > 2) return;
    const before = entries();
    let isChanged = false;
    await follow(does, () => {
      const now = asked();
      // The model answered while the hands felt it: what it says now is done instead.
      isChanged = now === null || words(now) !== does;
      if (isChanged) throw CHANGED;
      now?.click();
    }).catch((error: unknown) => {
      if (error !== CHANGED) throw error;
    });
    if (isChanged) continue;
    await until(`an entry for ${does}`, () => entries() !== before);
  }
  throw new Error('It came to no end.');
};

/** Plays a rehearsal to its end by the advice alone, at the bench. Gives how far each line truly is off, whole per cent as it is shown. */
export const play = async (page: Page): Promise<readonly number[]> => {
  await page.evaluate(playInPage);
  await page.getByRole('link', { name: 'How is it truly?' }).click();
  const off = page.getByRole('region', { name: 'Size' }).locator('tbody tr td:last-child');
  await off.first().waitFor();
  const told = await off.allInnerTexts();
  return told.map(t => Number(t.replace('−', '-').replace(/[+%\s]/g, '')));
};
