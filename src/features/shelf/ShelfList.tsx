import { Link } from 'react-router';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { useGramsLeft } from '../../session/useShelf';
import type { Wool } from '../../records/wool';
import { LongList } from '../../ui/LongList';

const ROW_PX = 60;

const showLeft = (grams: number | null, units: UnitSystem): string =>
  grams === null ? '' : showQuantity(grams, 'mass', units);

/** Everything on the shelf, one row each; only the rows in sight are drawn, so that thousands scroll as ten do. */
export const ShelfList = (props: {
  readonly wools: readonly Wool[];
  readonly chosen: string | null;
  readonly units: UnitSystem;
}) => {
  const { wools, chosen, units } = props;
  const left = useGramsLeft();
  return (
    <LongList
      className="min-h-40 flex-1"
      testId="shelf-list"
      items={wools}
      rowPx={ROW_PX}
      row={wool => (
        <Link
          key={wool.id}
          to={`/shelf/${wool.id}`}
          aria-current={wool.id === chosen ? 'true' : undefined}
          style={{ height: ROW_PX }}
          className={`flex items-center gap-3 border-b border-rim px-2 ${wool.id === chosen ? 'bg-ink text-soap' : 'hover:bg-soap'}`}
        >
          <span
            className="size-8 shrink-0 rounded-full border border-rim"
            style={{ background: wool.colour }}
          />
          <span className="min-w-0 flex-1 leading-tight">
            <span className="block truncate font-semibold">{wool.name}</span>
            <span className="block truncate text-[13px] opacity-80">
              {[wool.sort === 'wool' ? wool.form : wool.sort, wool.fibre].filter(Boolean).join(' · ')}
            </span>
          </span>
          <span className="shrink-0 tabular-nums">{showLeft(left(wool), units)}</span>
        </Link>
      )}
    />
  );
};
