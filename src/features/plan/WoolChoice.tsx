import { stageOf } from '../../core/log/stageOf';
import { setAxisShrinkage } from '../../core/plan/setLink';
import { breedWarnings } from '../../words/breeds';
import type { Piece } from '../../records/piece';
import type { PieceContext } from '../../session/pieceContext';
import { useExpectations, type WoolExpectation } from '../../session/useExpectation';
import { useIsWoolKnown, useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { namedOptions, Select } from '../../ui/Select';
import { Expected } from '../../ui/Expected';

const withExpected = (piece: Piece, { along, across }: WoolExpectation): Piece => ({
  ...piece,
  shrinkageFrom: 'wool',
  plan: setAxisShrinkage(setAxisShrinkage(piece.plan, 'along', along.mean), 'across', across.mean),
});

/** Nearer than this is the same shrinkage. */
const SAME = 0.0005;
/** Whether a plan stands on what is expected of its wool now; more may have been learnt since it was taken. */
const isUsed = (piece: Piece, { along, across }: WoolExpectation): boolean =>
  piece.shrinkageFrom === 'wool' &&
  Math.abs(piece.plan.shrinkage.along - along.mean) < SAME &&
  Math.abs(piece.plan.shrinkage.across - across.mean) < SAME;

/** Which wool, and what is expected of it. A plan whose shrinkage nobody typed takes it; any other is offered it. */
export const WoolChoice = ({ context }: { readonly context: PieceContext }) => {
  const wools = useWools();
  const { piece } = context;
  const expect = useExpectations(piece.id);
  const chosen = wools.find(w => w.id === piece.woolId);
  const known = chosen ? expect(chosen) : null;
  // A wool that is picked before its swatches are read would be taken for one that nobody knows.
  const isKnown = useIsWoolKnown();
  const shelf = wools.filter(
    w => w.sort === 'wool' && (w.deletedAt === null || w.id === piece.woolId) && isKnown,
  );
  const isLaid = stageOf(context.entries, piece.result.finishedAt) !== 'planned';
  const choose = (woolId: string): void => {
    const wool = wools.find(w => w.id === woolId);
    context.change(
      p => {
        const next = { ...p, woolId: wool?.id ?? null };
        return wool && p.shrinkageFrom !== 'felter' && !isLaid ? withExpected(next, expect(wool)) : next;
      },
      { label: 'wool' },
    );
  };
  const take = (): void => {
    if (known) context.change(p => withExpected(p, known), { label: 'shrinkage of this wool' });
  };
  return (
    <div className="flex w-full flex-col gap-1">
      <span className="flex items-end gap-2">
        <span
          className="mb-1.5 size-6 shrink-0 rounded-full border border-rim"
          style={{ background: context.wool?.colour ?? 'transparent' }}
        />
        <Select
          className="flex-1"
          label="Wool"
          value={piece.woolId ?? ''}
          options={namedOptions(shelf, 'not chosen yet')}
          onPick={choose}
        />
      </span>
      {chosen && known && (
        <div className="text-sm">
          <Expected
            name={chosen.name}
            expected={known}
            shownBy={known.shownBy}
            others={known.others}
            breedName={known.breed?.name ?? null}
          />
          {isUsed(piece, known) ? (
            <span className="text-chalk">Used in this plan.</span>
          ) : (
            <Button onClick={take}>Use these</Button>
          )}
          {known.breed &&
            breedWarnings(known.breed).map(w => (
              <p key={w} className="mt-1 border-l-4 border-now pl-2">
                {w}
              </p>
            ))}
        </div>
      )}
    </div>
  );
};
