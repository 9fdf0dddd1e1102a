import { z } from 'zod';
import { LIMITS, type Limit } from '../limits';

const whole = ({ least, most }: Limit) => z.number().int().min(least).max(most);
const figure = ({ least, most }: Limit) => z.number().min(least).max(most);

/** What acts are made of: each field once, with its limits. */
export const Side = whole(LIMITS.face);
export const Count = whole(LIMITS.actCount);
/** Deviation of a count that was guessed or follows from minutes; left out where it was counted. */
export const Spread = figure(LIMITS.countSpread).exactOptional();
export const LengthMm = figure(LIMITS.readingMm);
export const Grams = figure(LIMITS.grams);
export const ThicknessMm = figure(LIMITS.thicknessMm);
/** How long, minutes. */
export const Minutes = figure(LIMITS.minutes);
/** A place on the laid outline, mm from its own origin. */
export const Place = z.object({ x: figure(LIMITS.coordinateMm), y: figure(LIMITS.coordinateMm) });
/** Name of another entry, of a wool, of a step. */
export const Name = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/);
export const Word = z.string().min(1).max(40);

/** An act with how far its count may be off; a count that was counted is off by nothing, and says nothing. */
export const withSpread = <A extends { readonly give?: number }>(act: A, give?: number): A => {
  const { give: _, ...counted } = act;
  return give === undefined ? { ...act, ...counted } : { ...act, give };
};
