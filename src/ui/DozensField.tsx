import { DOZEN } from '../core/stock/ledger';
import { NumberField } from './NumberField';
import { reader } from './readers';
import { Select } from './Select';

const MOST = 100_000;

/** A count of things, told in singles or in dozens, and kept in singles. */
export const DozensField = (props: {
  /** Single ones. */
  readonly count: number;
  readonly inDozens: boolean;
  /** The fewest, single ones. */
  readonly least: number;
  readonly onCount: (count: number) => void;
  readonly onInDozens: (inDozens: boolean) => void;
}) => {
  const { count, inDozens, least } = props;
  const times = inDozens ? DOZEN : 1;
  return (
    <>
      <NumberField
        className="w-24"
        label={inDozens ? 'Dozens' : 'How many'}
        shown={String(Math.round((1000 * count) / times) / 1000)}
        read={reader('count', 'metric', { min: least / times, max: MOST })}
        onValue={v => props.onCount(Math.max(least, Math.round(v * times)))}
      />
      <Select
        label="Told in"
        value={inDozens ? 'dozens' : 'singles'}
        options={[
          { value: 'singles', text: 'singles' },
          { value: 'dozens', text: 'dozens' },
        ]}
        onPick={v => props.onInDozens(v === 'dozens')}
      />
    </>
  );
};
