import { z } from 'zod';
import { defineAct } from './actSpec';
import { MARKS, markName } from './pieceMark';

const Piece = z.number().int().min(1).max(100_000);
/** The one taken up after it; null where none is left. */
const Next = Piece.nullable();

/** One of many is put aside for now, to come around again. */
export const mark = defineAct(
  z.object({ kind: z.literal('mark'), piece: Piece, as: z.enum(MARKS), next: Next }),
)({
  place: 'bench',
  words: act => `Piece ${act.piece} put aside: ${markName(act.as)}`,
  takesUp: act => act.next,
});

/** One of many is through: worked as it should be. */
export const pieceDone = defineAct(z.object({ kind: z.literal('pieceDone'), piece: Piece, next: Next }))({
  place: 'bench',
  words: act => `Piece ${act.piece} done`,
  takesUp: act => act.next,
  control: {
    takes: [],
    make: ({ piece, next = null }) => (piece === undefined ? null : { kind: 'pieceDone', piece, next }),
    choicesOf: ({ piece, next }) => ({ piece, next }),
  },
});

/** Another of many is taken in hand. */
export const takeUp = defineAct(z.object({ kind: z.literal('takeUp'), piece: Piece }))({
  place: 'bench',
  words: act => `Piece ${act.piece} taken up`,
  takesUp: act => act.piece,
  control: {
    takes: [],
    make: ({ piece }) => (piece === undefined ? null : { kind: 'takeUp', piece }),
    choicesOf: ({ piece }) => ({ piece }),
  },
});
