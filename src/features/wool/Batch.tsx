import { BATCH_PRACTICE, batchOf } from '../../core/batch/batchOf';
import { Why } from '../../ui/Why';

const several = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** How a batch of solids goes: sittings, water, racks. */
export const Batch = ({ pieces }: { readonly pieces: number }) => {
  const { sittings, each, waterChanges, trays, rackHours } = batchOf(pieces);
  return (
    <div className="mt-3 flex items-start gap-2">
      <p className="flex-1">
        {several(sittings, 'sitting', 'sittings')} of {[...new Set(each)].join(' or ')}, change the water{' '}
        {several(waterChanges, 'time', 'times')} between, {several(trays, 'tray', 'trays')} on the rack for
        about {rackHours} h.
      </p>
      <Why of="this batch">
        <p>
          Hands manage about {BATCH_PRACTICE.perSitting} balls in one sitting, the water is dirty after about{' '}
          {BATCH_PRACTICE.perWater}, and balls dry about a day: common practice, no published source.
        </p>
      </Why>
    </div>
  );
};
