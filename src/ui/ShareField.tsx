import { NumberField } from './NumberField';
import { reader } from './readers';

/** A share in per cent, kept in hundredths of one. */
export const ShareField = (props: {
  readonly label: string;
  /** Hundredths of a per cent. */
  readonly bp: number;
  readonly onBp: (bp: number) => void;
}) => (
  <NumberField
    className="w-36"
    label={props.label}
    unit="%"
    shown={String(props.bp / 100)}
    read={reader('count', 'metric', { min: 0, max: 99 })}
    onValue={v => props.onBp(Math.round(100 * v))}
  />
);
