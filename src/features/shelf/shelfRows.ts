import type { Wool } from '../../records/wool';

/** How the shelf may be put in order. */
export const ORDERS = [
  { value: 'name', text: 'name' },
  { value: 'fibre', text: 'fibre' },
  { value: 'grams', text: 'grams' },
] as const;
export type Order = (typeof ORDERS)[number]['value'];

/** Which sort is looked at; all when it is not said. */
export type Sort = Wool['sort'] | 'all';

/** What is left of a wool, g; null where it was never counted. */
type Left = (wool: Wool) => number | null;

const compare: Readonly<Record<Order, (a: Wool, b: Wool, left: Left) => number>> = {
  name: (a, b) => a.name.localeCompare(b.name),
  fibre: (a, b) => a.fibre.localeCompare(b.fibre) || a.name.localeCompare(b.name),
  grams: (a, b, left) => (left(b) ?? -1) - (left(a) ?? -1) || a.name.localeCompare(b.name),
};

/** What lies on the shelf and is looked for: every word of the search must stand in name, fibre, form or notes. */
export const shelfRows = (
  wools: readonly Wool[],
  of: { readonly find: string; readonly sort: Sort; readonly order: Order; readonly left: Left },
): readonly Wool[] => {
  const words = of.find.toLowerCase().split(/\s+/).filter(Boolean);
  return wools
    .filter(w => w.deletedAt === null && (of.sort === 'all' || w.sort === of.sort))
    .filter(w => {
      const text = `${w.name} ${w.fibre} ${w.form} ${w.notes}`.toLowerCase();
      return words.every(word => text.includes(word));
    })
    .toSorted((a, b) => compare[of.order](a, b, of.left));
};
