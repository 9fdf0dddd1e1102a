import type { PieceContext } from '../../session/pieceContext';
import { Choice } from '../../ui/Choice';

const WAYS = [
  { value: 'each', text: 'each by itself' },
  { value: 'together', text: 'all together' },
] as const;

/** Whether the heaps of many alike are weighed one by one, or in one heap that is divided by hand. */
export const WeighEach = ({ context, times }: { readonly context: PieceContext; readonly times: number }) => {
  const chosen = context.piece.plan.heaps ?? 'together';
  return (
    <div className="mt-2">
      <Choice
        label="Weigh the pieces"
        value={chosen}
        options={WAYS}
        onChoose={heaps => context.changePlan(p => ({ ...p, heaps }), { label: 'how it is weighed' })}
      />
      {chosen === 'each' && times === 1 && (
        <p className="text-[13px] text-chalk">
          One of them is too light for your scale, so they are weighed together and divided by hand.
        </p>
      )}
    </div>
  );
};
