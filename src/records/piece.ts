import { z } from 'zod';
import { CHAIN } from '../core/chain/quantities';
import { MOST_DRAWN_POINTS } from '../core/tolerances';
import type { DrawnOutline } from '../core/outline/drawn';
import { DECORATION_KINDS, FIBRE_LAYS, LAY_ORDERS } from '../core/wool/layOrder';
import { type PieceWools, type LayerPart, partsOf } from '../core/wool/pileList';
import type { PlanInput } from '../core/plan/planInput';
import { CHAIN_LIMITS } from '../core/chain/limits';
import { LIMITS } from '../core/limits';
import { count, figure, fresh, Id, IsoTime, kept } from './common';
import { defineKind } from './kind';
import { RecipeSchema } from './recipe';
import { JUDGES } from '../core/acts/vocabulary';
import { FITS } from '../core/finishing/fit';
import { FINISH_STEPS } from '../core/acts/finishSteps';
import { HABITS } from '../core/ways/habits';
import { WAY_IDS } from '../core/forms/wayId';
import { PIECE_MIGRATIONS, USUAL_LAYING } from './pieceMigrations';

const Link = z.enum(CHAIN);
const Share = z.number().min(0).lt(0.95);
const Share100 = z.number().min(0).max(100);

const Coordinate = figure(LIMITS.coordinateMm);
const OutlineSchema: z.ZodType<DrawnOutline> = z.object({
  points: z
    .array(z.object({ x: Coordinate, y: Coordinate, round: z.boolean() }))
    .min(2)
    .max(MOST_DRAWN_POINTS),
  open: z.array(z.number().int().min(0).max(MOST_DRAWN_POINTS)),
  mirrored: z.boolean(),
});

export const piecePlanSchema: z.ZodType<PlanInput> = z.object({
  form: z.object({
    kind: z.string().max(64),
    measures: z.record(z.string().max(64), figure(LIMITS.measure)),
    outline: OutlineSchema.nullable(),
    measuredOn: z.enum(['inside', 'outside']),
  }),
  pieces: count(LIMITS.pieces),
  shrinkage: z.object({ along: Share, across: Share }),
  pinned: z.array(Link),
  given: z.array(Link),
  chain: z.object({
    laidSize: figure(CHAIN_LIMITS.laidSize).optional(),
    grams: figure(CHAIN_LIMITS.grams).optional(),
    arealLaid: figure(CHAIN_LIMITS.arealLaid).optional(),
    layers: figure(CHAIN_LIMITS.layers).optional(),
    gramsPerLayer: figure(CHAIN_LIMITS.gramsPerLayer).optional(),
    thickness: figure(CHAIN_LIMITS.thickness).optional(),
    firmness: figure(CHAIN_LIMITS.firmness).optional(),
  }),
  foldOverMm: z.number().min(0).lt(500),
  resistMm: z.number().min(0).lt(100),
  keptShare: z.number().min(0.05).max(1),
  reserveShare: z.number().min(0).lt(2),
  scaleStepG: z.number().min(0.001).lt(1000),
  heaps: z.enum(['each', 'together']).exactOptional(),
  asItComes: z.literal(true).exactOptional(),
});

export const PieceSchema = z.object({
  kind: z.literal('piece'),
  version: z.literal(11),
  ...kept,
  name: z.string().min(1).max(200),
  notes: z.string().max(20_000),
  woolId: Id.nullable(),
  /** Where the planned shrinkage came from: general practice, pieces of this wool, or the felter. */
  shrinkageFrom: z.enum(['practice', 'wool', 'felter']),
  plan: piecePlanSchema,
  /** How it is laid: layers before a flip, and which way fibres lie. */
  laying: z.object({
    order: z.enum(LAY_ORDERS),
    fibres: z.enum(FIBRE_LAYS),
    decorations: z
      .array(
        z.object({
          id: Id,
          kind: z.enum(DECORATION_KINDS),
          name: z.string().max(200),
          face: z.number().int().min(1).max(20),
          first: z.boolean(),
          woolId: Id.nullable(),
          grams: z.number().min(0).max(100_000).nullable(),
        }),
      )
      .max(60),
  }),
  /** Wools of each layer, the one laid first at 0; a layer that is not named is of the piece's own wool. */
  colours: z.array(z.array(z.object({ woolId: Id.nullable(), share: Share100 })).max(6)).max(50),
  /** The way it is worked; null as is usual for its form. */
  way: z.enum(WAY_IDS).nullable(),
  /** How its maker judges where it stands. */
  judge: z.enum(JUDGES),
  /** What schools differ in, as its maker does it; what is not named is as is usual. */
  habits: z.object({
    cover: z.enum(HABITS.cover).exactOptional(),
    soap: z.enum(HABITS.soap).exactOptional(),
    edges: z.enum(HABITS.edges).exactOptional(),
    resist: z.enum(HABITS.resist).exactOptional(),
    needle: z.enum(HABITS.needle).exactOptional(),
    firming: z.enum(HABITS.firming).exactOptional(),
    inside: z.enum(HABITS.inside).exactOptional(),
  }),
  /** How it is worked, step by step; null where it goes by the advice alone. */
  recipe: RecipeSchema.nullable(),
  /** The piece it was made again from: what was to change next time stands there; null where there is none. */
  after: Id.nullable(),
  /** The swatch that it is, where one is worked at the bench; null for any other piece. */
  swatchOf: Id.nullable(),
  /** How it is finished: the steps that were chosen; null as is usual for its form. */
  finishing: z.array(z.enum(FINISH_STEPS)).max(FINISH_STEPS.length).nullable(),
  result: z.object({
    readings: z.record(z.string().max(16), figure(LIMITS.readingMm).nullable()),
    grams: figure(LIMITS.weighedG).nullable(),
    thicknessMm: figure(LIMITS.thicknessMm).nullable(),
    finishedAt: IsoTime.nullable(),
    /** How it fits whoever or whatever it is for; null where nobody said. */
    fit: z.enum(FITS).nullable(),
  }),
});

