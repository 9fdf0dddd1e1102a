/** How a maker judges where a piece stands: with a tape, against its drawing, or by feel. */
export const JUDGES = ['tape', 'drawing', 'feel'] as const;
export type Judge = (typeof JUDGES)[number];
