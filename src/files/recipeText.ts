import { deflateSync, Inflate } from 'fflate';
import { issue } from '../core/issues';
import { err, type Result } from '../core/result';
import { fromBase45, toBase45 } from './base45';
import { readCard, type RecipeCard } from '../records/recipeCard';
import { parseJsonObject } from './parseJson';
import { textOf } from './textOf';

/** What stands before the recipe, so that other people's codes are told apart. */
const HEAD = 'JR1:';
/** A code holds no more letters. Source: ISO/IEC 18004, version 40-L, alphanumeric. From memory. */
const MOST_LETTERS = 4296;
/** No recipe unpacks to more, bytes. */
const MOST_BYTES = 200_000;

/** Letters that version 30 holds at level M. Source: ISO/IEC 18004, table 7, from memory. */
export const CARD_LETTERS = 1990;

/** A recipe as the letters of a code: JSON, deflated (RFC 1951), in base45 (RFC 9285). */
export const recipeText = (card: RecipeCard): string =>
  HEAD + toBase45(deflateSync(new TextEncoder().encode(JSON.stringify(card)), { level: 9 }));

/** Unpacks with a limit; null where it is broken or unpacks to too much. */
const inflated = (bytes: Uint8Array): Uint8Array | null => {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const stream = new Inflate(chunk => {
    size += chunk.length;
    if (size > MOST_BYTES) throw new Error('too much');
    chunks.push(chunk);
  });
  try {
    // In small bites: what is made to burst is caught before it has.
    for (let i = 0; i < bytes.length; i += 256)
      stream.push(bytes.subarray(i, i + 256), i + 256 >= bytes.length);
  } catch {
    return null;
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
};

/** A recipe from the letters of a code. Fails with RECIPE_UNREADABLE, FILE_NOT_TEXT, FILE_NOT_JSON, FILE_TOO_DEEP and what a piece fails with. */
export const readRecipeText = (text: string): Result<RecipeCard> => {
  const refused = (detail: string) => err(issue('RECIPE_UNREADABLE', '', { detail }));
  if (!text.startsWith(HEAD)) return refused('The code is of something else.');
  if (text.length > MOST_LETTERS) return refused('It is longer than any code.');
  const packed = fromBase45(text.slice(HEAD.length));
  const bytes = packed && packed.length > 0 ? inflated(packed) : null;
  if (!bytes) return refused('The code is damaged.');
  return readRecipeBytes(bytes);
};

/** Whether bytes are a text that may be a recipe, and no picture. */
export const isText = (bytes: Uint8Array): boolean => {
  const first = bytes.find(b => b > 0x20);
  return first === 0x7b || (first === 0xef && bytes[1] === 0xbb);
};

/** A recipe from a file. Fails as `readRecipeText` does, and with FILE_TOO_LARGE. */
export const readRecipeFile = (bytes: Uint8Array): Result<RecipeCard> =>
  bytes.length > MOST_BYTES
    ? err(issue('RECIPE_UNREADABLE', '', { detail: 'It is larger than any recipe.' }))
    : readRecipeBytes(bytes);

const readRecipeBytes = (bytes: Uint8Array): Result<RecipeCard> => {
  const text = textOf(bytes);
  if (!text.ok) return text;
  const json = parseJsonObject(text.value);
  return json.ok ? readCard(json.value) : json;
};

/** A recipe as a file. */
export const recipeFile = (card: RecipeCard): string => `${JSON.stringify(card, null, 1)}\n`;
