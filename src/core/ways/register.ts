import { CONTROLS } from '../acts/act';
import type { FormKind, FormPlan } from '../forms/formKind';
import type { WayId } from '../forms/wayId';
import { FLAT_WAYS } from './flat';
import { ROUND_WAYS } from './round';
import type { Way } from './way';

/** Every way of working. A new one is one entry. */
export const WAYS: readonly Way[] = [...FLAT_WAYS, ...ROUND_WAYS];

const byId: ReadonlyMap<string, Way> = new Map(WAYS.map(w => [w.id, w]));

/**
 * Acts of the row at the bench: those of the way, and those that no way names, which are for all of them.
 */
export const actsOf = (way: Way): readonly string[] => [
  ...way.acts,
  ...CONTROLS.filter(c => c.key !== null && !named.has(c.kind)).map(c => c.kind),
];
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
