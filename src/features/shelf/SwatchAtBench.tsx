import { Link } from 'react-router';
import { swatchPlan } from '../../core/plan/swatchPlan';
import { newPiece, pieceKind, type Piece } from '../../records/piece';
import type { Swatch } from '../../records/swatch';
import type { Wool } from '../../records/wool';
import { useAddAndOpen } from '../../session/useAddAndOpen';
import { useExpectation } from '../../session/useExpectation';
import { usePiecesNamed } from '../../session/useSomePieces';
import { useSummaries } from '../../session/useSummaries';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';

/** The pieces as which swatches are worked at the bench. */
export const useSwatchPieces = (swatches: readonly Swatch[]): readonly Piece[] => {
  const ids = new Set<string | null>(swatches.map(s => s.id));
  const found = useSummaries().filter(s => s.swatchId !== null && ids.has(s.swatchId));
  return usePiecesNamed(found.map(s => s.id));
};

/** The piece that a swatch is worked as, at the bench. */
export const pieceOfSwatch = (swatch: Swatch, pieces: readonly Piece[]): Piece | null =>
  pieces.find(p => p.swatchOf === swatch.id && p.deletedAt === null) ?? null;

/** A swatch with what came of it at the bench, where it was worked there. */
export const withBench = (swatch: Swatch, pieces: readonly Piece[]): Swatch => {
  const piece = pieceOfSwatch(swatch, pieces);
  if (!piece) return swatch;
  const { readings, grams, thicknessMm, finishedAt } = piece.result;
  const [along = null, across = null] = [readings['A'], readings['B']];
  return { ...swatch, result: { along, across, grams, thicknessMm, finishedAt } };
};

/** To the bench with it: laid, rolled and timed like any piece, so that its log teaches too. */
export const AtBench = ({ swatch, wool }: { readonly swatch: Swatch; readonly wool: Wool }) => {
  const pieces = useSwatchPieces([swatch]);
  const addAndOpen = useAddAndOpen(pieceKind, id => `/pieces/${id}/bench`);
  const { chance, nowIso } = useWorkshop();
  const expected = useExpectation(wool.id);
  const piece = pieceOfSwatch(swatch, pieces);
  if (piece)
    return (
      <p className="mt-1">
        <Link
          to={`/pieces/${piece.id}/${piece.result.finishedAt === null ? 'bench' : 'diary'}`}
          className="underline"
        >
          {piece.result.finishedAt === null ? 'It is at the bench' : 'It was worked at the bench'}
        </Link>
      </p>
    );
  const work = (): void => {
    if (!expected) return;
    const made = newPiece({
      id: chance.newId(),
      name: `Swatch, ${wool.name}`,
      now: nowIso(),
      woolId: wool.id,
      plan: swatchPlan(swatch.laid, { along: expected.along.mean, across: expected.across.mean }),
      judge: 'feel',
      swatchOf: swatch.id,
    });
    addAndOpen(made);
  };
  return (
    <Button className="mt-2" onClick={work}>
      Work it at the bench
    </Button>
  );
};
