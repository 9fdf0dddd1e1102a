import { type Judge, JUDGES } from '../../core/acts/vocabulary';
import type { Plan } from '../../core/plan/makePlan';
import { waysOf } from '../../core/ways/register';
import type { Way } from '../../core/ways/way';
import type { PieceContext } from '../../session/pieceContext';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { HabitChoices } from '../../ui/HabitChoices';
import { JUDGE_WORDS, WAY_WORDS } from '../../words/ways';

/** In which way a piece is worked, of those that make sense for its form, and how its maker judges where it stands. */
export const WayChoice = (props: {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly way: Way;
}) => {
  const { context, plan, way } = props;
  const ids = waysOf(plan.kind, plan.form);
  return (
    <section aria-label="Way of working" className="flex flex-col gap-2">
      <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
        {ids.map((id, i) => (
          <Button
            key={id}
            size="wet"
            aria-pressed={way.id === id}
            look={way.id === id ? 'main' : 'plain'}
            className="!flex-col !gap-0"
            onClick={() =>
              context.change(p => ({ ...p, way: i === 0 ? null : id }), { label: WAY_WORDS[id].name })
            }
          >
            {WAY_WORDS[id].name}
            <span className="text-base font-normal opacity-75">{WAY_WORDS[id].how}</span>
          </Button>
        ))}
      </div>
      <p className="text-[15px] text-chalk">How do you tell how far it is?</p>
      <Choice<Judge>
        label="How you tell how far it is"
        size="wet"
        value={context.piece.judge}
        options={JUDGES.map(value => ({ value, text: JUDGE_WORDS[value] }))}
        onChoose={judge => context.change(p => ({ ...p, judge }), { label: JUDGE_WORDS[judge] })}
      />
      <details>
        <summary className="min-h-12 cursor-pointer py-2 text-lg">
          How you do it: cover, soap and so on
        </summary>
        <div className="flex flex-col gap-2">
          <HabitChoices
            ids={way.habits}
            habits={context.piece.habits}
            size="wet"
            onHabits={(habits, label) => context.change(p => ({ ...p, habits }), { label })}
          />
        </div>
      </details>
      <p className="pt-2 text-[15px] text-chalk">Follow a recipe? You do not have to.</p>
    </section>
  );
};
