import { createContext, type ReactElement, useContext } from 'react';
import { type CustomItemComponentProps, Virtualizer } from 'virtua';

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

/** A list of any length in a window that scrolls: only the rows in sight are drawn, so that thousands scroll as ten do. */
export const LongList = <T,>(props: {
  readonly items: readonly T[];
  readonly rowPx: number;
  readonly row: (item: T) => ReactElement;
  readonly className: string;
  readonly testId: string;
}) => (
  <div className={`overflow-y-auto ${props.className}`} data-testid={props.testId}>
    <Length value={props.items.length}>
      <Virtualizer as="ul" item={Item} data={props.items} itemSize={props.rowPx}>
        {props.row}
      </Virtualizer>
    </Length>
  </div>
);
