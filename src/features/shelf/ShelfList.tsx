import { useState } from 'react';
import { Link } from 'react-router';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { useGramsLeft } from '../../session/useShelf';
import type { Wool } from '../../records/wool';

const ROW_PX = 60;
/** Rows drawn above what is in sight, and in all: enough for a tall screen and a quick thumb. */
const SPARE = 10;
const MOST_IN_SIGHT = 60;

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
  const [top, setTop] = useState(0);
  const first = Math.max(0, Math.min(Math.floor(top / ROW_PX), wools.length) - SPARE);
  const inSight = wools.slice(first, first + MOST_IN_SIGHT);
  return (
    <div
      className="min-h-40 flex-1 overflow-y-auto"
      data-testid="shelf-list"
      onScroll={e => setTop(e.currentTarget.scrollTop)}
    >
      <ul className="relative" style={{ height: wools.length * ROW_PX }}>
        {inSight.map((wool, i) => (
          <li
            key={wool.id}
            aria-setsize={wools.length}
            aria-posinset={first + i + 1}
            className="absolute inset-x-0"
            style={{ height: ROW_PX, transform: `translateY(${(first + i) * ROW_PX}px)` }}
          >
            <Link
              to={`/shelf/${wool.id}`}
              aria-current={wool.id === chosen ? 'true' : undefined}
              className={`flex h-full items-center gap-3 border-b border-rim px-2 ${wool.id === chosen ? 'bg-ink text-soap' : 'hover:bg-soap'}`}
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
          </li>
        ))}
      </ul>
    </div>
  );
};
