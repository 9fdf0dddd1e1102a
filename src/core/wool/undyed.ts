/** How wool looks that nobody has dyed, sRGB. */
export const UNDYED = '#b9b2a3';
