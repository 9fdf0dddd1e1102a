import { CONTROLS } from '../acts/act';
import { shrinkOf } from './shrinkOf';
import type { FormKind, FormPlan, Gauge } from '../forms/formKind';
import type { WayId } from '../forms/wayId';
import { FLAT_WAYS } from './flat';
import { ROUND_WAYS } from './round';
import type { Way } from './way';

/** Every way of working. A new one is one entry. */
const WAYS: readonly Way[] = [...FLAT_WAYS, ...ROUND_WAYS];

const byId: ReadonlyMap<string, Way> = new Map(WAYS.map(w => [w.id, w]));

/**
 * Acts of the row at the bench: those of the way, and those that no way names, which are for all of them.
 * @param gauges lines of the piece: some acts are for small ones only
 */
export const actsOf = (way: Way, gauges: readonly Gauge[] = []): readonly string[] => [
  ...way.acts.filter(kind => !isOtherSize(way, kind, gauges)),
  ...CONTROLS.filter(c => c.key !== null && !named.has(c.kind)).map(c => c.kind),
];
/** Of two acts for small and for larger pieces, the one that this piece is not for. */
const isOtherSize = (way: Way, kind: string, gauges: readonly Gauge[]): boolean => {
  const { small } = way.shrink;
  return (
    small !== undefined && (kind === small || kind === way.shrink.kind) && kind !== shrinkOf(way, gauges).kind
  );
};
const named: ReadonlySet<string> = new Set(WAYS.flatMap(w => w.acts));

/** Ways of a form that names none: by what is made first of all. */
const byOutline = (form: Pick<FormPlan, 'outlineIs' | 'solid'>): readonly WayId[] => {
  if (form.solid) return ['palms', 'stocking', 'many'];
  switch (form.outlineIs) {
    case 'cloth':
      return ['cloth', 'sheet'];
    case 'ball':
      return ['ball'];
    case 'resist':
      return ['bundle', 'hands'];
    case 'layout':
    case 'rolled':
      return ['sheet', 'basin'];
  }
};

/** Every way that makes sense for a form, the usual one first. */
export const waysOf = (
  kind: Pick<FormKind, 'ways'>,
  form: Pick<FormPlan, 'outlineIs' | 'solid'>,
): readonly WayId[] => kind.ways ?? byOutline(form);

/**
 * The way a piece is worked: as its maker chose, or as is usual for its form.
 * @param chosen null where the maker did not choose; one that no register knows any more is taken as not chosen
 */
export const wayOf = (
  kind: Pick<FormKind, 'ways'>,
  form: Pick<FormPlan, 'outlineIs' | 'solid'>,
  chosen: WayId | null,
): Way => {
  const way = byId.get(chosen ?? '') ?? byId.get(waysOf(kind, form)[0] ?? 'bundle');
  if (!way) throw new Error('No way of working is registered.');
  return way;
};
