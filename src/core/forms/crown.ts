import type { Station } from './station';

/** Stations on a crown: enough for its girths to be right to 1 in 1000. */
export const CROWN_STATIONS = 12;

/** A crown: girths that grow like a quarter of an ellipse, from a point to the full girth. */
export const crown = (lengthMm: number, girth: number): Station[] =>
  Array.from({ length: CROWN_STATIONS + 1 }, (_, i) => ({
    along: lengthMm * (i / CROWN_STATIONS),
    girth: girth * Math.sin((Math.PI / 2) * (i / CROWN_STATIONS)),
  }));
