/** What one wool must still give, against what is left of it. */
export interface Enough {
  readonly woolId: string | null;
  /** g for the whole plan, its part of the reserve in it. */
  readonly grams: number;
  /** g that were not weighed yet. */
  readonly open: number;
  /** g on the shelf; null where it was never counted. */
  readonly left: number | null;
  /** g that are lacking; 0 where there is enough, or where nobody counted. */
  readonly short: number;
}

/** Less than this is no shortage: a kitchen scale does not see it. */
const UNSEEN_G = 0.05;

/**
 * Whether the shelf holds enough of each wool, with what was weighed already taken off what it must give.
 * @param left g on the shelf now, what was weighed already gone from it; null where it was never counted
 */
export const enough = (
  needs: ReadonlyArray<{ readonly woolId: string | null; readonly grams: number }>,
  weighed: ReadonlyArray<{ readonly woolId: string | null; readonly grams: number }>,
  left: (woolId: string | null) => number | null,
): readonly Enough[] =>
  needs.map(({ woolId, grams }) => {
    const done = weighed.filter(w => w.woolId === woolId).reduce((sum, w) => sum + w.grams, 0);
    const open = Math.max(0, grams - done);
    const has = left(woolId);
    const lacking = has === null ? 0 : open - has;
    return { woolId, grams, open, left: has, short: lacking > UNSEEN_G ? lacking : 0 };
  });
