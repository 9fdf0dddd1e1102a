/** What goes into a finished thing beside felt, and into its making. */
export const PART_SORTS = [
  'cap',
  'clasp',
  'brooch back',
  'earring hook',
  'bead',
  'wire',
  'cord',
  'ribbon',
  'thread',
  'glue',
  'button',
  'eyes',
  'balloon',
  'soap',
  'other',
] as const;
export type PartSort = (typeof PART_SORTS)[number];

/** What a part is counted in. */
export const PART_UNITS = ['pieces', 'm', 'ml'] as const;
export type PartUnit = (typeof PART_UNITS)[number];

/** What each is usually counted in, and what its size in mm means; null where none is asked for. */
export const PART_USUAL: Readonly<
  Record<
    PartSort,
    { readonly unit: PartUnit; readonly size: 'inside' | 'length' | 'thickness' | 'across' | null }
  >
> = {
  cap: { unit: 'pieces', size: 'inside' },
  clasp: { unit: 'pieces', size: 'length' },
  'brooch back': { unit: 'pieces', size: 'length' },
  'earring hook': { unit: 'pieces', size: null },
  bead: { unit: 'pieces', size: 'across' },
  wire: { unit: 'm', size: 'thickness' },
  cord: { unit: 'm', size: 'thickness' },
  ribbon: { unit: 'm', size: 'across' },
  thread: { unit: 'm', size: null },
  glue: { unit: 'ml', size: null },
  button: { unit: 'pieces', size: 'across' },
  eyes: { unit: 'pieces', size: 'across' },
  balloon: { unit: 'pieces', size: 'across' },
  soap: { unit: 'ml', size: null },
  other: { unit: 'pieces', size: null },
};
