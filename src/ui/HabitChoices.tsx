import { type HabitId, habitOf, type Habits, HABITS } from '../core/ways/habits';
import { HABIT_WORDS } from '../words/habits';
import { Choice } from './Choice';

/** What schools differ in, each with its few choices. */
export const HabitChoices = (props: {
  readonly ids: readonly HabitId[];
  readonly habits: Habits;
  readonly size: 'dry' | 'wet';
  readonly onHabits: (habits: Habits, label: string) => void;
}) =>
  props.ids.map(id => {
    const { name, choices } = HABIT_WORDS[id];
    const words: Readonly<Record<string, string>> = choices;
    return (
      <div key={id}>
        <p className={props.size === 'wet' ? 'text-[15px] text-chalk' : 'text-[13px] text-chalk'}>{name}</p>
        <Choice<string>
          label={name}
          size={props.size}
          value={habitOf(props.habits, id)}
          options={HABITS[id].map(value => ({ value, text: words[value] }))}
          onChoose={value => props.onHabits({ ...props.habits, [id]: value }, name)}
        />
      </div>
    );
  });
