/** Colour of a wool that is not chosen yet: undyed fleece. */
export const UNDYED = '#b9b2a3';
