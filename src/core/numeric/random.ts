/** A source of chance between 0 and 1; passed in, so that the same seed gives the same result. */
export type Random = () => number;

/**
 * A seeded source of chance. Source: mulberry32, a public-domain generator (from memory).
 * @param seed any whole number
 */
export const seeded = (seed: number): Random => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
};

/** A normal deviate of mean 0 and deviation 1. Source: Box and Muller. */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
