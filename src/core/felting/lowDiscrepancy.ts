/**
 * Points that fill the unit cube evenly, the same at every call: an additive recurrence with the powers of the root of
 * x^(d+1) = x + 1 (the golden ratio in one dimension). Source: M. Roberts’ generalisation, from memory; its evenness is tested.
 * @param dimensions whole, ≥ 1
 * @returns the n-th point, each coordinate strictly between 0 and 1, into the array that is given
 */
export const evenPoints = (dimensions: number): ((n: number, into: Float64Array) => void) => {
  let root = 2;
  for (let i = 0; i < 60; i += 1) root = (1 + root) ** (1 / (dimensions + 1));
  const steps = Array.from({ length: dimensions }, (_, j) => root ** -(j + 1));
  return (n, into) => {
    for (let j = 0; j < dimensions; j += 1) {
      const x = 0.5 + (n + 1) * (steps[j] ?? 0);
      into[j] = Math.min(1 - 1e-12, Math.max(1e-12, x - Math.floor(x)));
    }
  };
};

const TAIL = 0.024_25;

/** The tails, as a function of √(−2 ln p): written out, since it is done a hundred thousand times for one answer. */
const tail = (q: number): number =>
  (((((-0.007_784_894_002_430_293 * q - 0.322_396_458_041_136_5) * q - 2.400_758_277_161_838) * q -
    2.549_732_539_343_734) *
    q +
    4.374_664_141_464_968) *
    q +
    2.938_163_982_698_783) /
  ((((0.007_784_695_709_041_462 * q + 0.322_467_129_070_039_8) * q + 2.445_134_137_142_996) * q +
    3.754_408_661_907_416) *
    q +
    1);

/**
 * The value below which a normal deviate lies with a probability. Source: P. J. Acklam’s rational approximation, relative error
 * below 1.2e-9 (from memory; tested against the integral of the density).
 * @param p strictly between 0 and 1
 */
export const normalQuantile = (p: number): number => {
  if (p < TAIL) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - TAIL) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (
    ((((((-39.696_830_286_653_76 * r + 220.946_098_424_520_5) * r - 275.928_510_446_968_7) * r +
      138.357_751_867_269) *
      r -
      30.664_798_066_147_16) *
      r +
      2.506_628_277_459_239) *
      q) /
    (((((-54.476_098_798_224_06 * r + 161.585_836_858_040_9) * r - 155.698_979_859_886_6) * r +
      66.801_311_887_719_72) *
      r -
      13.280_681_552_885_72) *
      r +
      1)
  );
};
