/** The time now, as it is stored. The core is handed times; only the session looks at the clock. */
export const nowIso = (): string => new Date().toISOString();

const two = (n: number): string => String(n).padStart(2, '0');

/** The day of a stored time where the felter is, as 2026-03-01. */
export const localDay = (iso: string): string => {
  const d = new Date(iso);
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
};

/** A fresh name for a record. */
export const newId = (): string => crypto.randomUUID();

/** Now, ms since 1970. */
export const nowMs = (): number => Date.now();

/** When the felter's own day began, ms since 1970; a day of 23 or 25 hours begins at its midnight too. */
export const dayStartMs = (now: number): number => new Date(now).setHours(0, 0, 0, 0);
