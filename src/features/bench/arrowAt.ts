/** Arrow for a line on the screen, degrees clockwise from right. */
export const arrowAt = (screenDeg: number): string => {
  const turn = (((screenDeg % 180) + 180) % 180) / 45;
  return ['↔', '⤡', '↕', '⤢'][Math.round(turn) % 4] ?? '↔';
};
