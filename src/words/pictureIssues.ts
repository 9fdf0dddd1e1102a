import type { IssueCode } from '../core/issues';
import type { IssueWords } from './issueWords';

/** Why a picture says nothing: held to the light, measured or traced. Part of the one table of `issues.ts`. */
export const PICTURE_ISSUES: Readonly<
  Record<Extract<IssueCode, `LIGHT_${string}` | `PHOTO_${string}`>, IssueWords>
> = {
  LIGHT_NO_BACKDROP: {
    message: 'No even light is seen behind the piece.',
    cause:
      'The picture was not taken against a window, a lamp or a bright sheet, or something else is in it.',
    remedy:
      'Hang or hold it before a window or a white sheet that is lit from behind, with nothing but that light round it, and take it again.',
  },
  LIGHT_BLEACHED: {
    message: 'The light behind it is bleached out.',
    cause: 'The camera let in so much light that the brightest parts are all one white.',
    remedy: 'Tap on the light before you take the picture, or use a weaker lamp.',
  },
  LIGHT_NO_PIECE: {
    message: 'No piece is seen against the light.',
    cause: 'It is too small in the picture, or as bright as what is behind it.',
    remedy: 'Go nearer, so that it fills more than half of the picture.',
  },
  LIGHT_CUT: {
    message: 'The piece runs out of the picture.',
    cause: 'Some of its edge is not in it.',
    remedy: 'Go further back, so that light is seen all round it.',
  },
  LIGHT_DARK: {
    message: 'Too little light comes through to tell.',
    cause: 'The piece is too thick or too dark, or the light behind it too weak.',
    remedy: 'Use a brighter light, or feel for thin places with your fingers.',
  },
  LIGHT_CLEAR: {
    message: 'Nearly all of the light comes through.',
    cause: 'The wool is laid very thinly, or the light is too strong for it.',
    remedy: 'Use a weaker light, and look again when more is laid.',
  },
  LIGHT_OTHER_PIECE: {
    message: 'What is seen has not the outline of this piece.',
    cause: 'Another piece is in the picture, it is folded, seen from the side, or something lies beside it.',
    remedy: 'Spread it flat, hold the camera square to it, with nothing else before the light.',
  },
  PHOTO_NO_REFERENCE: {
    message: 'Nothing of the size you chose is seen beside the piece.',
    cause:
      'No bank card or sheet lies there, it hardly shows against the table, something lies over it, or another size was chosen.',
    remedy:
      'Lay it flat beside the piece, whole in the picture, where it stands out from the table. Or tap on it in the picture.',
  },
  PHOTO_FAR: {
    message: 'What lies beside the piece is too small in the picture.',
    cause: 'It was taken from so far off that a card says too little.',
    remedy: 'Go nearer, or lay a sheet of A4 or Letter beside a large piece.',
  },
  PHOTO_BLURRED: {
    message: 'The picture is blurred.',
    cause: 'The camera moved, was too near, or looked at something else.',
    remedy: 'Hold still, tap on the piece so that it is sharp, and take it again.',
  },
  PHOTO_SLANTED: {
    message: 'The picture was taken too much from the side.',
    cause: 'Beyond about 36° of tilt a card tells too little.',
    remedy: 'Hold the camera over the middle of the piece, looking straight down.',
  },
  PHOTO_NO_PIECE: {
    message: 'The piece is not told from the table.',
    cause: 'It looks much like what it lies on, or other things lie round it.',
    remedy:
      'Lay it on something lighter or darker, or of another colour, with the card or sheet beside it and not on it. Or tap on it in the picture.',
  },
  PHOTO_CUT: {
    message: 'The piece runs out of the picture.',
    cause: 'Some of its edge is not in it.',
    remedy: 'Go further back, so that table is seen all round it.',
  },
  PHOTO_ON_PIECE: {
    message: 'What you laid beside it lies on the piece, or under it.',
    cause: 'Its height over the table is then not known, or its edges do not show.',
    remedy: 'Lay it on the table, a hand away from the piece.',
  },
  PHOTO_UNCLEAR: {
    message: 'The edge of the piece is not clear enough.',
    cause: 'Wool and table look too much alike along much of it, or foam and water lie round it.',
    remedy: 'Wipe the table round it, lay it on something of another colour, and take it again.',
  },
  PHOTO_OTHER_SIZE: {
    message: 'What is seen has not the outline of this piece.',
    cause:
      'Another piece is in the picture, it is folded or bunched, or it is much larger or smaller than it can be.',
    remedy: 'Spread it flat, alone on the table, with the card or sheet beside it.',
  },
  PHOTO_AMBIGUOUS: {
    message: 'Two things in the picture could be what you laid beside it.',
    cause: 'Each gives the piece another size.',
    remedy: 'Tap on the right one in the picture, or take the other away.',
  },
  PHOTO_UNSURE: {
    message: 'The lengths would be too uncertain.',
    cause:
      'The card is small beside the piece, far from it, or seen from the side: no line would be surer than 5 %.',
    remedy: 'Go nearer, lay a sheet instead of a card, or use a tape.',
  },
};
