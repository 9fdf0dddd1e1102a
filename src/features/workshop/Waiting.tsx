import { Link } from 'react-router';
import { localMoment } from '../../session/clock';
import { useNow } from '../../session/useNow';
import { useRack } from '../../session/useRack';
import { WAITING, waitWords } from '../../words/finishing';

const LOOKS_MS = 15_000;

/** What waits on the rack, told before anything else. */
export const Waiting = () => {
  const places = useRack();
  const nowMs = useNow(LOOKS_MS);
  if (places.length === 0) return null;
  return (
    <ul aria-label="Waiting" className="mb-4 max-w-3xl border-l-4 border-now pl-3">
      {places.map(({ piece, wait }) => (
        <li key={piece.id + wait.step}>
          <Link to="/rack" className="hover:underline">
            {piece.name}: {WAITING[wait.step]} {waitWords(wait, nowMs)}
            {wait.untilMs !== null && wait.untilMs > nowMs && `, until about ${localMoment(wait.untilMs)}`}.
          </Link>
        </li>
      ))}
    </ul>
  );
};
