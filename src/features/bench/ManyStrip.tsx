import { MARKS, markName } from '../../core/acts/pieceMark';
import { inThisSitting, type ManyAlike, nextOfMany } from '../../core/log/manyAlike';
import { BATCH_PRACTICE } from '../../core/batch/batchOf';
import { useNow } from '../../session/useNow';
import { Button } from '../../ui/Button';
import type { ActSelection } from './useActSelection';

const LOOKS_MS = 30_000;

/** Many alike, one after the other: which is in the hands, how many are through, and one tap to put it aside. */
export const ManyStrip = (props: {
  readonly many: ManyAlike;
  readonly pieces: number;
  readonly acting: ActSelection;
}) => {
  const { many, pieces, acting } = props;
  const { inHand, through, aside } = many;
  const sitting = inThisSitting(many, useNow(LOOKS_MS), at => Date.parse(at));
  return (
    <section aria-label="Pieces" className="flex flex-col gap-2">
      <div className="flex items-center gap-3">
        <p className="flex-1 text-xl leading-tight">
          Piece <b>{inHand}</b> in hand.{' '}
          <b>
            Done {through.length} of {pieces}
          </b>
          {aside.size > 0 && <span>, {aside.size} put aside</span>}
        </p>
        <Button size="wet" onClick={() => acting.setPanel('many')}>
          Pieces
        </Button>
      </div>
      <div role="group" aria-label="Put this one aside" className="flex items-center gap-2">
        <span className="w-14 shrink-0 leading-tight">Put it aside:</span>
        {MARKS.map(as => (
          <Button
            key={as}
            size="wet"
            className="min-w-0 flex-1 !px-1 !text-base !leading-tight"
            aria-label={`Put aside: ${markName(as)}`}
            onClick={() =>
              acting.log({ kind: 'mark', piece: inHand, as, next: nextOfMany(many, pieces, inHand) })
            }
          >
            {markName(as)}
          </Button>
        ))}
      </div>
      {sitting >= BATCH_PRACTICE.perSitting && (
        <p role="status" className="border-l-4 border-now pl-3 text-lg text-ink">
          {sitting} done in this sitting: your hands have had enough. Rest them, or go on tomorrow. Stop if it
          hurts or goes numb.
        </p>
      )}
    </section>
  );
};
