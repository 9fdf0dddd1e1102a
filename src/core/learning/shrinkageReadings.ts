import { type DryMeasures, outcome } from '../plan/outcome';
import type { PlanInput } from '../plan/planInput';
import { planOf } from '../plan/planOf';
import { breedOf } from '../wool/breeds';
import { swatchOutcome, type SwatchReadings } from '../wool/swatchOutcome';
import type { ShrinkageReading } from './expectedShrinkage';

/** A piece as far as its shrinkage is asked for. */
interface FinishedPiece {
  readonly id: string;
  readonly name: string;
  readonly woolId: string | null;
  readonly deletedAt: string | null;
  readonly plan: PlanInput;
  readonly result: DryMeasures & { readonly finishedAt: string | null };
}

/** A swatch as far as its shrinkage is asked for. */
type FinishedSwatch = SwatchReadings & {
  readonly id: string;
  readonly woolId: string;
  readonly deletedAt: string | null;
  readonly result: { readonly finishedAt: string | null };
};

const shownByPiece = (piece: FinishedPiece): Pick<ShrinkageReading, 'along' | 'across'> => {
  const plan = planOf(piece.plan);
  if (!plan.ok) return { along: null, across: null };
  const { along, across } = outcome(plan.value.form, piece.result, plan.value.laidGramsEach);
  return { along, across };
};

/** The shrinkage of everything that is finished and was measured at least one way. */
export const shrinkageReadings = (of: {
  readonly pieces: readonly FinishedPiece[];
  readonly swatches: readonly FinishedSwatch[];
  readonly wools: ReadonlyArray<{ readonly id: string; readonly fibre: string }>;
}): readonly ShrinkageReading[] => {
  const breeds = new Map(of.wools.map(w => [w.id, breedOf(w.fibre)]));
  const fibre = (woolId: string): Pick<ShrinkageReading, 'woolId' | 'breedId' | 'felts'> => {
    const breed = breeds.get(woolId) ?? null;
    return { woolId, breedId: breed?.id ?? '', felts: breed?.felts ?? null };
  };
  const pieces = of.pieces.flatMap((p): ShrinkageReading[] =>
    p.deletedAt !== null || p.woolId === null || p.result.finishedAt === null
      ? []
      : [{ id: p.id, name: p.name, isSwatch: false, ...fibre(p.woolId), ...shownByPiece(p) }],
  );
  const swatches = of.swatches.flatMap((s): ShrinkageReading[] =>
    s.deletedAt !== null || s.result.finishedAt === null
      ? []
      : [{ id: s.id, name: 'swatch', isSwatch: true, ...fibre(s.woolId), ...swatchOutcome(s) }],
  );
  return [...pieces, ...swatches].filter(s => s.along !== null || s.across !== null);
};
