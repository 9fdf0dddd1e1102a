import { type Act, actWords } from '../../core/acts/act';
import type { PieceWording } from '../../core/acts/actSpec';
import { Button } from '../../ui/Button';
import { actSoFar, countOf, usePacing } from './pacing';

/** What the pacer had counted when the page was left in the middle: to be logged, or dropped. */
export const BrokenOff = (props: {
  readonly pieceId: string;
  readonly wording: PieceWording;
  readonly onLog: (act: Act) => void;
}) => {
  const [pacing, keep] = usePacing(props.pieceId);
  if (!pacing) return null;
  const act = actSoFar(pacing);
  return (
    <section
      aria-label="Pacer stopped"
      className="flex flex-wrap items-center gap-2 border-l-4 border-now pl-3"
    >
      <p className="min-w-52 flex-1 text-lg leading-snug">
        The pacer stopped at {pacing.count} of {countOf(pacing.act)}: {actWords(act, props.wording)}.
      </p>
      <Button
        size="wet"
        data-steady
        onClick={() => {
          keep(null);
          props.onLog(act);
        }}
      >
        Log {pacing.count}
      </Button>
      <Button size="wet" look="bare" onClick={() => keep(null)}>
        Leave it
      </Button>
    </section>
  );
};
