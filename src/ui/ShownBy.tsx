import { showShare } from '../core/units/units';
import { Why } from './Why';

const share = (value: number | null): string => (value === null ? 'not measured' : showShare(value));

/** Which finished pieces a wool's shrinkage rests on. */
export const ShownBy = (props: {
  readonly of: string;
  readonly pieces: ReadonlyArray<{
    readonly name: string;
    readonly along: number | null;
    readonly across: number | null;
  }>;
}) => (
  <Why of={props.of}>
    <p>The plain mean of its pieces in the record, each (laid − dry) ÷ laid:</p>
    <ul className="mt-1">
      {props.pieces.map((p, i) => (
        <li key={`${p.name}${i}`}>
          {p.name}: {share(p.along)} along, {share(p.across)} across
        </li>
      ))}
    </ul>
  </Why>
);
