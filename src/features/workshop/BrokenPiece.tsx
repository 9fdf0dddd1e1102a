import { Link } from 'react-router';
import { fileName } from '../../files/download';
import { onePiece } from '../../files/writeWorkshop';
import type { Piece } from '../../records/piece';
import { useDeletePiece } from '../../session/useChanges';
import { useSaveFile } from '../../session/useSaveFile';
import { Button } from '../../ui/Button';

/** A piece that cannot be drawn: it is mended in its plan, saved to a file, or deleted, from here. */
export const BrokenPiece = ({ piece, why }: { readonly piece: Piece; readonly why: string }) => {
  const deletePiece = useDeletePiece();
  const { save } = useSaveFile();
  return (
    <div className="flex max-w-72 flex-col items-start gap-1.5 border-l-4 border-wanted p-1 pl-3">
      <Link to={`/pieces/${piece.id}/plan`} className="text-lg font-semibold underline">
        {piece.name}
      </Link>
      <p>It cannot be drawn: {why}. You can fix its plan.</p>
      <div className="flex gap-2">
        <Button
          onClick={() =>
            save(
              s => onePiece(s, piece.id),
              ending => fileName(piece.name, ending),
            )
          }
        >
          Save piece
        </Button>
        <Button onClick={() => deletePiece(piece, `delete ${piece.name}`)}>Delete</Button>
      </div>
    </div>
  );
};
