import { deflateSync } from 'fflate';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromBase45, toBase45 } from './base45';
import { FORM_KINDS } from '../core/forms/kinds/registry';
import { FINISH_STEPS } from '../core/acts/finishSteps';
import { newPlan } from '../core/plan/newPlan';
import { SCHOOLS } from '../core/recipe/schools';
import { ofKind } from '../records/snapshot';
import { newPiece, pieceKind } from '../records/piece';
import { cardOf, readCard, type RecipeCard, takeCard } from '../records/recipeCard';
import { woolKind } from '../records/wool';
import { sampleWorkshop } from '../sample/sampleWorkshop';
import { CARD_LETTERS, readRecipeFile, readRecipeText, recipeFile, recipeText } from './recipeText';
import { tries } from '../core/numeric/testing/tries';

const NOW = '2026-03-01T10:00:00.000Z';
const { records } = sampleWorkshop(NOW);
const [pieces, wools] = [ofKind(records, pieceKind), ofKind(records, woolKind)];
const RESULT = { along: 0.31, across: 0.29, grams: 226, finishedAt: NOW };
const cards = pieces.map(p => cardOf(p, wools, [RESULT]));
const [card] = cards;
if (!card) throw new Error('no card');
const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);
const coded = (json: unknown): string => `JR1:${toBase45(deflateSync(bytesOf(JSON.stringify(json))))}`;

describe('base45', () => {
  // The worked examples of RFC 9285, sections 4.3 and 4.4.
  it.each([
    ['AB', 'BB8'],
    ['Hello!!', '%69 VD92EX0'],
    ['base-45', 'UJCLQE7W581'],
    ['ietf!', 'QED8WEX0'],
  ])('of “%s” is %s, and back', (text, letters) => {
    expect(toBase45(bytesOf(text))).toBe(letters);
    expect(new TextDecoder().decode(fromBase45(letters) ?? new Uint8Array())).toBe(text);
  });

  it('comes back for any bytes, and refuses what is none', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), bytes => {
        expect(fromBase45(toBase45(bytes))).toEqual(bytes);
      }),
    );
    // RFC 9285, section 6: GGW is 65536, :::: and lower case are no code.
    for (const bad of ['GGW', ':::', 'a', 'AB8x', 'A', '::']) expect(fromBase45(bad)).toBeNull();
  });
});

describe('a recipe as a code', () => {
  it('of every sample piece comes back equal, and fits the card', () => {
    for (const one of cards) {
      const text = recipeText(one);
      expect(readRecipeText(text)).toEqual({ ok: true, value: one });
      expect(text.length).toBeLessThanOrEqual(CARD_LETTERS);
      expect(text).toMatch(/^[0-9A-Z $%*+\-./:]+$/);
    }
  });

  it('comes back for hundreds of random recipes, as text and as a file', () => {
    const random = fc.record({
      kind: fc.constantFrom(...FORM_KINDS),
      name: fc.string({ minLength: 1, maxLength: 60 }),
      notes: fc.string({ maxLength: 200, unit: 'grapheme' }),
      along: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
      school: fc.option(fc.constantFrom(...SCHOOLS)),
      finishing: fc.option(fc.subarray([...FINISH_STEPS])),
      pieces: fc.integer({ min: 1, max: 40 }),
    });
    fc.assert(
      fc.property(random, of => {
        const plan = newPlan(of.kind);
        const { id, name, steps } = of.school ?? { id: '', name: '', steps: [] };
        const piece = newPiece({
          id: 'p',
          name: of.name,
          now: NOW,
          woolId: 'wool-kelp',
          plan: { ...plan, pieces: of.pieces, shrinkage: { along: of.along, across: of.along } },
          recipe: of.school ? { id, name, steps } : null,
          finishing: of.finishing,
        });
        const one: RecipeCard = cardOf({ ...piece, notes: of.notes }, wools, []);
        expect(readRecipeText(recipeText(one))).toEqual({ ok: true, value: one });
        expect(readRecipeFile(bytesOf(recipeFile(one)))).toEqual({ ok: true, value: one });
      }),
      { numRuns: tries(250, 1000) },
    );
  });

  it.each([
    ['a bomb', `JR1:${toBase45(deflateSync(new Uint8Array(2_000_000)))}`],
    ['40 kB of letters', `JR1:${'A'.repeat(40_000)}`],
    ['another people’s code', 'HC1:6BFOXN%TSMAHN-H'],
    ['an address', 'https://example.org/recipe'],
    ['nothing', ''],
    ['only its head', 'JR1:'],
    ['letters that are no base45', 'JR1:abc'],
    ['bytes that are not packed', `JR1:${toBase45(bytesOf('hello, hello'))}`],
    ['a newer version', coded({ ...card, version: 2 })],
    ['another format', coded({ ...card, format: 'other' })],
    ['a list', coded([card])],
    ['no plan', coded({ ...card, piece: { ...card.piece, plan: undefined } })],
    [
      'a form that is none',
      coded({
        ...card,
        piece: {
          ...card.piece,
          plan: { ...card.piece.plan, form: { ...card.piece.plan.form, kind: 'boat' } },
        },
      }),
    ],
    ['a wool that it does not hold', coded({ ...card, wools: [] })],
    [
      'a figure that is none',
      coded({ ...card, piece: { ...card.piece, plan: { ...card.piece.plan, pieces: -3 } } }),
    ],
  ])('refuses %s', (_, text) => {
    const read = readRecipeText(text);
    expect(read.ok).toBe(false);
  });

  it('survives any bytes that are thrown at it', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), text => {
        expect(readRecipeText(`JR1:${text}`).ok).toBe(false);
      }),
    );
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 600 }), bytes => {
        expect(readRecipeText(`JR1:${toBase45(bytes)}`).ok).toBe(false);
      }),
    );
  });
});

describe('taking a recipe', () => {
  it('makes a piece of it, with wools of the shelf or new ones in place of its own', () => {
    let n = 0;
    const newId = (): string => `new-${(n += 1)}`;
    const taken = takeCard(card, { newId, now: NOW, plan: card.piece.plan, wools: new Map() });
    expect(taken.wools.map(w => w.name)).toEqual(['Oat, undyed batt']);
    expect(taken.piece).toMatchObject({
      woolId: taken.wools[0]?.id,
      name: card.piece.name,
      notes: card.piece.notes,
    });
    const own = takeCard(card, {
      newId,
      now: NOW,
      plan: card.piece.plan,
      wools: new Map([['w1', 'wool-kelp']]),
    });
    expect(own.wools).toEqual([]);
    expect(own.piece.woolId).toBe('wool-kelp');
    expect(readCard(cardOf(own.piece, wools, []))).toMatchObject({ ok: true });
  });
});
