import { curvedLine } from '../outline/curve';
import type { Station } from './station';
import type { Fact, ProfilePoint } from './formKind';

/** Flatness of a profile that is turned, as a share of its size, so that twice the piece is twice the profile. */
const FLATNESS = 0.0008;

/** A place of a profile; round where the wall passes in a curve. */
export interface ProfilePlace extends ProfilePoint {
  readonly round: boolean;
}

/** A profile through its places, round ones joined by curves; it never crosses the axis. */
export const smoothProfile = (places: readonly ProfilePlace[]): ProfilePoint[] => {
  const size = Math.max(...places.flatMap(p => [p.z, p.r])) || 1;
  return curvedLine(
    places.map(p => ({ x: p.z, y: p.r, round: p.round })),
    FLATNESS * size,
  ).map(p => ({ z: p.x, r: Math.max(0, p.y) }));
};

/**
 * Stations of a round form: girth 2πr, met along the wall from the bottom's centre.
 * Source: Pappus; a frustum's wall is its mean girth times its slant.
 */
export const stationsOf = (profile: readonly ProfilePoint[]): Station[] => {
  let along = 0;
  return profile.map((p, i) => {
    const before = profile[i - 1];
    if (before) along += Math.hypot(p.z - before.z, p.r - before.r);
    return { along, girth: 2 * Math.PI * p.r };
  });
};

/** The profile of a round form from its stations: what the wall does not spread outwards, it rises. */
export const profileOf = (stations: readonly Station[]): ProfilePoint[] => {
  let z = 0;
  return stations.map((s, i) => {
    const before = stations[i - 1];
    const r = s.girth / (2 * Math.PI);
    if (before) {
      const [way, spread] = [s.along - before.along, r - before.girth / (2 * Math.PI)];
      z += Math.sqrt(Math.max(0, way * way - spread * spread));
    }
    return { z, r };
  });
};

/** Volume turned out by a profile about its axis, mm³: a sum of frusta, exact for straight walls. */
export const turnedVolume = (profile: readonly ProfilePoint[]): number =>
  profile.slice(1).reduce((sum, p, i) => {
    const q = profile[i];
    return q ? sum + (Math.PI / 3) * (p.z - q.z) * (p.r * p.r + p.r * q.r + q.r * q.r) : sum;
  }, 0);

/** What a hollow round form holds, from its inside profile. */
export const holdsAbout = (inside: readonly ProfilePoint[]): Fact => ({
  name: 'holds about',
  value: turnedVolume(inside),
  dimension: 'volume',
  why: 'Volume inside the profile, turned about its axis.',
});
