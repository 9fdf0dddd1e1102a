import { CONTROLS } from '../../core/acts/act';
import { TESTS } from '../../core/acts/vocabulary';
import type { Goal } from '../../core/rehearsal/goal';
import { showFigure } from '../../core/units/units';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select } from '../../ui/Select';
import { FELT_TEST_WORDS } from '../../words/feltTests';
import { CAME_ABOUT_NAMES, FRESH_GOALS, GOAL_WORDS, type GoalKind, goalKinds } from '../../words/goals';

/** Acts that can be asked for, as their buttons say them. */
const ACTS_ASKED = CONTROLS.map(({ kind, key }) => ({
  value: kind,
  text: key ?? `${kind.charAt(0).toUpperCase()}${kind.slice(1)}`,
}));

type Ends = Partial<Record<'least' | 'most', number>>;
const END_WORDS = { least: 'at least', most: 'at most' } as const;

/** The figures of a goal: shares in per cent, all else as it is counted. */
const Figures = ({ goal, onGoal }: { readonly goal: Goal & Ends; readonly onGoal: (goal: Goal) => void }) => {
  const dimension = goal.is === 'done' || goal.is === 'tested' ? 'count' : 'share';
  const ends = (['least', 'most'] as const).filter(end => goal[end] !== undefined);
  return ends.map(end => (
    <NumberField
      key={end}
      className="w-24"
      label={END_WORDS[end]}
      shown={showFigure(goal[end] ?? 0, dimension, { units: 'metric' })}
      unit={dimension === 'share' ? '%' : ''}
      read={reader(dimension, 'metric', { min: 0, max: dimension === 'share' ? 10 : 9999 })}
      onValue={v => onGoal({ ...goal, [end]: v })}
    />
  ));
};

/** What a step waits for, or what the end is judged by: its kind, and its figures. */
export const GoalFields = ({
  goal,
  onGoal,
  label,
}: {
  readonly goal: Goal;
  readonly onGoal: (goal: Goal) => void;
  readonly label: string;
}) => {
  if (goal.is === 'all')
    return goal.of.map((one, i) => (
      <GoalFields
        key={i}
        label={`${label}, and also`}
        goal={one}
        onGoal={next => onGoal({ ...goal, of: goal.of.with(i, next) })}
      />
    ));
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Select
        label={label}
        value={goal.is}
        options={goalKinds.map(value => ({ value, text: GOAL_WORDS[value] }))}
        onPick={(is: GoalKind) => is !== goal.is && onGoal(FRESH_GOALS[is])}
      />
      {goal.is === 'done' && (
        <Select label="what" value={goal.act} options={ACTS_ASKED} onPick={act => onGoal({ ...goal, act })} />
      )}
      {goal.is === 'tested' && (
        <Select
          label="which"
          value={goal.test}
          options={[
            { value: 'pinch', text: 'Pinch test' },
            ...TESTS.map(value => ({ value, text: FELT_TEST_WORDS[value].name })),
          ]}
          onPick={test => onGoal({ ...goal, test })}
        />
      )}
      {goal.is === 'caught' && (
        <Select
          label="what"
          value={goal.fault}
          options={CAME_ABOUT_NAMES}
          onPick={fault => onGoal({ ...goal, fault })}
        />
      )}
      <Figures goal={goal} onGoal={onGoal} />
    </div>
  );
};
