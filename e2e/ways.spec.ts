import type { Page } from '@playwright/test';
import { A_HAND_MS, begin, expect, logged, stage, test } from './jorrit';
import { eachTime, LONG } from './tiers';

// Scripted makers, one for each way: from the first tap to a finished piece, in their own acts and units, and never with a tape.
// How long each works is common practice.
test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });

interface Maker {
  readonly way: string;
  /** The tile it is begun by. */
  readonly piece: string;
  /** The way, where it is not the usual one of the form. */
  readonly choose?: string;
  /** What stands in the log of somebody who works so, and what must not. */
  readonly logs: readonly RegExp[];
  readonly never: RegExp;
  /** What says that the skin holds, where that is neither the pinch nor the fingertip. */
  readonly skin?: string;
  /** How its firmness is tested: the test, soft, and firm. */
  readonly firm: { readonly soft: string | RegExp; readonly firm: string | RegExp };
}

const SQUEEZE = { soft: 'Squeeze: soft', firm: 'Squeeze: hardly gives' } as const;
const PINCHED = { soft: /the skin lifts as one/, firm: /nothing lifts/ } as const;
const TAPE = /Measured/;
/** What is seen when the skin holds. */
const SKIN = { 'Pinch test': /the skin lifts as one/, 'Test it': 'Finger roll: hairs do not move' } as const;
const HAIRS = 'Back of the cloth: hairs have come through';

const MAKERS: readonly Maker[] = [
  {
    way: 'between the palms',
    piece: 'Ball',
    logs: [/Wet with hot water/, /Roll small in the palms, 2 min/, /Finger roll: hairs do not move/],
    never: /Roll \d+ (length|cross)wise|Rub \d/,
    firm: SQUEEZE,
  },
  {
    way: 'in a stocking',
    piece: 'Ball',
    choose: 'In a stocking',
    logs: [/Squeeze and rub in the stocking, 2 min/],
    never: /Roll \d+ (length|cross)wise|Rub \d/,
    firm: SQUEEZE,
  },
  {
    way: 'many at once',
    piece: 'Batch of balls with a core',
    choose: 'Many at once',
    logs: [/Shake in the lidded bowl, 3 min/, /Roll under the board, 3 min/],
    never: /Roll \d+ (length|cross)wise|Rub \d/,
    firm: SQUEEZE,
  },
  {
    way: 'around a ball',
    piece: 'Pod on a ball',
    logs: [/Rub by hand, 5 min/],
    never: /Roll/,
    firm: PINCHED,
  },
  {
    way: 'rubbed by hand',
    piece: 'Beret',
    logs: [/Rub by hand, 5 min/],
    never: /Roll/,
    firm: PINCHED,
  },
  {
    way: 'on a tube',
    piece: 'Rolled flower',
    logs: [/Roll on the tube, 10 min/],
    never: /Roll \d+ (length|cross)wise|Rub \d/,
    firm: PINCHED,
  },
  {
    way: 'as a cord',
    piece: 'Cord or stem',
    logs: [/Roll in the palms, 2 min/],
    never: /Roll \d+ (length|cross)wise|Rub \d/,
    firm: SQUEEZE,
  },
  {
    way: 'in a basin',
    piece: 'Flat rectangle',
    choose: 'In a basin',
    logs: [/Stir and press, 5 min/],
    never: /Roll|Rub \d/,
    firm: PINCHED,
  },
  {
    way: 'rolled in a bundle',
    piece: 'Bottle sleeve',
    logs: [/Rub 40, side 1/, /Roll 30 lengthwise, side 1/, /Roll 30 crosswise, side 2/],
    never: /palms|tube|stocking/,
    firm: PINCHED,
  },
  {
    way: 'as a sheet',
    piece: 'Flat disc',
    logs: [/Rub 40/, /Roll 30 lengthwise/],
    never: /palms|tube|stocking/,
    firm: PINCHED,
  },
  {
    way: 'wool on cloth',
    piece: 'Nuno scarf',
    logs: [/Rub 40, from the back/, /Roll 30 lengthwise, front up/, /Roll 30 lengthwise, back up/],
    never: /palms|tube|stocking/,
    skin: HAIRS,
    firm: {
      soft: HAIRS,
      firm: 'Back of the cloth: puckered all over',
    },
  },
  {
    way: 'sheets around a grid',
    piece: 'Relief panel',
    logs: [/Rub 40/, /Roll 30 lengthwise/],
    never: /palms|tube|stocking/,
    firm: PINCHED,
  },
];

