import { createContext, type ReactElement, useContext } from 'react';
import { type CustomItemComponentProps, Virtualizer } from 'virtua';
import { useGrowing } from './useGrowing';

const Length = createContext(0);

/** One row that is drawn, with its place among all that are not. */
const Item = ({ index, style, children, ref }: CustomItemComponentProps) => {
  const length = useContext(Length);
  return (
    <li ref={ref} style={style} aria-setsize={length} aria-posinset={index + 1}>
      {children}
    </li>
  );
};

/** So many rows are drawn at once: to find out which are in sight would cost more than the rows. */
const MOST_DRAWN = 40;

/** Rows that come with one frame. */
const ROWS_A_FRAME = 5;

const Rows = <T,>({
  items,
  row,
}: {
  readonly items: readonly T[];
  readonly row: (item: T) => ReactElement;
}) => {
  const grown = useGrowing(items.length, ROWS_A_FRAME);
  return (
    <ul>
      {items.slice(0, grown).map(item => {
        const drawn = row(item);
        return <li key={drawn.key}>{drawn}</li>;
      })}
    </ul>
  );
};

/** A list of any length in a window that scrolls: only the rows in sight are drawn, so that thousands scroll as ten do. */
export const LongList = <T,>(props: {
  readonly items: readonly T[];
  readonly rowPx: number;
  readonly row: (item: T) => ReactElement;
  readonly className: string;
  readonly testId: string;
}) => (
  <div className={`overflow-y-auto ${props.className}`} data-testid={props.testId}>
    {props.items.length > MOST_DRAWN ? (
      <Length value={props.items.length}>
        <Virtualizer as="ul" item={Item} data={props.items} itemSize={props.rowPx}>
          {props.row}
        </Virtualizer>
      </Length>
    ) : (
      <Rows items={props.items} row={props.row} />
    )}
  </div>
);
