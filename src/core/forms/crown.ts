import { stationsOf } from './profile';
import { polesOf } from './spheroidArea';
import type { Station } from './station';

/** Stations on a crown: enough for its girths to be right to 1 in 1000. */
export const CROWN_STATIONS = 12;

/** A crown: girths that grow like a quarter of an ellipse, from a point to the full girth. */
export const crown = (lengthMm: number, girth: number): Station[] =>
  Array.from({ length: CROWN_STATIONS + 1 }, (_, i) => ({
    along: lengthMm * (i / CROWN_STATIONS),
    girth: girth * Math.sin((Math.PI / 2) * (i / CROWN_STATIONS)),
  }));

/**
 * A round dome: a quarter of an ellipse turned about its axis, of a given length on the wall from the top to the full girth.
 * @param lengthMm at least girth/2π, which is a flat disc
 */
export const dome = (lengthMm: number, girth: number): Station[] => {
  const radius = girth / (2 * Math.PI);
  const height = polesOf(girth, 4 * lengthMm) / 2;
  const stations = stationsOf(
    Array.from({ length: CROWN_STATIONS + 1 }, (_, i) => {
      const angle = (Math.PI / 2) * (i / CROWN_STATIONS);
      return { z: height * (1 - Math.cos(angle)), r: radius * Math.sin(angle) };
    }),
  );
  // The chords are a little shorter than the arc.
  const longer = lengthMm / (stations.at(-1)?.along ?? lengthMm);
  return stations.map(s => ({ ...s, along: s.along * longer }));
};
