/** How a maker judges where a piece stands: with a tape, or by feel. */
export const JUDGES = ['tape', 'feel'] as const;
export type Judge = (typeof JUDGES)[number];
