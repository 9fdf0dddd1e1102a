/**
 * The catalogue of everything that can be refused or warned of: what is said, why it happens, what to do.
 * `docs/issues.md` holds the same table; a test compares the two both ways.
 */
export const ISSUES = {
  NOT_A_NUMBER: {
    message: 'This is not a number that can be read.',
    cause: 'Letters, two decimal marks, or an unknown unit.',
    remedy: 'Type a figure such as 30.5, 1,8, 12 in or 1 3/4 oz.',
  },
  OUT_OF_RANGE: {
    message: 'This figure lies outside what is possible here.',
    cause: 'A size of nothing, a shrinkage of 100 % or more, a negative mass.',
    remedy: 'Keep within the range that is named.',
  },
  UNKNOWN_FORM: {
    message: 'This form is not known here.',
    cause: 'The file was made by a later version.',
    remedy: 'Open it with the version that wrote it, or a later one.',
  },
  MEASURE_MISSING: {
    message: 'The form lacks a measure it needs.',
    cause: 'A damaged or hand-edited file.',
    remedy: 'Add the measure that is named.',
  },
  PINS_DISAGREE: {
    message: 'The pinned figures cannot all hold.',
    cause: 'More is pinned than the chain leaves free.',
    remedy: 'Let go of one of the pins that are named, or take one of the figures offered.',
  },
  PINS_TOO_FEW: {
    message: 'Not enough is pinned for the rest to follow.',
    cause: 'More than one figure is still free.',
    remedy: 'Pin one of the figures that are named.',
  },
  NO_SOLUTION: {
    message: 'No figure makes the pins agree.',
    cause: 'The pins ask for a negative shrinkage, or one of more than 95 %.',
    remedy: 'Change one of the pins that are named.',
  },
  BEYOND_LIMITS: {
    message: 'A figure would be beyond anything that is felted.',
    cause: 'It follows from the figures that are kept: one of them is a slip, or two do not go together.',
    remedy: 'Change one of the figures that are kept.',
  },
  WALL_TOO_THICK: {
    message: 'The wall would leave no room inside.',
    cause: 'The piece is measured outside, and its wall takes up all of it.',
    remedy: 'Take less wool, a thinner wall or a larger piece, or measure it inside.',
  },
  NOT_SETTLED: {
    message: 'Wall and outside measures could not be made to agree.',
    cause: 'The wall follows from the size, and the size from the wall, without end.',
    remedy: 'Keep the thickness as well, or measure the piece inside.',
  },
  PLAN_FAILED: {
    message: 'This piece could not be worked out.',
    cause: 'Some figure of it is one that Jorrit did not expect.',
    remedy: 'Change its measures, save it to a file, or delete it. Nothing else is touched.',
  },
  DENSITY_BEYOND_FIBRE: {
    message: 'No felt is this dense.',
    cause: 'Wool fibre itself is 1.31 g/cm³; felt above about 0.6 is not believable.',
    remedy: 'Ask for a thicker or a softer felt, or use less wool.',
  },
  SHRINKAGE_UNCOMMON: {
    message: 'Few felts shrink like this.',
    cause: 'Most makers plan between 20 and 50 % of length (common practice).',
    remedy: 'Felt a swatch first.',
  },
  EDGE_SURPLUS: {
    message: 'The edge must shrink much more than the middle.',
    cause: 'The flat outline is longer along its fold than down its middle.',
    remedy: 'Work the folded edge hardest, or make the form slimmer.',
  },
  OUTLINE_NOT_NUMBERS: {
    message: 'A point of the outline is not a pair of numbers.',
    cause: 'A damaged file, or a transform that divides by nothing.',
    remedy: 'Mend the point that is named.',
  },
  OUTLINE_TOO_MANY: {
    message: 'The outline has more points than can be read.',
    cause: 'A scan or trace that was never simplified.',
    remedy: 'Simplify the outline in the program that drew it.',
  },
  OUTLINE_TOO_LARGE: {
    message: 'The outline is larger than any table.',
    cause: 'Most often a unit is wrong: pixels or inches read as something larger.',
    remedy: 'Keep it within 5 m, or give the file its size in mm.',
  },
  OUTLINE_EMPTY: {
    message: 'The outline encloses nothing.',
    cause: 'Fewer than three different points, or all on one line.',
    remedy: 'Draw a closed outline.',
  },
  OUTLINE_CROSSES: {
    message: 'The outline crosses itself.',
    cause: 'Two of its edges cross or touch, so that inside and outside cannot be told apart.',
    remedy: 'Move the points at the place that is named.',
  },
  BALL_TOO_FLAT: {
    message: 'No ball is so flat.',
    cause: 'As laid, a string over its poles would be shorter than twice its width.',
    remedy: 'Make the two shrinkages more alike, or the girth over the poles larger.',
  },
  EASE_SHUTS: {
    message: 'With this ease the outline meets itself and shuts in a hole.',
    cause: 'Two parts of it lie nearer to each other than twice the ease.',
    remedy: 'Take less ease, or move the points apart there.',
  },
  OUTLINE_OPEN: {
    message: 'The outline is not closed.',
    cause: 'Its last point does not meet its first.',
    remedy: 'Close the path in the program that drew it.',
  },
  SVG_UNREADABLE: {
    message: 'This file cannot be read as SVG.',
    cause: 'It was cut short, or is another kind of file.',
    remedy: 'Choose an SVG file with a closed path.',
  },
  SVG_NO_OUTLINE: {
    message: 'No outline was found in this file.',
    cause: 'It holds only text, pictures, hidden or linked parts.',
    remedy: 'Turn what is drawn into a path in the program that drew it.',
  },
  FILE_NOT_JSON: {
    message: 'This file cannot be read as JSON.',
    cause: 'It was cut short, or is another kind of file.',
    remedy: 'Choose a file that Jorrit wrote.',
  },
  FILE_NOT_TEXT: {
    message: 'This file is not text.',
    cause: 'It holds bytes that are no UTF-8: it is another kind of file, or was damaged on the way.',
    remedy: 'Choose a file that Jorrit wrote, and copy it anew if it was sent.',
  },
  FILE_TOO_DEEP: {
    message: 'This file is nested too deeply.',
    cause: 'No workshop file is: it was made to do harm, or is another kind of file.',
    remedy: 'Choose a file that Jorrit wrote.',
  },
  ZIP_UNREADABLE: {
    message: 'This zip file cannot be read.',
    cause: 'It was cut short, holds other things than a workshop, or unpacks to more than it may.',
    remedy: 'Choose a file that Jorrit wrote.',
  },
  ATTACHMENT_WRONG: {
    message: 'A picture in this file is not the one that it says.',
    cause: 'The file was damaged or changed.',
    remedy: 'Save the workshop again where it came from.',
  },
  FILE_INVALID: {
    message: 'Something in this file is not as it must be.',
    cause: 'It was edited by hand or damaged.',
    remedy: 'Mend the place that is named; nothing here was changed.',
  },
  CSV_HEADINGS: {
    message: 'No column of this table is headed as a name.',
    cause: 'The first line must head the columns: name, fibre, form, colour, grams, notes and so on.',
    remedy: 'Head one column “name”, and choose the file again.',
  },
  CSV_NAMELESS: {
    message: 'A row without a name was left out.',
    cause: 'Every wool on the shelf has a name.',
    remedy: 'Give it one in the table, and read the file in again.',
  },
  FILE_TOO_LARGE: {
    message: 'This file is too large.',
    cause: 'A workshop file seldom reaches a few megabytes.',
    remedy: 'Choose a file that Jorrit wrote.',
  },
  RECORD_NEWER: {
    message: 'This was written by a later version.',
    cause: 'The file or the browser data is newer than this program.',
    remedy: 'Update, then open it again; nothing here was changed.',
  },
  RECORD_MISSING: {
    message: 'This piece is not on this browser.',
    cause: 'It was cleared, or made on another browser.',
    remedy: 'Read it in from a file.',
  },
  WORKER_DIED: {
    message: 'The work in the background stopped.',
    cause: 'The browser ended it, often for lack of memory.',
    remedy: 'Try again. If it stops again, reload the page.',
  },
  WORK_FAILED: {
    message: 'The work in the background did not succeed.',
    cause: 'Something in what it was given is not as it expected.',
    remedy: 'Try again. If it fails again, change the piece a little.',
  },
  WORKER_SLOW: {
    message: 'The work in the background took too long and was stopped.',
    cause: 'The device is very busy, or the piece is very large.',
    remedy: 'Try again, with less at once.',
  },
  WORKER_NOT_STARTED: {
    message: 'The work in the background could not be started.',
    cause: 'The page has lost its files, or the browser allows no workers.',
    remedy: 'Reload the page.',
  },
  CANCELLED: {
    message: 'It was cancelled.',
    cause: 'You stopped it, or something newer was asked for.',
    remedy: 'Start it again when you like.',
  },
  STORE_FULL: {
    message: 'There is no room left to keep this.',
    cause: 'The disk is full, or the browser has used up its share of it.',
    remedy: 'Free some space, then do it again. What was kept before is still there.',
  },
  STORE_CLOSED: {
    message: 'The browser has closed the workshop.',
    cause: 'It ran out of space or memory, or a newer version is open in another tab.',
    remedy: 'Reload this page. What was kept before is still there.',
  },
  STORE_SLOW: {
    message: 'The workshop is not open yet.',
    cause:
      'Another tab with an older version keeps it busy, or the browser is still getting its files ready.',
    remedy: 'Close other tabs with Jorrit. If that does not help, restart the browser.',
  },
  STORE_LOST: {
    message: 'The workshop that was kept here is gone.',
    cause: 'The browser has cleared its storage: to make room, or because it was told to.',
    remedy: 'Read your last saved file in. Nothing of it is replaced by the sample.',
  },
  NOTES_DENIED: {
    message: 'This browser does not let Jorrit keep notes of the last moment.',
    cause: 'Local storage is switched off, or full.',
    remedy: 'All is kept as usual; only wait a moment after the last change before you close the tab.',
  },
  PIECE_GONE: {
    message: 'This piece is not here any more, so nothing can be added to it.',
    cause: 'It was cleared or deleted for good, perhaps in another tab.',
    remedy: 'Bring it back from a file, or start a new piece.',
  },
  LOG_FULL: {
    message: 'The log of this piece takes no more entries.',
    cause: 'A file gave its last entry the highest number there is.',
    remedy: 'Make the piece again: the new one has a log of its own.',
  },
  UNDO_OVERTAKEN: {
    message: 'It was changed again since, so that was left as it is.',
    cause: 'Another tab, or a later change, gave it another figure.',
    remedy: 'Change it by hand if you want it back.',
  },
  RECORDS_UNREAD: {
    message: 'Some records could not be read. They went into the file as they are.',
    cause: 'They are damaged, or a later version wrote them.',
    remedy: 'Keep the file: a later version may read them.',
  },
  STORE_FAILED: {
    message: 'The browser did not keep this.',
    cause: 'The disk is full, or private browsing forbids storage.',
    remedy: 'Export the workshop to a file before closing this tab.',
  },
} as const;

export type IssueCode = keyof typeof ISSUES;

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

/** An issue in one sentence: the message, the particulars, the place. */
export const issueText = (it: Issue): string =>
  [ISSUES[it.code].message, it.detail, it.path && `(${it.path}${it.got === undefined ? '' : `: ${it.got}`})`]
    .filter(Boolean)
    .join(' ');
