import type { Expectation, ShrinkageRange, ShrinkageReading } from '../core/learning/expectedShrinkage';
import { showShare } from '../core/units/units';
import { Why } from './Why';

const measured = (value: number | null): string => (value === null ? 'not measured' : showShare(value));
const range = ({ mean, least, most }: ShrinkageRange): string =>
  `${showShare(mean)} (${Math.round(100 * least)}–${Math.round(100 * most)})`;

/** What a wool is expected to shrink, as a range, with how much of it is the felter's own, and why. */
export const Expected = (props: {
  readonly name: string;
  readonly expected: Expectation;
  /** Finished pieces and swatches of this wool. */
  readonly shownBy: readonly ShrinkageReading[];
  /** How many of other wools speak with them. */
  readonly others: number;
  readonly breedName: string | null;
}) => {
  const { expected, shownBy, others, breedName } = props;
  const own = Math.round(100 * expected.ownShare);
  return (
    <span className="flex items-start gap-1">
      <span className="leading-tight">
        <span className="font-semibold">
          {range(expected.along)} lengthwise, {range(expected.across)} crosswise
        </span>
        <span className="block text-[13px] text-chalk">
          {own === 0 ? 'general practice' : `${own} % of this comes from your own work`}
          {breedName && `; ${breedName}`}
        </span>
      </span>
      <Why of={`the expected shrinkage of ${props.name}`}>
        <p>
          The middle, and the range four of five pieces should come out in. It starts from general practice, a
          third, moved for what {breedName ?? 'the fibre'} is known for (common practice), and is pulled
          towards what was finished, by how much each can say: this wool’s own pieces most, then other wools
          of its breed, then any other of yours.
        </p>
        {shownBy.length > 0 && (
          <ul className="mt-1">
            {shownBy.map(s => (
              <li key={s.id}>
                {s.name}: {measured(s.along)} lengthwise, {measured(s.across)} crosswise
                {expected.odd.includes(s.id) && ' — it does not fit the others, so it counts little'}
              </li>
            ))}
          </ul>
        )}
        <p className="mt-1">
          {others === 0 ? 'No other wool counts here yet.' : `${others} of other wools count as well.`}
        </p>
      </Why>
    </span>
  );
};
