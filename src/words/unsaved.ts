const DAY_MS = 24 * 3_600_000;

/** How long ago a file was saved, in words. */
const ago = (savedMs: number, nowMs: number): string => {
  const days = Math.floor((nowMs - savedMs) / DAY_MS);
  if (days < 1) return 'today';
  return days === 1 ? 'a day ago' : `${days} days ago`;
};

/**
 * How much is in this browser only.
 * @param savedMs when the last file was saved, ms since 1970; null for never
 */
export const unsavedWords = (changes: number, savedMs: number | null, nowMs: number): string => {
  const since =
    savedMs === null ? 'It was never saved to a file' : `The last file was saved ${ago(savedMs, nowMs)}`;
  if (changes === 0) return `${since}${savedMs === null ? '.' : ', and nothing changed since.'}`;
  return `${since}; ${changes} ${changes === 1 ? 'change is' : 'changes are'} in this browser only.`;
};

/** Whether it is time to say so on the table: much, or some for long. */
export const isTimeToSave = (changes: number, savedMs: number | null, nowMs: number): boolean =>
  changes >= 200 || (changes >= 30 && (savedMs === null || nowMs - savedMs > 7 * DAY_MS));

/** Said before it hurts. @param freeBytes what the browser says is left */
export const roomWords = (freeBytes: number): string =>
  `Little room is left in this browser: about ${Math.round(freeBytes / (1024 * 1024))} MB. Save the workshop to a file, then make room: pictures that are not needed, other sites’ data, the disk itself.`;