const tap = (page: Page, name: string | RegExp) =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .tap();

const great = (page: Page) =>
  page.getByRole('button', { name: /^(Done|Measure$|Pinch test$|Test it$|To the finish$|Open it)/ });

const WIDTHS = [
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
] as const;

/** Where the great button, undo, redo, the row of acts and the row of what opens stand, in whole pixels. */
const placesNow = (page: Page): Promise<string> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('[data-place]')]
      .map(e => {
        const { x, y, width, height } = e.getBoundingClientRect();
        return [e.dataset['place'], ...[x, y, width, height].map(Math.round)].join(' ');
      })
      .join('; '),
  );

/** The same at some widths, in this order; at the last the page is left. */
const placesAt = async (
  page: Page,
  widths: ReadonlyArray<(typeof WIDTHS)[number]>,
): Promise<readonly string[]> => {
  const found: string[] = [];
  for (const size of widths) {
    await page.setViewportSize(size);
    found.push(await placesNow(page));
  }
  return found;
};

/** Rows of acts of every length are seen at every width; what is shown when does not hang on it. */
const SEEN_WIDE: ReadonlySet<string> = new Set([
  'rolled in a bundle',
  'between the palms',
  'wool on cloth',
  'many at once',
]);
const AS_IT_IS = WIDTHS.slice(-1);

for (const maker of MAKERS)
  test(
    `a maker ${maker.way} comes to the end without a tape`,
    eachTime(maker.way === 'between the palms'),
    async ({ page }) => {
      test.setTimeout(120_000);
      page.setDefaultTimeout(16_000);
      await begin(page, maker.piece);
      await stage(page, 'Bench').tap();
      const laid = page.getByRole('button', { name: 'Everything is laid already' });
      await expect(laid).toBeVisible();
      await tap(page, 'Recipe');
      if (maker.choose) await tap(page, new RegExp(`^${maker.choose}`));
      await page.getByRole('radio', { name: 'by feel' }).tap();
      await tap(page, 'Back');
      // What is tapped without looking stands where it stood when the first wisp was laid, whatever is on.
      const widths = SEEN_WIDE.has(maker.way) ? WIDTHS : AS_IT_IS;
      const places = await placesAt(page, widths);
      expect(places[0]).toContain('great');
      await laid.tap();
      const seen = new Set<string>();
      let skinHolds = false;
      let firmTests = 0;
      for (let i = 0; i < 60; i += 1) {
        // A later answer may still change what is asked for: a felter is not that quick.
        await expect(page.getByRole('region', { name: 'Next' })).toHaveAttribute('aria-busy', 'false');
        await expect(great(page).first()).toBeEnabled();
        const words = (await great(page).first().textContent()) ?? '';
        expect(words).not.toBe('Measure');
        // By what it says, figures apart: each such act once.
        const kind = words.replaceAll(/\d+/g, '');
        if (!seen.has(kind)) expect(await placesAt(page, widths), words).toEqual(places);
        seen.add(kind);
        if (words === 'To the finish') break;
        await logged(page, async () => {
          await great(page).first().press('Enter');
          if (words === 'Pinch test' || words === 'Test it') {
            if (skinHolds) firmTests += 1;
            else if (!seen.has(`while ${words}`))
              expect(await placesAt(page, widths), `while testing: ${words}`).toEqual(places);
            seen.add(`while ${words}`);
            const grade = skinHolds
              ? firmTests > 2
                ? maker.firm.firm
                : maker.firm.soft
              : (maker.skin ?? SKIN[words]);
            await tap(page, grade);
            skinHolds = true;
          }
        });
      }
      const log = page.getByRole('region', { name: 'Log' });
      for (const line of maker.logs) await expect(log.getByText(line).first()).toBeVisible();
      await expect(log.getByText(maker.never)).toHaveCount(0);
      await expect(log.getByText(TAPE)).toHaveCount(0);
      await tap(page, 'To the finish');
      // Finished where it was felted: each step begun and ended by the same button, in the same place.
      const next = page.getByRole('button', { name: /^(Start|Clear|Done|Dry|Measure)/ }).first();
      for (let i = 0; i < 20; i += 1) {
        await expect(next).toBeEnabled();
        const words = (await next.textContent()) ?? '';
        if (i < 2) expect(await placesAt(page, widths), words).toEqual(places);
        await next.press('Enter');
        if (words.startsWith('Measure')) break;
        await expect(next).not.toHaveText(words);
      }
      await tap(page, 'Mark as finished');
      await expect(page.getByText(/^Finished on /)).toBeVisible();
    },
  );

