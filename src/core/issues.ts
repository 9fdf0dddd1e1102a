/** Codes of everything that can be refused or warned of. What each is called stands in `src/words/issues.ts`. */
export const ISSUE_CODES = [
  'NOT_A_NUMBER',
  'OUT_OF_RANGE',
  'UNKNOWN_FORM',
  'MEASURE_MISSING',
  'PINS_DISAGREE',
  'PINS_TOO_FEW',
  'NO_SOLUTION',
  'BEYOND_LIMITS',
  'WALL_TOO_THICK',
  'NOT_SETTLED',
  'PLAN_FAILED',
  'DENSITY_BEYOND_FIBRE',
  'SHRINKAGE_UNCOMMON',
  'EDGE_SURPLUS',
  'OUTLINE_NOT_NUMBERS',
  'OUTLINE_TOO_MANY',
  'OUTLINE_TOO_LARGE',
  'OUTLINE_EMPTY',
  'OUTLINE_CROSSES',
  'BALL_TOO_FLAT',
  'EASE_SHUTS',
  'OUTLINE_OPEN',
  'SVG_UNREADABLE',
  'SVG_NO_OUTLINE',
  'FILE_NOT_JSON',
  'FILE_NOT_TEXT',
  'FILE_TOO_DEEP',
  'ZIP_UNREADABLE',
  'ATTACHMENT_WRONG',
  'PICTURE_UNREADABLE',
  'ROOM_SHORT',
  'RECIPE_UNREADABLE',
  'CODE_NOT_FOUND',
  'FILE_INVALID',
  'CSV_HEADINGS',
  'CSV_NAMELESS',
  'FILE_TOO_LARGE',
  'RECORD_NEWER',
  'RECORD_MISSING',
  'WORKER_DIED',
  'WORK_FAILED',
  'WORKER_SLOW',
  'WORKER_NOT_STARTED',
  'CANCELLED',
  'STORE_FULL',
  'STORE_CLOSED',
  'STORE_SLOW',
  'STORE_LOST',
  'NOTES_DENIED',
  'PIECE_GONE',
  'LOG_FULL',
  'UNDO_OVERTAKEN',
  'RECORDS_UNREAD',
  'STORE_FAILED',
  'LIGHT_NO_BACKDROP',
  'LIGHT_BLEACHED',
  'LIGHT_NO_PIECE',
  'LIGHT_CUT',
  'LIGHT_DARK',
  'LIGHT_CLEAR',
  'LIGHT_OTHER_PIECE',
  'PHOTO_NO_REFERENCE',
  'PHOTO_FAR',
  'PHOTO_BLURRED',
  'PHOTO_SLANTED',
  'PHOTO_NO_PIECE',
  'PHOTO_CUT',
  'PHOTO_ON_PIECE',
  'PHOTO_UNCLEAR',
  'PHOTO_OTHER_SIZE',
  'PHOTO_AMBIGUOUS',
  'PHOTO_UNSURE',
] as const;

export type IssueCode = (typeof ISSUE_CODES)[number];

/** One refusal or warning: a code from the catalogue, the place it concerns, and what was found there. */
export interface Issue {
  readonly code: IssueCode;
  /** Dotted path of the place, e.g. `plan.shrinkage.across`. Empty when the whole is meant. */
  readonly path: string;
  /** What was found, put as text. */
  readonly got?: string;
  /** One more sentence with the particulars. */
  readonly detail?: string;
}

/** More of what was found tells nothing more. */
const MOST_GOT = 200;

const asText = (got: unknown): string => {
  const text = typeof got === 'string' ? got : isNested(got) ? '…' : (JSON.stringify(got) ?? String(got));
  return text.length > MOST_GOT ? `${text.slice(0, MOST_GOT)}…` : text;
};

/** Whether something holds lists or objects that hold others: it may be deeper than can be put as text. */
const isNested = (got: unknown): boolean =>
  typeof got === 'object' &&
  got !== null &&
  Object.values(got).some(v => typeof v === 'object' && v !== null && Object.values(v).length > 0);

/** Builds an issue. `got` is turned to text so that an issue can be stored and sent between threads. */
export const issue = (
  code: IssueCode,
  path: string,
  more: { got?: unknown; detail?: string } = {},
): Issue => ({
  code,
  path,
  ...(more.got === undefined ? {} : { got: asText(more.got) }),
  ...(more.detail === undefined ? {} : { detail: more.detail }),
});
