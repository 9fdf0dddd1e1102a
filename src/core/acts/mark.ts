import { z } from 'zod';
import { defineAct } from './actSpec';
import { MARKS, markName } from './pieceMark';

const Piece = z.number().int().min(1).max(100_000);

/** One of many is put aside for now, to come around again. */
export const mark = defineAct(z.object({ kind: z.literal('mark'), piece: Piece, as: z.enum(MARKS) }))({
  place: 'bench',
  words: act => `Piece ${act.piece} put aside: ${markName(act.as)}`,
  fold: (fold, { piece, as }) => {
    fold.aside.set(piece, as);
  },
});

/** One of many is through: worked as it should be. */
export const pieceDone = defineAct(z.object({ kind: z.literal('pieceDone'), piece: Piece }))({
  place: 'bench',
  words: act => `Piece ${act.piece} done`,
  fold: (fold, { piece }) => {
    fold.aside.delete(piece);
    fold.piecesDone.add(piece);
  },
});
