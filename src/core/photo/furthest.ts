import { type Issue, issue } from '../issues';

/** Of refusals the one that came furthest: it says most of what is wrong. */
const FURTHEST = [
  'PHOTO_NO_REFERENCE',
  'PHOTO_FAR',
  'PHOTO_BLURRED',
  'PHOTO_SLANTED',
  'PHOTO_NO_PIECE',
  'PHOTO_OTHER_SIZE',
  'PHOTO_UNCLEAR',
  'PHOTO_CUT',
  'PHOTO_ON_PIECE',
  'PHOTO_UNSURE',
] as const;
export const furthest = (issues: readonly Issue[]): Issue => {
  const rank = (i: Issue): number => FURTHEST.findIndex(code => code === i.code);
  return issues.toSorted((a, b) => rank(b) - rank(a))[0] ?? issue('PHOTO_NO_REFERENCE', '');
};
