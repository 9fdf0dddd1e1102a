import { Link } from 'react-router';
import { AIR_WORDS, DRIES_ON_WORDS, FINISH } from '../../core/acts/finishSteps';
import { localMoment } from '../../session/clock';
import { useNotify } from '../../session/notices';
import { useBench } from '../../session/useBench';
import { useEntries } from '../../session/useRecords';
import { useNow } from '../../session/useNow';
import type { RackPlace } from '../../session/rackOf';
import { useRack } from '../../session/useRack';
import { useWorkshop } from '../../session/workshop';
import { Button, buttonClass } from '../../ui/Button';
import { useTitle } from '../../ui/useTitle';
import { issueText } from '../../words/issues';
import { roughHours, WAITING, waitWords } from '../../words/finishing';

const LOOKS_MS = 15_000;

/** How it dries: on what, in which air, and between which hours it is likely to be dry. */
const howWords = ({ wait, finishing }: RackPlace): readonly string[] => {
  if (wait.step !== 'dry') return [];
  const { on, air } = finishing.state;
  const { drying } = finishing;
  return [
    air && AIR_WORDS[air],
    on && `on ${DRIES_ON_WORDS[on]}`,
    drying && `four in five dry in ${roughHours(drying.leastH)} to ${roughHours(drying.mostH)}`,
  ].filter(words => words !== null);
};

const Place = ({ place, nowMs }: { readonly place: RackPlace; readonly nowMs: number }) => {
  const { piece, wait } = place;
  const bench = useBench(piece.id, useEntries(piece.id) ?? []);
  const { tell } = useNotify();
  const { chance, outbox, nowIso } = useWorkshop();
  const done = async (): Promise<void> => {
    const id = chance.newId();
    const act = { kind: 'finish', step: wait.step, how: 'done' } as const;
    const refused = await outbox.send({ id, pieceId: piece.id, at: nowIso(), act });
    if (refused) tell({ text: issueText(refused) });
    else
      tell({
        text: `${piece.name}: ${FINISH[wait.step].done.toLowerCase()}.`,
        action: { label: 'Undo', run: () => void bench.takeBack(id) },
      });
  };
  const isOver = wait.untilMs !== null && wait.untilMs <= nowMs;
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-rim py-3">
      <div className="min-w-56 flex-1">
        <Link
          to={`/pieces/${piece.id}/bench`}
          className="text-xl font-semibold underline-offset-2 hover:underline"
        >
          {piece.name}
        </Link>
        <p>{[(WAITING[wait.step] ?? '').replace('.', ''), ...howWords(place)].join(', ')}.</p>
        <p className="text-[13px] text-chalk">
          since {localMoment(wait.sinceMs)}
          {wait.untilMs !== null && `, until about ${localMoment(wait.untilMs)}`}
        </p>
      </div>
      <p className={`w-32 text-right text-2xl tabular-nums ${isOver ? 'font-semibold' : ''}`}>
        {waitWords(wait, nowMs)}
      </p>
      <div className="flex gap-2">
        <Button onClick={() => void done()}>{wait.step === 'dry' ? 'It is dry' : 'Done'}</Button>
        <Link to={`/pieces/${piece.id}/bench`} className={buttonClass('plain', 'dry')}>
          To its bench
        </Link>
      </div>
    </li>
  );
};

/** The rack: what soaks, dries or sets, since when and till when. */
export const RackView = () => {
  useTitle('Rack');
  const places = useRack();
  const nowMs = useNow(LOOKS_MS);
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">On the rack</h1>
      {places.length === 0 ? (
        <p className="mt-2 max-w-prose text-lg">
          Nothing soaks, dries or sets now. When a piece is felted, tap <strong>To the finish</strong> at its
          bench: what you leave to itself stands here, with its time.
        </p>
      ) : (
        <ul className="mt-2 max-w-4xl">
          {places.map(place => (
            <Place key={place.piece.id + place.wait.step} place={place} nowMs={nowMs} />
          ))}
        </ul>
      )}
      <p className="mt-4 max-w-prose text-[13px] text-chalk">
        Hours are predicted from thickness and air (common practice), and from how your own pieces have dried.
        Dry is when it weighs what it must: weigh it at its bench.
      </p>
    </div>
  );
};
