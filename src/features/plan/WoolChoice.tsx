import { useId } from 'react';
import { setAxisShrinkage } from '../../core/plan/setLink';
import { showShare } from '../../core/units/units';
import type { PieceStage } from '../../session/pieceStage';
import { useExperience } from '../../session/useExperience';
import { useWools } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import { ShownBy } from '../../ui/ShownBy';

/** Which wool, and what it has done before: its own shrinkage is offered, never forced. */
export const WoolChoice = ({ stage }: { readonly stage: PieceStage }) => {
  const id = useId();
  const wools = useWools();
  const { piece } = stage;
  const known = useExperience(piece.woolId, piece.id);
  const shelf = wools.filter(w => w.deletedAt === null || w.id === piece.woolId);
  const take = (): void => {
    if (!known) return;
    stage.change(
      p => ({
        ...p,
        shrinkageFrom: 'wool',
        plan: setAxisShrinkage(
          setAxisShrinkage(p.plan, 'along', known.along.mean),
          'across',
          known.across.mean,
        ),
      }),
      { label: 'shrinkage of this wool' },
    );
  };
  return (
    <div className="flex w-full flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-chalk">
        Wool
      </label>
      <span className="flex items-center gap-2">
        <span
          className="size-6 shrink-0 rounded-full border border-rim"
          style={{ background: stage.wool?.colour ?? 'transparent' }}
        />
        <select
          id={id}
          className="min-h-9 w-full rounded-bench border border-rim bg-soap px-2"
          value={piece.woolId ?? ''}
          onChange={e =>
            stage.change(p => ({ ...p, woolId: e.target.value === '' ? null : e.target.value }), {
              label: 'wool',
            })
          }
        >
          <option value="">not chosen yet</option>
          {shelf.map(w => (
            <option key={w.id} value={w.id}>
              {w.name}
            </option>
          ))}
        </select>
      </span>
      {known ? (
        <div className="text-sm">
          Its finished pieces ({known.pieces}) shrank {showShare(known.along.mean)} along,{' '}
          {showShare(known.across.mean)} across
          {known.pieces > 1 &&
            ` (${showShare(known.along.least)}–${showShare(known.along.most)}, ${showShare(known.across.least)}–${showShare(known.across.most)})`}
          .
          <ShownBy of="the shrinkage of this wool" pieces={known.shownBy} />{' '}
          {piece.shrinkageFrom === 'wool' ? (
            <span className="text-chalk">Used in this plan.</span>
          ) : (
            <Button onClick={take}>Use these</Button>
          )}
        </div>
      ) : (
        piece.woolId !== null && (
          <p className="text-[13px] text-chalk">
            {piece.result.finishedAt === null
              ? `No finished piece of this wool yet${piece.shrinkageFrom === 'practice' ? ': the shrinkage is general practice' : ''}. Felt a swatch first.`
              : 'This is the only finished piece of this wool so far.'}
          </p>
        )
      )}
    </div>
  );
};
