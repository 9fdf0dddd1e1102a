/**
 * Reflectance of blended fibres. Blended wool does not mix like light or paint: dark fibre weighs more than its share.
 * Source: Stearns and Noechel, American Dyestuff Reporter 33 (1944), from memory; M = 0.15 for wool.
 */
const M = 0.15;
const FLOOR = 0.01;

/** f(R) = (1 − R)/(M(R − 0.01) + 0.01), for a reflectance from 0 to 1. It falls as R rises. */
export const blendFunction = (reflectance: number, m: number = M): number =>
  (1 - reflectance) / (m * (reflectance - FLOOR) + FLOOR);

/** The reflectance whose f is given: the inverse, exact. */
export const reflectanceOf = (f: number, m: number = M): number => (1 - FLOOR * f * (1 - m)) / (1 + m * f);

/**
 * Reflectance of a blend, one band: Σ xᵢ·f(Rᵢ), inverted.
 * @param parts reflectance from 0 to 1 and its share; shares need not sum to 1, and are ≥ 0, not all 0
 * @example blendReflectance([{ reflectance: 0.8, share: 1 }, { reflectance: 0.05, share: 1 }]) // 0.1330
 */
export const blendReflectance = (
  parts: ReadonlyArray<{ readonly reflectance: number; readonly share: number }>,
): number => {
  const all = parts.reduce((sum, p) => sum + p.share, 0);
  return reflectanceOf(parts.reduce((sum, p) => sum + (p.share / all) * blendFunction(p.reflectance), 0));
};
