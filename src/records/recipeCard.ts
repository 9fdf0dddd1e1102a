import { z } from 'zod';
import { type Issue, issue } from '../core/issues';
import { err, errs, ok, type Result } from '../core/result';
import { IsoTime } from './common';
import { checkForm } from './checkForm';
import { newPiece, type Piece, PieceSchema, woolsOf } from './piece';
import { newWool, type Wool, WoolSchema } from './wool';

const CARD_FORMAT = 'jorrit-recipe';
const CARD_VERSION = 1;

const Share = z.number().min(-2).max(1).nullable();

/** What of a piece is handed on: all that was decided, nothing of what was done but how it came out. */
const CardSchema = z.object({
  format: z.literal(CARD_FORMAT),
  version: z.literal(CARD_VERSION),
  piece: PieceSchema.pick({
    name: true,
    notes: true,
    woolId: true,
    plan: true,
    laying: true,
    colours: true,
    way: true,
    judge: true,
    habits: true,
    recipe: true,
    finishing: true,
  }),
  /** The wools it names, by the ids that stand in it. */
  wools: z
    .array(
      WoolSchema.pick({
        id: true,
        sort: true,
        name: true,
        fibre: true,
        form: true,
        colour: true,
        micron: true,
      }),
    )
    .max(60),
  /** How pieces made by it came out, shares and g; the last ones. */
  results: z
    .array(
      z.object({
        along: Share,
        across: Share,
        grams: z.number().min(0).max(1e7).nullable(),
        finishedAt: IsoTime,
      }),
    )
    .max(6),
});

/** A recipe to be passed on: a plan with its wool, way and steps, and how it came out. */
export type RecipeCard = z.infer<typeof CardSchema>;
export type CardWool = RecipeCard['wools'][number];
export type CardResult = RecipeCard['results'][number];

/** Ids as short as can be: they mean nothing outside the card. */
const shortIds = (piece: Piece): ReadonlyMap<string, string> =>
  new Map([...woolsOf(piece)].map((id, i) => [id, `w${i + 1}`]));

type Pieced = RecipeCard['piece'];

/** The same with other names for its wools. @param to the new name of each; null where it has none */
const withWools = (piece: Pieced, to: (id: string | null) => string | null): Pieced => ({
  ...piece,
  woolId: to(piece.woolId),
  colours: piece.colours.map(layer => layer.map(part => ({ ...part, woolId: to(part.woolId) }))),
  laying: {
    ...piece.laying,
    decorations: piece.laying.decorations.map(d => ({ ...d, woolId: to(d.woolId) })),
  },
});

/** A piece as a card. @param results how those made by it came out, the last first */
export const cardOf = (piece: Piece, wools: readonly Wool[], results: readonly CardResult[]): RecipeCard => {
  const ids = shortIds(piece);
  const { name, notes, woolId, plan, laying, colours, way, judge, habits, recipe, finishing } = piece;
  const own = { name, notes, woolId, plan, laying, colours, way, judge, habits, recipe, finishing };
  return {
    format: CARD_FORMAT,
    version: CARD_VERSION,
    piece: withWools(own, id => (id === null ? null : (ids.get(id) ?? null))),
    wools: wools.flatMap((w): CardWool[] => {
      const id = ids.get(w.id);
      const { sort, name: woolName, fibre, form, colour, micron } = w;
      return id === undefined ? [] : [{ id, sort, name: woolName, fibre, form, colour, micron }];
    }),
    results: results.slice(0, 6),
  };
};

/** A card from what was read: its shape, and a form and measures that can be. Fails with RECIPE_UNREADABLE and what a piece fails with. */
export const readCard = (raw: unknown): Result<RecipeCard> => {
  const parsed = CardSchema.safeParse(raw);
  if (!parsed.success) {
    const [first] = parsed.error.issues;
    return err(
      issue(
        'RECIPE_UNREADABLE',
        first?.path.map(String).join('.') ?? '',
        first ? { detail: first.message } : {},
      ),
    );
  }
  const card = parsed.data;
  const known = new Set(card.wools.map(w => w.id));
  const piece = newPiece({ ...card.piece, id: 'card', now: '2026-01-01T00:00:00.000Z' });
  const issues: Issue[] = [
    ...checkForm(piece),
    ...[...woolsOf(piece)]
      .filter(id => !known.has(id))
      .map(id => issue('RECIPE_UNREADABLE', 'wools', { got: id })),
  ];
  return issues.length > 0 ? errs(issues) : ok(card);
};

/** What is made of a card: wools that are new on the shelf, and the piece. */
export interface TakenCard {
  readonly wools: readonly Wool[];
  readonly piece: Piece;
}

/**
 * Makes a piece of a card.
 * @param of.wools which wool of the shelf stands for one of the card’s; what is not named comes new onto the shelf
 */
export const takeCard = (
  card: RecipeCard,
  of: {
    readonly newId: () => string;
    readonly now: string;
    readonly plan: Piece['plan'];
    readonly wools: ReadonlyMap<string, string>;
  },
): TakenCard => {
  const { now } = of;
  const fresh = card.wools
    .filter(w => !of.wools.has(w.id))
    .map(({ id, ...w }) => ({ from: id, wool: { ...newWool({ ...w, id: of.newId(), now }), ...w } }));
  const names = new Map([...of.wools, ...fresh.map(f => [f.from, f.wool.id] as const)]);
  const own = withWools(card.piece, id => (id === null ? null : (names.get(id) ?? null)));
  return {
    wools: fresh.map(f => f.wool),
    piece: {
      ...newPiece({ ...own, id: of.newId(), now, plan: of.plan, shrinkageFrom: 'felter' }),
      notes: own.notes,
    },
  };
};
