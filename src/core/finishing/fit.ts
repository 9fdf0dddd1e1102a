/** How a finished piece fits whoever or whatever it is for. */
export const FITS = ['loose', 'right', 'tight'] as const;
export type Fit = (typeof FITS)[number];

/** A step from loose to right, or from tight: two centimetres of a head of 57. Common practice. */
const STEP = 0.035;

/** By which share the next one is planned larger; below 0 smaller, 0 where it is right. */
export const nextLarger = (fit: Fit): number => ({ loose: -STEP, right: 0, tight: STEP })[fit];
