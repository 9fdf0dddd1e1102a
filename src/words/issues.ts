import { DENSEST_FELT, WOOL_FIBRE_DENSITY } from '../core/chain/firmnessScale';
import type { Issue, IssueCode } from '../core/issues';
import type { IssueWords } from './issueWords';
import { LINK_NAMES } from './links';
import { PICTURE_ISSUES } from './pictureIssues';

/** Every issue in words. `docs/issues.md` holds the same table; a test compares the two both ways. */
export const ISSUES: Readonly<Record<IssueCode, IssueWords>> = {
  NOT_A_NUMBER: {
    message: 'This does not read as a number.',
    cause: 'Letters, two decimal marks, or an unknown unit.',
    remedy: 'Type a figure such as 30.5, 1,8, 12 in or 1 3/4 oz.',
  },
  OUT_OF_RANGE: {
    message: 'This number is outside what is possible here.',
    cause: 'A size of zero, a shrinkage of 100 % or more, or a negative weight.',
    remedy: 'Stay within the range shown.',
  },
  UNKNOWN_FORM: {
    message: 'Jorrit does not know this form.',
    cause: 'The file was made by a later version.',
    remedy: 'Open it with the version that wrote it, or a later one.',
  },
  MEASURE_MISSING: {
    message: 'The form is missing a measure.',
    cause: 'A damaged or hand-edited file.',
    remedy: 'Add the measure shown.',
  },
  PINS_DISAGREE: {
    message: 'The figures you keep cannot all be true.',
    cause: 'You keep more figures than the others can follow.',
    remedy: 'Let go of one of the figures shown, or take one of the values offered.',
  },
  PINS_TOO_FEW: {
    message: 'There is not enough to work out the rest.',
    cause: 'More than one figure is still open.',
    remedy: 'Type one of the figures shown.',
  },
  NO_SOLUTION: {
    message: 'No value makes these figures agree.',
    cause: 'They ask for a negative shrinkage, or one of more than 95 %.',
    remedy: 'Change one of the figures shown.',
  },
  BEYOND_LIMITS: {
    message: 'A figure would be far beyond anything people felt.',
    cause: 'It follows from the figures you gave: one of them is a slip, or two do not go together.',
    remedy: 'Change one of the figures you gave.',
  },
  WALL_TOO_THICK: {
    message: 'The wall would leave no room inside.',
    cause: 'The piece is measured outside, and its wall takes up all of it.',
    remedy: 'Use less wool, a thinner wall or a larger piece, or give the inside measures.',
  },
  NOT_SETTLED: {
    message: 'The wall and the outside measures could not be made to agree.',
    cause: 'The wall follows from the size, and the size from the wall, without end.',
    remedy: 'Keep the thickness as well, or give the inside measures.',
  },
  PLAN_FAILED: {
    message: 'This piece could not be worked out.',
    cause: 'One of its figures is one Jorrit did not expect.',
    remedy: 'Change its measures, save it to a file, or delete it. Nothing else is affected.',
  },
  DENSITY_BEYOND_FIBRE: {
    message: 'No felt is this dense.',
    cause: `Wool fibre itself is ${WOOL_FIBRE_DENSITY} g/cm³; felt above about ${DENSEST_FELT} is not believable.`,
    remedy: 'Choose a thicker or softer felt, or use less wool.',
  },
  SHRINKAGE_UNCOMMON: {
    message: 'Very few felts shrink this much or this little.',
    cause: 'Most makers plan for 20 to 50 % of the length (common practice).',
    remedy: 'Felt a swatch first.',
  },
  EDGE_SURPLUS: {
    message: 'The edge must shrink much more than the middle.',
    cause: 'The flat outline is longer along its fold than down its middle.',
    remedy: 'Work the folded edge hardest, or make the form slimmer.',
  },
  OUTLINE_NOT_NUMBERS: {
    message: 'A point of the outline is not a pair of numbers.',
    cause: 'A damaged file, or a transform that divides by zero.',
    remedy: 'Fix the point shown.',
  },
  OUTLINE_TOO_MANY: {
    message: 'The outline has too many points.',
    cause: 'It is a scan or trace that was never simplified.',
    remedy: 'Simplify the outline in the program that drew it.',
  },
  OUTLINE_TOO_LARGE: {
    message: 'The outline is larger than any table.',
    cause: 'Most often a unit is wrong: pixels or inches read as something larger.',
    remedy: 'Keep it within 5 m, or give the file a size in mm.',
  },
  OUTLINE_EMPTY: {
    message: 'The outline has no area.',
    cause: 'Fewer than three different points, or all on one line.',
    remedy: 'Draw a closed outline.',
  },
  OUTLINE_CROSSES: {
    message: 'The outline crosses itself.',
    cause: 'Two of its edges cross or touch, so that inside and outside cannot be told apart.',
    remedy: 'Move the points at the place shown.',
  },
  BALL_TOO_FLAT: {
    message: 'No ball is that flat.',
    cause: 'As laid, a string over its poles would be shorter than twice its width.',
    remedy: 'Make the two shrinkages more alike, or the girth over the poles larger.',
  },
  EASE_SHUTS: {
    message: 'With this much ease the outline meets itself and closes off a hole.',
    cause: 'Two parts of it are closer together than twice the ease.',
    remedy: 'Use less ease, or move the points apart there.',
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
    cause: 'It has only text, pictures, hidden or linked parts.',
    remedy: 'Convert the drawing to paths in the program that made it.',
  },
  FILE_NOT_JSON: {
    message: 'This file cannot be read as JSON.',
    cause: 'It was cut short, or is another kind of file.',
    remedy: 'Choose a file that Jorrit saved.',
  },
  FILE_NOT_TEXT: {
    message: 'This file is not text.',
    cause: 'It is another kind of file, or was damaged on the way (its bytes are not UTF-8).',
    remedy: 'Choose a file that Jorrit saved; if it was sent to you, ask for it again.',
  },
  FILE_TOO_DEEP: {
    message: 'This file is nested too deeply.',
    cause: 'No workshop file is like that: it is another kind of file, or was made to do harm.',
    remedy: 'Choose a file that Jorrit saved.',
  },
  ZIP_UNREADABLE: {
    message: 'This zip file cannot be read.',
    cause: 'It was cut short, is not a workshop, or unpacks to more than is allowed.',
    remedy: 'Choose a file that Jorrit saved.',
  },
  ATTACHMENT_WRONG: {
    message: 'A picture in this file is not the one it should be.',
    cause: 'The file was damaged or changed.',
    remedy: 'Save the workshop again in the browser it came from.',
  },
  PICTURE_UNREADABLE: {
    message: 'This picture cannot be read.',
    cause: 'It is no picture, or of a kind this browser does not know.',
    remedy: 'Choose a JPEG, PNG or WebP picture.',
  },
  ROOM_SHORT: {
    message: 'This browser is nearly out of room.',
    cause: 'What it may keep is almost used up. The picture was not taken.',
    remedy: 'Save the workshop to a file, then free some room on this device.',
  },
  RECIPE_UNREADABLE: {
    message: 'This is no recipe of Jorrit’s.',
    cause: 'It was made by something else, was damaged, or comes from a newer version.',
    remedy: 'Choose a recipe file, or a clear picture of a recipe card.',
  },
  CODE_NOT_FOUND: {
    message: 'There is no code to be seen in this picture.',
    cause: 'It is blurred, cut off, too small or too dark.',
    remedy: 'Take it again straight from above, so that the code fills half of the picture.',
  },
  FILE_INVALID: {
    message: 'Something here cannot be read.',
    cause: 'It was edited by hand, or damaged.',
    remedy: 'Fix the place shown. Nothing here was changed.',
  },
  CSV_HEADINGS: {
    message: 'No column of this table has the heading “name”.',
    cause: 'The first line must be the headings: name, fibre, form, colour, grams, notes and so on.',
    remedy: 'Give one column the heading “name” and choose the file again.',
  },
  CSV_NAMELESS: {
    message: 'A row without a name was left out.',
    cause: 'Every wool on the shelf has a name.',
    remedy: 'Give it one in the table, and open the file again.',
  },
  FILE_TOO_LARGE: {
    message: 'This file is too large.',
    cause: 'A workshop file is rarely more than a few megabytes.',
    remedy: 'Choose a file that Jorrit saved.',
  },
  RECORD_NEWER: {
    message: 'This was written by a later version.',
    cause: 'The file, or the data in this browser, is newer than this program.',
    remedy: 'Update, then open it again; nothing here was changed.',
  },
  RECORD_MISSING: {
    message: 'This piece is not in this browser.',
    cause: 'It was cleared, or made in another browser.',
    remedy: 'Open it from a file.',
  },
  WORKER_DIED: {
    message: 'The work in the background stopped.',
    cause: 'The browser stopped it, often because memory ran short.',
    remedy: 'Try again. If it stops again, reload the page.',
  },
  WORK_FAILED: {
    message: 'The work in the background failed.',
    cause: 'Something it was given was not what it expected.',
    remedy: 'Try again. If it fails again, change the piece a little.',
  },
  WORKER_SLOW: {
    message: 'The work in the background took too long and was stopped.',
    cause: 'The device is very busy, or the piece is very large.',
    remedy: 'Try again, with less at once.',
  },
  WORKER_NOT_STARTED: {
    message: 'The work in the background could not be started.',
    cause: 'The page could not load its files, or the browser does not allow workers.',
    remedy: 'Reload the page.',
  },
  CANCELLED: {
    message: 'It was cancelled.',
    cause: 'You stopped it, or started something newer.',
    remedy: 'Start it again whenever you like.',
  },
  STORE_FULL: {
    message: 'There is no room left to save this.',
    cause: 'The disk is full, or the browser has used up its share.',
    remedy: 'Free some space, then try again. Everything saved before is still there.',
  },
  STORE_CLOSED: {
    message: 'The browser has closed the workshop.',
    cause: 'It ran out of space or memory, or a newer version is open in another tab.',
    remedy: 'Reload this page. Everything saved before is still there.',
  },
  STORE_SLOW: {
    message: 'The workshop is not open yet.',
    cause: 'Another tab with an older version is using it, or the browser is still getting its files ready.',
    remedy: 'Close other tabs with Jorrit. If that does not help, restart the browser.',
  },
  STORE_LOST: {
    message: 'The workshop that was saved here is gone.',
    cause: 'The browser cleared its storage, to make room or because it was told to.',
    remedy: 'Open your last saved file. The sample does not replace any of it.',
  },
  NOTES_DENIED: {
    message: 'This browser does not let Jorrit note your very last change.',
    cause: 'Local storage is switched off, or full.',
    remedy:
      'Everything is saved as usual; just wait a moment after your last change before you close the tab.',
  },
  PIECE_GONE: {
    message: 'This piece is not here any more, so nothing can be added to it.',
    cause: 'It was cleared or deleted for good, perhaps in another tab.',
    remedy: 'Open it from a file, or start a new piece.',
  },
  LOG_FULL: {
    message: 'The log of this piece cannot take any more entries.',
    cause: 'A file gave its last entry the highest possible number.',
    remedy: 'Make the piece again: the new one has its own log.',
  },
  UNDO_OVERTAKEN: {
    message: 'It was changed again since then, so it was left as it is.',
    cause: 'Another tab, or a later change, set it to something else.',
    remedy: 'Change it by hand if you want it back.',
  },
  RECORDS_UNREAD: {
    message: 'Some records could not be read. They are in the file as they were.',
    cause: 'They are damaged, or were written by a later version.',
    remedy: 'Keep the file: a later version may read them.',
  },
  STORE_FAILED: {
    message: 'The browser did not save this.',
    cause: 'The disk is full, or private browsing does not allow storage.',
    remedy: 'Save the workshop to a file before you close this tab.',
  },
  ...PICTURE_ISSUES,
};

const CHAIN_PATH = /^plan\.chain\.(\w+)$/;

/** A place as a maker knows it: a linked figure by its name, anything else by its path. */
const placeWords = (path: string): string => {
  const link = CHAIN_PATH.exec(path)?.[1];
  return Object.entries(LINK_NAMES).find(([id]) => id === link)?.[1] ?? path;
};

/** An issue in one sentence: the message, the particulars, the place. */
export const issueText = (it: Issue): string =>
  [
    ISSUES[it.code].message,
    it.detail,
    it.path && `(${placeWords(it.path)}${it.got === undefined ? '' : `: ${it.got}`})`,
  ]
    .filter(Boolean)
    .join(' ');

/** An issue whole: what happened, why, and what to do. */
export const issueWhole = (it: Issue): string =>
  `${issueText(it)} ${ISSUES[it.code].cause} ${ISSUES[it.code].remedy}`;
