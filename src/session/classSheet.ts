import { type Kit, kitOf } from '../core/batch/kitOf';
import { type ClassStage, timetable } from '../core/batch/timetable';
import { layMethodOf } from '../core/plan/layMethodOf';
import type { Plan } from '../core/plan/makePlan';
import { ownPace } from '../core/schedule/ownPace';
import { practiceMinutes } from '../core/schedule/practiceMinutes';
import { laySteps } from '../core/wool/layOrder';
import { wayOf } from '../core/ways/register';
import type { FeltClass } from '../records/feltClass';
import { type Piece, pieceWools } from '../records/piece';
import { layWords } from '../words/laying';
import { WAY_STEPS } from '../words/waySteps';
import { pacedPieces, type PieceBook } from './worksOf';

/** Stages that a class goes through; drying is at home. */
export type TaughtStage = 'lay' | 'felt' | 'finish';

/** All that a class is set up with. */
export interface ClassSheet {
  readonly kit: Kit;
  /** What everybody does, one after the other. */
  readonly laying: readonly string[];
  readonly working: readonly string[];
  readonly stages: ReadonlyArray<ClassStage<TaughtStage>>;
  /** Minutes from beginning to end. */
  readonly minutes: number;
}

/** What a class needs and how it goes: everybody makes what the piece's plan has, a pair or five balls alike; null while the piece's grams are open. */
export const classSheet = (
  held: FeltClass,
  of: { readonly piece: Piece; readonly plan: Plan; readonly book: PieceBook },
): ClassSheet | null => {
  const { piece, plan, book } = of;
  const { weigh } = plan;
  if (!weigh || plan.laidGramsEach === null) return null;
  const grams = plan.laidGramsEach;
  const way = wayOf(plan.kind, plan.form, piece.way);
  const how = layMethodOf(plan.form, way);
  const layers = weigh.faces[0]?.layers.length ?? 1;
  const { habits, laying } = piece;
  const paced = pacedPieces(book);
  const stages = timetable(
    (['lay', 'felt', 'finish'] as const).map(stage => ({
      stage,
      minutes:
        ownPace(paced, { phase: stage, way: way.id }).factor *
        practiceMinutes(way.id, stage, grams) *
        piece.plan.pieces,
    })),
    held,
  );
  return {
    kit: kitOf(weigh, {
      people: held.people,
      ...(held.spares === null ? {} : { spares: held.spares }),
      things: way.kit,
      ...pieceWools(piece),
    }),
    laying: laySteps({ ...how, layers, ...laying, habits }).map(s => layWords(s, { ...how, layers, habits })),
    working: WAY_STEPS[way.id],
    stages,
    minutes: stages.at(-1)?.toMin ?? 0,
  };
};
