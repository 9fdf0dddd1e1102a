import { type Act, actWords } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { useNow } from '../../session/useNow';
import { Button } from '../../ui/Button';
import { actSoFar, countOf, useClock, usePacing, withCount } from './pacing';

/** One line of what was left running, to be logged or dropped. */
const LeftLine = (props: {
  readonly label: string;
  readonly words: string;
  readonly log: string;
  readonly onLog: () => void;
  readonly onLeave: () => void;
}) => (
  <section aria-label={props.label} className="flex flex-wrap items-center gap-2 border-l-4 border-now pl-3">
    <p className="min-w-52 flex-1 text-lg leading-snug">{props.words}</p>
    <Button size="wet" data-steady onClick={props.onLog}>
      {props.log}
    </Button>
    <Button size="wet" look="bare" onClick={props.onLeave}>
      Leave it
    </Button>
  </section>
);

interface BrokenOffProps {
  readonly pieceId: string;
  readonly wording: PieceWording;
  readonly onLog: (act: Act) => void;
}

const PacerLeft = ({ pieceId, wording, onLog }: BrokenOffProps) => {
  const [pacing, keep] = usePacing(pieceId);
  if (!pacing) return null;
  const act = actSoFar(pacing);
  return (
    <LeftLine
      label="Pacer stopped"
      words={`The pacer stopped at ${pacing.count} of ${countOf(pacing.act)}: ${actWords(act, wording)}.`}
      log={`Log ${pacing.count}`}
      onLog={() => {
        keep(null);
        onLog(act);
      }}
      onLeave={() => keep(null)}
    />
  );
};

const LOOKS_MS = 10_000;
/** An hour on a tube, and some more. Common practice. */
const LONGEST_MIN = 120;

const ClockLeft = ({ pieceId, wording, onLog }: BrokenOffProps) => {
  const [clock, keep] = useClock(pieceId);
  const now = useNow(LOOKS_MS);
  if (!clock) return null;
  // A clock that was forgotten overnight counts no more than the longest act there is.
  const minutes = Math.min(LONGEST_MIN, Math.max(0.5, Math.round((2 * (now - clock.beganMs)) / 60_000) / 2));
  const act = withCount(clock.act, minutes);
  return (
    <LeftLine
      label="Clock running"
      words={`The clock still runs: ${actWords(act, wording)} so far.`}
      log={`Log ${minutes} min`}
      onLog={() => {
        keep(null);
        onLog(act);
      }}
      onLeave={() => keep(null)}
    />
  );
};

/** What the pacer or the clock had counted when the page was left in the middle: to be logged, or dropped. */
export const BrokenOff = (props: BrokenOffProps) => (
  <>
    <PacerLeft {...props} />
    <ClockLeft {...props} />
  </>
);
