import type { PlannedWork } from '../../core/schedule/planWork';
import { breakWords, lengthWords } from '../../words/schedule';

/** What does not fit, or not in time. */
export const Troubles = (props: {
  readonly planned: Pick<PlannedWork, 'shortMin' | 'unplaced' | 'breaks'>;
  readonly isLate: boolean;
  readonly nameOf: (id: string) => string;
}) => {
  const { planned, nameOf } = props;
  const { shortMin, unplaced } = planned;
  const told = planned.breaks.filter(b => b.is !== 'late');
  return (
    <>
      {props.isLate && shortMin > 0 && (
        <p role="status" className="font-semibold text-wanted">
          To be in time it should have begun {lengthWords(shortMin)} ago. It is laid in from now on.
        </p>
      )}
      {unplaced.length > 0 && (
        <p role="status" className="font-semibold text-wanted">
          No place in your hours for: {unplaced.slice(0, 4).map(nameOf).join('; ')}
          {unplaced.length > 4 && ` and ${unplaced.length - 4} more`}.
        </p>
      )}
      {told.slice(0, 6).map((b, i) => (
        <p key={i} role="status" className="text-wanted">
          {nameOf(b.id)}: {breakWords(b, nameOf)}
        </p>
      ))}
    </>
  );
};
