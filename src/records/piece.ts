import { z } from 'zod';
import { CHAIN } from '../core/chain/quantities';
import type { FormKind } from '../core/forms/formKind';
import type { PlanInput } from '../core/plan/planInput';
import { USUAL } from '../core/plan/usual';
import { Id, IsoTime, kept, NotNegative, Positive, Reading } from './common';
import type { Migration, RecordSpec } from './migrate';

const Link = z.enum(CHAIN);
const Share = z.number().min(0).lt(0.95);

const PlanSchema: z.ZodType<PlanInput> = z.object({
  form: z.object({ kind: z.string().max(64), measures: z.record(z.string().max(64), NotNegative) }),
  shrinkage: z.object({ along: Share, across: Share }),
  pinned: z.array(Link),
  given: z.array(Link),
  chain: z.object({
    laidSize: Positive.optional(),
    grams: Positive.optional(),
    arealLaid: Positive.optional(),
    layers: Positive.optional(),
    gramsPerLayer: Positive.optional(),
    thickness: Positive.optional(),
    firmness: Positive.optional(),
  }),
  foldOverMm: z.number().min(0).lt(500),
  resistMm: z.number().min(0).lt(100),
  keptShare: z.number().min(0.05).max(1),
  reserveShare: z.number().min(0).lt(2),
  scaleStepG: z.number().min(0.001).lt(1000),
});

const PieceSchema = z.object({
  kind: z.literal('piece'),
  version: z.literal(1),
  ...kept,
  name: z.string().min(1).max(200),
  notes: z.string().max(20_000),
  woolId: Id.nullable(),
  /** Where the planned shrinkage came from: general practice, pieces of this wool, or the felter. */
  shrinkageFrom: z.enum(['practice', 'wool', 'felter']),
  plan: PlanSchema,
  result: z.object({
    readings: z.record(z.string().max(16), Reading),
    grams: Reading,
    thicknessMm: Reading,
    finishedAt: IsoTime.nullable(),
  }),
});

/** A piece: its name, what was decided about it, and what came of it. What was done is in its log. */
export type Piece = z.infer<typeof PieceSchema>;

export const PIECE_MIGRATIONS: readonly Migration[] = [];
export const pieceSpec: RecordSpec<Piece> = {
  kind: 'piece',
  schema: PieceSchema,
  migrations: PIECE_MIGRATIONS,
};

/** The plan a piece of a form begins with. */
export const newPlan = (kind: FormKind, shrinkage?: { along: number; across: number }): PlanInput => ({
  form: { kind: kind.kind, measures: kind.defaults },
  shrinkage: shrinkage ?? { along: USUAL.shrinkage, across: USUAL.shrinkage },
  pinned: [],
  given: ['size', 'shrinkage', 'layers', 'thickness', 'firmness'],
  chain: { layers: kind.usual.layers, thickness: kind.usual.thicknessMm, firmness: kind.usual.firmness },
  foldOverMm: kind.faces > 1 ? USUAL.foldOverMm : 0,
  resistMm: 0,
  keptShare: USUAL.keptShare,
  reserveShare: USUAL.reserveShare,
  scaleStepG: USUAL.scaleStepG,
});

/** A new piece. Time and name are passed in. */
export const newPiece = (of: {
  readonly id: string;
  readonly name: string;
  readonly now: string;
  readonly plan: PlanInput;
  readonly woolId?: string | null;
  readonly shrinkageFrom?: Piece['shrinkageFrom'];
}): Piece => ({
  kind: 'piece',
  version: 1,
  id: of.id,
  createdAt: of.now,
  updatedAt: of.now,
  revision: 1,
  deletedAt: null,
  sample: false,
  name: of.name,
  notes: '',
  woolId: of.woolId ?? null,
  shrinkageFrom: of.shrinkageFrom ?? 'practice',
  plan: of.plan,
  result: { readings: {}, grams: null, thicknessMm: null, finishedAt: null },
});
