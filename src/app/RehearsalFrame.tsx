import { QueryClientProvider } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, Navigate, Outlet, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Lesson } from '../records/lesson';
import { newPiece, type Piece } from '../records/piece';
import { useNotify } from '../session/notices';
import { makeRehearsal, type Rehearsal, RehearsalContext } from '../session/rehearsal';
import { usePiece } from '../session/useRecords';
import { useLessons } from '../session/useLessons';
import { usePrior } from '../session/usePrior';
import { GENERAL_PRIOR, type Prior } from '../core/felting/feltingModel';
import { useWorkshop, WorkshopContext } from '../session/workshop';

/** What the views of a rehearsal are told by its frame. */
export interface RehearsalTries {
  /** Ids of the tries of the same felt, the first first. */
  readonly tries: readonly string[];
  readonly onTry: (id: string) => void;
}

/** What a rehearsal begins with. */
interface Beginning {
  readonly piece: Piece;
  readonly belief: Prior;
  readonly asked: readonly string[];
  readonly lesson?: Lesson;
  /** The address that it stands under. */
  readonly base: string;
}

/** Begins a rehearsal of a piece, once; it ends when its view is left. */
const useBegun = (of: Beginning): Rehearsal | null => {
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

const Begun = (of: Beginning) => {
  const { base } = of;
  const rehearsal = useBegun(of);
  const navigate = useNavigate();
  const { pieceId } = useParams();
  const [others, setOthers] = useState<readonly string[]>([]);
  const onTry = useCallback(
    (id: string): void => {
      setOthers(known => (id === rehearsal?.firstId || known.includes(id) ? known : [...known, id]));
      void navigate(`${base}/${id}/bench`);
    },
    [navigate, base, rehearsal],
  );
  const told = useMemo<RehearsalTries>(
    () => ({
      tries: rehearsal ? [rehearsal.firstId, ...others] : [],
      onTry,
    }),
    [rehearsal, others, onTry],
  );
  if (!rehearsal) return <p className="p-4">Laying a piece to practise on …</p>;
  // A try of an earlier rehearsal is not there any more.
  const isHere = told.tries.some(id => id === pieceId);
  return (
    <RehearsalContext value={rehearsal}>
      <WorkshopContext value={rehearsal.workshop}>
        <QueryClientProvider client={rehearsal.workshop.client}>
          {isHere ? (
            <Outlet context={told} />
          ) : (
            <Navigate to={`${base}/${rehearsal.firstId}/bench`} replace />
          )}
        </QueryClientProvider>
      </WorkshopContext>
    </RehearsalContext>
  );
};

/** What is believed of the felt is known before it is drawn. */
const Believed = ({ piece }: { readonly piece: Piece }) => {
  const { belief, asked, isWhole } = usePrior({ piece });
  return isWhole ? (
    <Begun {...{ piece, belief, asked }} base={`/rehearse/${piece.id}`} />
  ) : (
    <p className="p-4">Opening …</p>
  );
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

const NOBODY: readonly string[] = [];

const Taught = ({ lesson }: { readonly lesson: Lesson }) => {
  const { chance, nowIso } = useWorkshop();
  const [piece] = useState(() => {
    const { title, plan, judge } = lesson;
    return newPiece({ id: chance.newId(), name: title, now: nowIso(), plan, judge });
  });
  return (
    <Begun
      piece={piece}
      belief={GENERAL_PRIOR}
      asked={NOBODY}
      lesson={lesson}
      base={`/lessons/${lesson.id}`}
    />
  );
};

/** A lesson: a rehearsal of a piece that is only there for it. */
export const LessonFrame = () => {
  const { lessonId = '' } = useParams();
  const lesson = useLessons().all.find(l => l.id === lessonId);
  return lesson ? (
    <Taught key={lessonId} lesson={lesson} />
  ) : (
    <p className="p-8">
      This lesson is not here. <Link to="/lessons">All lessons</Link>
    </p>
  );
};
