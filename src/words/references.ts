import type { Traced } from '../core/photo/tracePhoto';
import type { ReferenceKind } from '../core/photo/references';

/** What is laid beside a piece to measure it by: its name, the thing, and how to lay it. */
export const REFERENCE_WORDS: Readonly<
  Record<ReferenceKind, { readonly name: string; readonly thing: string; readonly how: string }>
> = {
  card: {
    name: 'Bank card',
    thing: 'card',
    how: 'Back up, so that no number shows, on the table and not on the wool.',
  },
  a4: { name: 'Sheet of A4', thing: 'sheet', how: 'Flat and whole, on a table that is darker than paper.' },
  letter: {
    name: 'Sheet of Letter',
    thing: 'sheet',
    how: 'Flat and whole, on a table that is darker than paper.',
  },
};

/** What is traced from a picture: its name, and how to lay it. */
export const TRACED_WORDS: Readonly<Record<Traced, { readonly name: string; readonly how: string }>> = {
  flat: {
    name: 'something flat: a resist, a lid, a shape',
    how: 'Lay it alone on a table of another colour.',
  },
  limb: {
    name: 'a hand or a foot',
    how: 'Set it down alone beside the card, fingers together, weight on it as it will be worn.',
  },
  drawn: {
    name: 'a line drawn on a sheet',
    how: 'Draw it closed, with a dark pen, on a blank sheet, a thumb away from its edge.',
  },
};
