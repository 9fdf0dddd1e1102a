import { type Random, seeded } from '../numeric/random';

/** What chance is asked for: each has a stream of its own, so that one more question changes no other answer. */
const STREAMS = ['felt', 'hands', 'skin', 'firm', 'test', 'fault', 'eye', 'hole', 'layout', 'shape'] as const;
export type Stream = (typeof STREAMS)[number];

/** Odd numbers that spread neighbouring seeds apart. Source: the constants of the finaliser of MurmurHash3 (from memory). */
const SPREAD = [0x9e3779b1, 0x85ebca6b, 0xc2b2ae35] as const;

/**
 * A source of chance for the nth question of a kind. The same seed, kind and number give the same answers on every machine: whole-number
 * arithmetic only.
 * @param seed any whole number  @param n from 0
 */
export const chanceAt = (seed: number, stream: Stream, n = 0): Random => {
  const [a, b, c] = SPREAD;
  let mixed = Math.imul(seed ^ (seed >>> 16), a);
  mixed = Math.imul(mixed ^ (mixed >>> 13) ^ STREAMS.indexOf(stream), b);
  mixed = Math.imul(mixed ^ (mixed >>> 16) ^ n, c);
  return seeded(mixed ^ (mixed >>> 15));
};
