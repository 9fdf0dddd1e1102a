import { Link } from 'react-router';
import { fileName } from '../../files/download';
import { pieceKind } from '../../records/piece';
import type { PieceSummary } from '../../records/summary';
import { useChange } from '../../session/useChanges';
import { useSaveFile } from '../../session/useSaveFile';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';

/** A piece that cannot be drawn: it is mended in its plan, saved to a file, or deleted, from here. */
export const BrokenPiece = ({ piece, why }: { readonly piece: PieceSummary; readonly why: string }) => {
  const change = useChange(pieceKind);
  const { nowIso } = useWorkshop();
  const { save } = useSaveFile();
  return (
    <div className="flex max-w-72 flex-col items-start gap-1.5 border-l-4 border-wanted p-1 pl-3">
      <Link to={`/pieces/${piece.id}/plan`} className="text-lg font-semibold underline">
        {piece.name}
      </Link>
      <p>It cannot be drawn: {why}. You can fix its plan.</p>
      <div className="flex gap-2">
        <Button onClick={() => save(piece.id, ending => fileName(piece.name, ending))}>Save piece</Button>
        <Button
          onClick={() =>
            change(piece.id, p => ({ ...p, deletedAt: nowIso() }), { label: `delete ${piece.name}` })
          }
        >
          Delete
        </Button>
      </div>
    </div>
  );
};
