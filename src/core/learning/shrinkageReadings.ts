import { breedOf } from '../wool/breeds';
import { swatchOutcome, type SwatchReadings } from '../wool/swatchOutcome';
import type { ShrinkageReading } from './expectedShrinkage';

/** A piece as far as its shrinkage is asked for: how it came out each way, where that was measured. */
interface FinishedPiece extends Pick<ShrinkageReading, 'along' | 'across'> {
  readonly id: string;
  readonly name: string;
  readonly woolId: string | null;
  readonly deletedAt: string | null;
  readonly finishedAt: string | null;
}

/** A swatch as far as its shrinkage is asked for. */
type FinishedSwatch = SwatchReadings & {
  readonly id: string;
  readonly woolId: string;
  readonly deletedAt: string | null;
  readonly result: { readonly finishedAt: string | null };
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
  const pieces = of.pieces.flatMap(
    ({ id, name, woolId, deletedAt, finishedAt, along, across }): ShrinkageReading[] =>
      deletedAt !== null || woolId === null || finishedAt === null
        ? []
        : [{ id, name, isSwatch: false, ...fibre(woolId), along, across }],
  );
  const swatches = of.swatches.flatMap((s): ShrinkageReading[] =>
    s.deletedAt !== null || s.result.finishedAt === null
      ? []
      : [{ id: s.id, name: 'swatch', isSwatch: true, ...fibre(s.woolId), ...swatchOutcome(s) }],
  );
  return [...pieces, ...swatches].filter(s => s.along !== null || s.across !== null);
};
