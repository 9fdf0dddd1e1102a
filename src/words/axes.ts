/** The two axes of a piece in words: along its length, and across it. */
export const AXIS_WORDS = { along: 'lengthwise', across: 'crosswise' } as const;