test(
  'by the drawing one tap says how far it is, and the next act stands there again',
  LONG,
  async ({ page }) => {
    page.setDefaultTimeout(16_000);
    await begin(page, 'Bottle sleeve');
    await stage(page, 'Bench').tap();
    await tap(page, 'Everything is laid already');
    await tap(page, 'Recipe');
    await page.getByRole('radio', { name: 'by the drawing' }).tap();
    await tap(page, 'Back');
    const button = page.getByRole('button', { name: /^(Done|Pinch test$|Check the drawing$)/ }).first();
    let looked = false;
    for (let i = 0; i < 40 && !looked; i += 1) {
      await expect(button).toBeEnabled();
      const words = (await button.textContent()) ?? '';
      await button.press('Enter');
      if (words === 'Pinch test') await tap(page, /the skin lifts as one/);
      if (words === 'Check the drawing') {
        await page.getByRole('button', { name: 'about half way', exact: true }).tap();
        looked = true;
      }
      await page.waitForTimeout(A_HAND_MS);
    }
    const log = page.getByRole('region', { name: 'Log' });
    await expect(log.getByText('By the drawing: about half way')).toBeVisible();
    await expect(log.getByText(TAPE)).toHaveCount(0);
    await expect(button).toHaveText(/^Done/);
    // Where length and width differ, each has a tap of its own.
    await page.keyboard.press('ArrowDown');
    await page.getByRole('radio', { name: 'Drawing' }).tap();
    await page.getByRole('button', { name: 'about half way, lengthwise' }).tap();
    await page.getByRole('button', { name: 'a finger outside the dotted line, crosswise' }).tap();
    await expect(
      log.getByText('By the drawing: lengthwise about half way, crosswise a finger outside the dotted line'),
    ).toBeVisible();
    // Its lines are told as what the look says of them, not as a tape would.
    await expect(page.getByRole('list', { name: 'Measuring lines' })).toContainText('now about');
  },
);

test('a measurement that is passed over is not asked for twice running', LONG, async ({ page }) => {
  page.setDefaultTimeout(16_000);
  await page.goto('/pieces/sample-kelp-cosy/bench');
  const button = page.getByRole('button', { name: /^(Done|Measure$)/ }).first();
  const roll = page.getByRole('radio', { name: 'Roll', exact: true });
  let asked = 0;
  for (let i = 0; i < 12; i += 1) {
    await expect(button).toBeEnabled();
    // While a later answer is on its way it may stand for something else in a moment.
    await expect(page.getByRole('region', { name: 'Next' })).toHaveAttribute('aria-busy', 'false');
    const words = (await button.textContent()) ?? '';
    if (words === 'Measure') {
      asked += 1;
      await roll.tap();
      await expect(button).toHaveText(/^Done/);
    }
    await button.tap();
    await page.waitForTimeout(A_HAND_MS);
    if (words === 'Measure') await expect(button).toHaveText(/^Done/);
  }
  expect(asked).toBeGreaterThan(0);
  expect(asked).toBeLessThan(5);
});

test(
  'a piece that comes as it comes has no size to reach, is worked by feel, and teaches by its result',
  LONG,
  async ({ page }) => {
    page.setDefaultTimeout(16_000);
    await begin(page, 'Flat rectangle');
    await page.getByRole('radio', { name: 'as it comes' }).tap();
    await stage(page, 'Bench').tap();
    await tap(page, 'Everything is laid already');
    const lines = page.getByRole('list', { name: 'Measuring lines' });
    await expect(lines).toContainText('no size is to be reached');
    await expect(lines).not.toContainText('%');
    await expect(page.getByRole('radio', { name: 'Measure' })).toHaveCount(0);
    await stage(page, 'Template').tap();
    await stage(page, 'Finish').tap();
    await page.getByLabel(/^A, /).fill('21');
    await page.getByLabel(/^B, /).fill('16');
    await page.keyboard.press('Enter');
    const length = page.getByRole('row', { name: /^A, / });
    await expect(length).toContainText('21.0 cm');
    await expect(length).toContainText('—');
    await tap(page, 'Mark as finished');
    await expect(page.getByText(/^Finished on /)).toBeVisible();
  },
);
