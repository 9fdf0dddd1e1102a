import type { Issue } from './issues';

/** A value, or the issues that stand in its way. Errors are values; nothing in the core throws for bad input. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const err = (...issues: readonly Issue[]): Result<never> => ({ ok: false, issues });
