import { type Act, actWords } from '../core/acts/act';
import type { PieceWording } from '../core/acts/actSpec';

/** How acts begin as they stand in the log, and as they are told afterwards; longer beginnings first. */
const PAST: ReadonlyArray<readonly [now: string, then: string]> = [
  ['Squeeze and rub', 'squeezed and rubbed it'],
  ['Squeeze and knead', 'squeezed and kneaded it'],
  ['Stir and press', 'stirred and pressed it'],
  ['Machine wash', 'washed it in the machine'],
  ['Hot and cold', 'plunged it hot and cold'],
  ['Let a little air out', 'let a little air out'],
  ['Fold the edges in and rub', 'folded the edges in and rubbed'],
  ['Pinch:', 'pinched it:'],
  ['Cut', 'cut'],
  ['Roll', 'rolled'],
  ['Rub', 'rubbed'],
  ['Wet', 'wetted it'],
  ['Throw', 'threw it'],
  ['Shake', 'shook it'],
  ['Trim', 'trimmed'],
  ['Turn', 'turned'],
  ['Work', 'worked'],
  ['Stretch', 'stretched'],
  ['Pat', 'patted'],
];

const told = (words: string): string => {
  const found = PAST.find(([now]) => words.startsWith(now) && !/^[a-z]/.test(words.slice(now.length)));
  return found
    ? `${found[1]}${words.slice(found[0].length)}`
    : words.charAt(0).toLowerCase() + words.slice(1);
};

/** What was done, added up, as one sentence. */
export const workTold = (acts: readonly Act[], wording: PieceWording): string => {
  // Which side it was is for the bench; of what is added up it is not one side any more.
  const plain: PieceWording = { ...wording, faces: 1, hasBack: false };
  const all = acts.map(act => told(actWords(act, plain)));
  const sentence = all.join(', ');
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
};
