/**
 * The chance that a standard normal deviate lies below z. Source: Abramowitz & Stegun, Handbook of Mathematical Functions, 7.1.26
 * (error function, absolute error below 1.5e-7; from memory, tested against its published values).
 */
export const normalCdf = (z: number): number => {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.327_591_1 * x);
  const tail =
    ((((1.061_405_429 * t - 1.453_152_027) * t + 1.421_413_741) * t - 0.284_496_736) * t + 0.254_829_592) *
    t *
    Math.exp(-x * x);
  return z >= 0 ? 1 - tail / 2 : tail / 2;
};
