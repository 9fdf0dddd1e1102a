/** What a piece may be put aside for. */
export const MARKS = ['soft', 'dry', 'thin', 'misshapen'] as const;
export type PieceMark = (typeof MARKS)[number];

const WORDS: Readonly<Record<PieceMark, string>> = {
  soft: 'still soft',
  dry: 'too dry',
  thin: 'thin in places',
  misshapen: 'out of shape',
};

/** How a piece is that is put aside. */
export const markName = (mark: PieceMark): string => WORDS[mark];
