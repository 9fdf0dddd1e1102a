import { useState } from 'react';
import { Outlet, useLocation, useOutletContext, useParams } from 'react-router';
import { FeltInHands } from '../features/rehearsal/FeltInHands';
import { LessonPart } from '../features/rehearsal/LessonSteps';
import { RehearsalStrip } from '../features/rehearsal/RehearsalStrip';
import { TruthView } from '../features/rehearsal/TruthView';
import type { Entry } from '../records/entry';
import type { Piece } from '../records/piece';
import { useEntries, usePiece } from '../session/useRecords';
import { Button } from '../ui/Button';
import { useRoomy } from '../ui/useRoomy';
import { useTitle } from '../ui/useTitle';
import type { RehearsalTries } from './RehearsalFrame';
import { useStage } from './useStage';

const Stage = (props: { readonly piece: Piece; readonly entries: readonly Entry[] } & RehearsalTries) => {
  const { piece, entries, tries, onTry } = props;
  const stage = useStage(piece, entries);
  const isTruth = useLocation().pathname.endsWith('/truth');
  const roomy = useRoomy('lg');
  const [isInHands, setInHands] = useState(false);
  useTitle(piece.name, 'Rehearsal');
  if (!stage.plan.ok) return <p className="p-4">Fix the plan first.</p>;
  const turn = !roomy && !isTruth && (
    <Button aria-pressed={isInHands} onClick={() => setInHands(!isInHands)}>
      {isInHands ? 'Back to the bench' : 'The felt in your hands'}
    </Button>
  );
  const inHands = <FeltInHands context={stage} plan={stage.plan.value} />;
  return (
    <>
      <h1 className="sr-only">Rehearsal: {piece.name}</h1>
      <RehearsalStrip context={stage} tries={tries} onTry={onTry} isTruth={isTruth} turn={turn} />
      {isTruth ? (
        <TruthView context={stage} tries={tries} />
      ) : (
        <>
          {!roomy && <LessonPart context={stage} />}
          <div className="flex min-h-0 flex-1">
            {(roomy || isInHands) && (
              <aside
                className={`min-h-0 overflow-y-auto border-r border-rim bg-table ${roomy ? 'w-64 shrink-0' : 'flex-1'}`}
              >
                {roomy && <LessonPart context={stage} />}
                {inHands}
              </aside>
            )}
            <div className={`min-h-0 min-w-0 flex-1 flex-col ${!roomy && isInHands ? 'hidden' : 'flex'}`}>
              <Outlet context={stage} />
            </div>
          </div>
        </>
      )}
    </>
  );
};

/** One try of a rehearsal: what it says of itself, the felt in the hands, and the bench. */
export const RehearsalStage = () => {
  const { pieceId = '' } = useParams();
  const { tries, onTry } = useOutletContext<RehearsalTries>();
  const piece = usePiece(pieceId);
  const entries = useEntries(pieceId);
  if (!piece || entries === undefined) return <p className="p-4">Opening …</p>;
  return <Stage key={pieceId} {...{ piece, entries, tries, onTry }} />;
};
