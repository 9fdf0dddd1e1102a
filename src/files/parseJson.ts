import { issue } from '../core/issues';
import { err, ok, type Result } from '../core/result';
import { isObject } from '../records/migrate';

/** No file of ours is nested half as deeply. */
const DEEPEST = 40;

const [QUOTE, BACKSLASH, OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [
  '"',
  '\\',
  '[',
  ']',
  '{',
  '}',
].map(c => c.codePointAt(0));

/** How deeply lists and objects of a JSON text are nested, as far as the deepest allowed. */
const depthOf = (text: string): number => {
  let [depth, deepest, inString] = [0, 0, false];
  for (let i = 0; i < text.length && deepest <= DEEPEST; i += 1) {
    const c = text.charCodeAt(i);
    if (inString) {
      if (c === BACKSLASH) i += 1;
      else if (c === QUOTE) inString = false;
    } else if (c === QUOTE) inString = true;
    else if (c === OPEN_LIST || c === OPEN_OBJECT) {
      depth += 1;
      deepest = Math.max(deepest, depth);
    } else if (c === CLOSE_LIST || c === CLOSE_OBJECT) depth -= 1;
  }
  return deepest;
};

/** Reads an object from JSON. Never throws. Fails with FILE_TOO_DEEP, FILE_NOT_JSON or FILE_INVALID. */
export const parseJsonObject = (text: string): Result<Record<string, unknown>> => {
  if (depthOf(text) > DEEPEST) return err(issue('FILE_TOO_DEEP', ''));
  try {
    const raw: unknown = JSON.parse(text);
    return isObject(raw) ? ok(raw) : err(issue('FILE_INVALID', '', { detail: 'A workshop was expected.' }));
  } catch (error) {
    return err(issue('FILE_NOT_JSON', '', { detail: error instanceof Error ? `${error.message}.` : '' }));
  }
};
