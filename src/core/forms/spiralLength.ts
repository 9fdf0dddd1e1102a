/**
 * Length of a strip rolled on a tube: an Archimedean spiral r = r0 + layer·θ/2π over so many turns.
 * @param r0 radius of the tube, mm, ≥ 0  @param layer laid thickness of one turn, mm, > 0  @param turns > 0
 * @returns mm. Source: arc length of the Archimedean spiral, ½[r√(r²+c²) + c²·ln(r + √(r²+c²))]/c with c = layer/2π.
 * @example spiralLength({ r0: 12, layer: 1.5, turns: 6 }) // 622.1
 */
export const spiralLength = ({ r0, layer, turns }: { r0: number; layer: number; turns: number }): number => {
  const c = layer / (2 * Math.PI);
  const part = (r: number): number => {
    const root = Math.hypot(r, c);
    return (r * root + c * c * Math.log(r + root)) / (2 * c);
  };
  return part(r0 + layer * turns) - part(r0);
};
