import { type Act, controlOf, workOfAct } from '../acts/act';
import type { UsualWork } from '../acts/actSpec';
import type { Water } from '../acts/vocabulary';
import type { Gauge } from '../forms/formKind';
import type { UsualAmount, Way } from './way';

/** Up to this length a piece is small: it goes quicker between the palms. Common practice, mm. */
const SMALL_MM = 30;

/** What shrinks a piece of such lines, worked in this way, and how much at once. */
export const shrinkOf = ({ shrink }: Way, gauges: readonly Gauge[]): UsualAmount => {
  const isSmall = gauges.length > 0 && gauges.every(g => g.wantedMm <= SMALL_MM);
  return shrink.small && isSmall ? { kind: shrink.small, count: shrink.count } : shrink;
};

/** One unit of an act as this maker does it: a roll, a minute. Null where no tap logs it. */
const oneOf = (kind: string, usual: UsualWork): Act | null =>
  controlOf(kind)?.make({ count: 1 }, usual) ?? null;

/** What one unit of an act does to the felt, reference rolls: one where it is not known. */
export const workOfOne = (kind: string, usual: UsualWork, water: Water): number => {
  const act = oneOf(kind, usual);
  return (act && workOfAct(act, water)?.rolls) ?? 1;
};
