import type { BenchState } from '../log/benchState';
import { PRACTICE } from '../acts/practice';
import type { FaultId } from './faults';

/** What the log shows that likely brought a fault about, and how strongly it speaks for it. */
export type FaultCause = { readonly weight: number } & (
  | { readonly because: 'unequal-rolls'; readonly along: number; readonly across: number }
  | { readonly because: 'rolled-early' | 'few-rubs'; readonly rubs: number }
  | { readonly because: 'dry-face' | 'much-foam' | 'pools' }
  | { readonly because: 'water'; readonly water: 'warm' | 'cold' }
);

/** Rolls one way against the other from which they count as unequal, as a share of the more (common practice). */
const UNEQUAL = 0.25;

/** What the log says for a fault; null where it says nothing. */
export const faultCause = (id: FaultId, state: BenchState, faces: readonly number[]): FaultCause | null => {
  const by = (deg: number): number =>
    state.petals.filter(p => p.directionDeg === deg).reduce((sum, p) => sum + p.rolls, 0);
  const [along, across] = [by(0), by(90)];
  const rubs = Math.min(...faces.map(f => state.rubs[f] ?? 0));
  const { water, look } = state;
  if (id === 'long' && Math.abs(along - across) > UNEQUAL * Math.max(along, across))
    return { because: 'unequal-rolls', along, across, weight: 3 };
  if (id === 'thin' && rubs < PRACTICE.rubs && state.rolls > 0)
    return { because: 'rolled-early', rubs, weight: 2 };
  if (id === 'fluffy' && state.wettedFaces.length < faces.length) return { because: 'dry-face', weight: 3 };
  if (id === 'fluffy' && water === 'cold') return { because: 'water', water, weight: 2 };
  if ((id === 'foam' || id === 'slides') && look?.foam === 'much') return { because: 'much-foam', weight: 2 };
  if (id === 'slides' && look?.wetness === 'pools') return { because: 'pools', weight: 2 };
  if (id === 'stalled' && (water === 'warm' || water === 'cold'))
    return { because: 'water', water, weight: 2 };
  if (id === 'ridge' && rubs < PRACTICE.rubs) return { because: 'few-rubs', rubs, weight: 1 };
  return null;
};
