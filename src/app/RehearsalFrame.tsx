import { QueryClientProvider } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, Navigate, Outlet, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Try } from '../features/rehearsal/RehearsalStrip';
import type { Piece } from '../records/piece';
import { useNotify } from '../session/notices';
import { makeRehearsal, type Rehearsal, RehearsalContext } from '../session/rehearsal';
import { usePiece } from '../session/useRecords';
import { usePrior } from '../session/usePrior';
import type { Prior } from '../core/felting/feltingModel';
import { useWorkshop, WorkshopContext } from '../session/workshop';

/** What the views of a rehearsal are told by its frame. */
export interface RehearsalTries {
  readonly tries: readonly Try[];
  readonly onTry: (id: string) => void;
}

/** Begins a rehearsal of a piece, once; it ends when its view is left. */
const useBegun = (of: {
  readonly piece: Piece;
  readonly belief: Prior;
  readonly asked: readonly string[];
}): Rehearsal | null => {
  const workshop = useWorkshop();
  const { failed } = useNotify();
  const [search] = useSearchParams();
  const [begun, setBegun] = useState<Rehearsal | null>(null);
  // Tests ask for one felt and no other.
  const given = search.get('seed');
  const [seed] = useState(() => (given === null ? workshop.chance.seed() : Number(given)));
  // What is believed when it is begun stays believed: later answers change no felt.
  const goesOn = search.get('from') === 'log';
  const [told] = useState({ ...of, seed, goesOn });
  useEffect(() => {
    let made: Rehearsal | null = null;
    let isLeft = false;
    makeRehearsal(workshop, told).then(rehearsal => {
      if (isLeft) return rehearsal.close();
      made = rehearsal;
      setBegun(rehearsal);
    }, failed);
    return () => {
      isLeft = true;
      made?.close();
      setBegun(null);
    };
  }, [workshop, told, failed]);
  return begun;
};

const Begun = (of: Parameters<typeof useBegun>[0]) => {
  const { piece } = of;
  const rehearsal = useBegun(of);
  const navigate = useNavigate();
  const { pieceId } = useParams();
  const [others, setOthers] = useState<readonly string[]>([]);
  const onTry = useCallback(
    (id: string): void => {
      setOthers(known => (id === rehearsal?.firstId || known.includes(id) ? known : [...known, id]));
      void navigate(`/rehearse/${piece.id}/${id}/bench`);
    },
    [navigate, piece.id, rehearsal],
  );
  const told = useMemo<RehearsalTries>(
    () => ({
      tries: rehearsal
        ? [rehearsal.firstId, ...others].map((id, i) => ({ id, name: `${piece.name}, try ${i + 1}` }))
        : [],
      onTry,
    }),
    [rehearsal, others, piece.name, onTry],
  );
  if (!rehearsal) return <p className="p-4">Laying a piece to practise on …</p>;
  // A try of an earlier rehearsal is not there any more.
  const isHere = told.tries.some(t => t.id === pieceId);
  return (
    <RehearsalContext value={rehearsal}>
      <WorkshopContext value={rehearsal.workshop}>
        <QueryClientProvider client={rehearsal.workshop.client}>
          {isHere ? (
            <Outlet context={told} />
          ) : (
            <Navigate to={`/rehearse/${piece.id}/${rehearsal.firstId}/bench`} replace />
          )}
        </QueryClientProvider>
      </WorkshopContext>
    </RehearsalContext>
  );
};

/** What is believed of the felt is known before it is drawn. */
const Believed = ({ piece }: { readonly piece: Piece }) => {
  const { belief, asked, isWhole } = usePrior({ piece });
  return isWhole ? <Begun {...{ piece, belief, asked }} /> : <p className="p-4">Opening …</p>;
};

/** A rehearsal of a piece: a second workshop in the page, with the bench as it always is. */
export const RehearsalFrame = () => {
  const { ofId = '' } = useParams();
  const piece = usePiece(ofId);
  if (piece === undefined) return <p className="p-4">Opening …</p>;
  if (piece === null)
    return (
      <p className="p-8">
        This piece is not in this browser. <Link to="/">Back to the table</Link>
      </p>
    );
  return <Believed key={piece.id} piece={piece} />;
};
