import { type Minor, minorOf, unitsOf } from '../core/money/exact';
import { NumberField } from './NumberField';
import { reader } from './readers';

const MOST = 1e9;

/** A sum of money, typed in whole units and kept in the smallest. */
export const MoneyField = (props: {
  readonly label: string;
  readonly minor: Minor | null;
  /** Decimals of the currency, and its letters. */
  readonly places: number;
  readonly code: string;
  readonly onMinor: (minor: Minor | null) => void;
  readonly hideLabel?: boolean;
  readonly className?: string;
}) => (
  <NumberField
    label={props.label}
    unit={props.code}
    className={props.className ?? 'w-32'}
    {...(props.hideLabel ? { hideLabel: true } : {})}
    shown={props.minor === null ? '' : unitsOf(props.minor, props.places).toFixed(props.places)}
    read={reader('count', 'metric', { min: 0, max: MOST })}
    onValue={value => props.onMinor(minorOf(Number(value.toFixed(props.places)), props.places))}
    onEmpty={() => props.onMinor(null)}
  />
);
