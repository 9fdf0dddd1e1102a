import type { ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { useSteps } from '../../ui/useSteps';
import { Sign } from '../../ui/Sign';

export const FIGURES = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '.', '0'] as const;

/** Where each stands, whatever stands beside them. */
const PLACES: Readonly<Record<(typeof FIGURES)[number], string>> = {
  '1': 'col-start-1 row-start-1',
  '2': 'col-start-2 row-start-1',
  '3': 'col-start-3 row-start-1',
  '4': 'col-start-1 row-start-2',
  '5': 'col-start-2 row-start-2',
  '6': 'col-start-3 row-start-2',
  '7': 'col-start-1 row-start-3',
  '8': 'col-start-2 row-start-3',
  '9': 'col-start-3 row-start-3',
  '.': 'col-start-1 row-start-4',
  '0': 'col-start-2 row-start-4',
};

const ROWS = 4;
const IN_A_ROW = 3;
/** Room for all of them from the first on: nothing below moves under a hand. Taller where there is more: an upright tablet. */
const ROOM =
  'grid-rows-[repeat(4,minmax(4rem,auto))] sm:grid-rows-[repeat(4,minmax(5rem,auto))] lg:grid-rows-[repeat(4,minmax(4rem,auto))]';

/** Big keys for a figure, with room for a column of others beside them. They come a row a frame, as large keys are much to draw. */
export const FigureKeys = (props: {
  readonly onKey: (key: string) => void;
  readonly onDelete: () => void;
  readonly children?: ReactNode;
}) => {
  const rows = useSteps(ROWS + 1);
  return (
    <div className={`grid gap-2 ${ROOM} ${props.children ? 'grid-cols-4' : 'grid-cols-3'}`}>
      {FIGURES.slice(0, rows * IN_A_ROW).map(k => (
        <Button key={k} size="wet" onClick={() => props.onKey(k)} className={`!text-3xl ${PLACES[k]}`}>
          {k}
        </Button>
      ))}
      {rows >= ROWS && (
        <Button
          size="wet"
          className="col-start-3 row-start-4 !text-3xl"
          onClick={props.onDelete}
          aria-label="Delete last digit"
        >
          <Sign of="delete" />
        </Button>
      )}
      {rows > ROWS && props.children}
    </div>
  );
};
