/** How a line is turned that is the same either way round. @param screenDeg degrees clockwise from right @returns 0 up to 180, 0 is level */
export const turnOfLine = (screenDeg: number): number => ((screenDeg % 180) + 180) % 180;