/** A piece: its name, what was decided about it, and what came of it. What was done is in its log. */
export type Piece = z.infer<typeof PieceSchema>;

/** Every wool that a piece is made of: its own, and those of single layers and of decorations. */
export const woolsOf = (piece: Piece): ReadonlySet<string> =>
  new Set(
    [piece, ...piece.colours.flat(), ...piece.laying.decorations]
      .map(of => of.woolId)
      .filter(id => id !== null),
  );

export const pieceKind = defineKind<Piece>({
  kind: 'piece',
  table: 'pieces',
  since: 1,
  schema: PieceSchema,
  migrations: PIECE_MIGRATIONS,
  nameOf: piece => piece.name,
  refersTo: piece => [...woolsOf(piece)].map(id => ({ kind: 'wool', id, path: 'woolId' })),
});

/** What a piece is made of. */
export const pieceWools = (piece: Piece): PieceWools => ({
  colours: piece.colours,
  woolId: piece.woolId,
  decorations: piece.laying.decorations,
});

/** A piece with the wools of one layer changed; layers like the piece's own wool need no naming. */
export const withLayer = (piece: Piece, layer: number, parts: readonly LayerPart[]): Piece => {
  const colours = Array.from({ length: Math.max(piece.colours.length, layer + 1) }, (_, i) =>
    i === layer ? [...parts] : [...(piece.colours[i] ?? [])],
  );
  while (colours.at(-1)?.length === 0) colours.pop();
  return { ...piece, colours };
};

/** A piece with one wool in place of another in some layers. */
export const withSubstitute = (
  piece: Piece,
  layers: readonly number[],
  wools: { readonly from: string | null; readonly to: string },
): Piece =>
  layers.reduce(
    (p, layer) =>
      withLayer(
        p,
        layer,
        partsOf(p.colours, layer, p.woolId).map(part =>
          part.woolId === wools.from ? { ...part, woolId: wools.to } : part,
        ),
      ),
    piece,
  );

/** A new piece. Time and name are passed in. */
export const newPiece = (of: {
  readonly id: string;
  readonly name: string;
  readonly now: string;
  readonly plan: PlanInput;
  readonly woolId?: string | null;
  readonly laying?: Piece['laying'];
  readonly colours?: Piece['colours'];
  readonly shrinkageFrom?: Piece['shrinkageFrom'];
  readonly recipe?: Piece['recipe'];
  readonly way?: Piece['way'];
  readonly judge?: Piece['judge'];
  readonly habits?: Piece['habits'];
  readonly finishing?: Piece['finishing'];
  readonly after?: Piece['after'];
  readonly swatchOf?: Piece['swatchOf'];
}): Piece => ({
  kind: 'piece',
  version: 11,
  ...fresh(of.id, of.now),
  name: of.name,
  notes: '',
  woolId: of.woolId ?? null,
  shrinkageFrom: of.shrinkageFrom ?? 'practice',
  plan: of.plan,
  laying: of.laying ?? USUAL_LAYING,
  colours: of.colours ?? [],
  way: of.way ?? null,
  judge: of.judge ?? 'tape',
  habits: of.habits ?? {},
  recipe: of.recipe ?? null,
  after: of.after ?? null,
  swatchOf: of.swatchOf ?? null,
  finishing: of.finishing ?? null,
  result: { readings: {}, grams: null, thicknessMm: null, finishedAt: null, fit: null },
});

/** A new piece planned and worked as another was; what came of that one stays with it. */
export const pieceAgain = (
  before: Piece,
  of: { readonly id: string; readonly now: string; readonly name: string },
): Piece => {
  const { plan, woolId, shrinkageFrom, colours, recipe, way, judge, habits, finishing, laying } = before;
  return newPiece({
    ...of,
    plan,
    woolId,
    shrinkageFrom,
    colours,
    recipe,
    way,
    judge,
    habits,
    finishing,
    laying,
    after: before.id,
  });
};
