import type { Issue } from './issues';

/** A value, or the issues that stand in its way. Errors are values; nothing in the core throws for bad input. */
export type Result<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly Issue[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const err = (...issues: readonly Issue[]): Result<never> => ({ ok: false, issues });

/** So many issues say enough; a damaged file may have a hundred thousand. */
const MOST_ISSUES = 200;

/** The issues of a list, however long it is. */
export const errs = (issues: readonly Issue[]): Result<never> => ({
  ok: false,
  issues: issues.slice(0, MOST_ISSUES),
});
