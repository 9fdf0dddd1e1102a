/** The time now, as it is stored. The core is handed times; only the session looks at the clock. */
export const nowIso = (): string => new Date().toISOString();

/** A fresh name for a record. */
export const newId = (): string => crypto.randomUUID();
