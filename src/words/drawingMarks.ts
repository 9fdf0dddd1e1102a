import type { DrawingMark } from '../core/acts/vocabulary';

/** Where the edge of a piece lies when it is held against its template or its resist. */
export const MARK_WORDS: Readonly<Record<DrawingMark, string>> = {
  dashed: 'still at the dashed line',
  inside: 'a little inside the dashed line',
  half: 'about half way',
  finger: 'a finger outside the dotted line',
  on: 'on the dotted line',
  past: 'inside the dotted line',
};

export const markWords = (mark: DrawingMark): string => MARK_WORDS[mark];
