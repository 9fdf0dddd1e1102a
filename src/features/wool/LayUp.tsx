import type { FormPlan } from '../../core/forms/formKind';
import { layMethodOf } from '../../core/plan/layMethodOf';
import type { Way } from '../../core/ways/way';
import { FIBRE_LAYS, LAY_ORDERS, laySteps } from '../../core/wool/layOrder';
import type { PieceContext } from '../../session/pieceContext';
import { Choice } from '../../ui/Choice';
import { Decorations } from './Decorations';
import { HabitChoices } from '../../ui/HabitChoices';
import { layWords } from '../../words/laying';

const ORDER_WORDS = {
  all: 'all layers',
  two: 'two layers',
  one: 'one layer',
  'two-one': 'two, then one',
  wide: 'never: one side, laid wide',
} as const;
const FIBRE_WORDS = {
  crossed: 'crossed',
  single: 'one way',
  radial: 'outwards',
  random: 'every way',
} as const;

/** How it is laid, by school, and the steps that follow: they are ticked off at the bench. */
export const LayUp = (props: {
  readonly context: PieceContext;
  readonly form: FormPlan;
  readonly way: Way;
  readonly layers: number;
}) => {
  const { context, form, layers, way } = props;
  const how = layMethodOf(form, way);
  const { build, faces } = how;
  const { laying, habits } = context.piece;
  const put = (of: (was: typeof laying) => Partial<typeof laying>): void =>
    context.change(p => ({ ...p, laying: { ...p.laying, ...of(p.laying) } }), { label: 'how it is laid' });
  const steps = laySteps({ ...how, layers, ...laying, habits });
  return (
    <div className="mb-4 flex flex-col gap-2">
      {faces > 1 && build === 'turned' && (
        <div>
          <p className="text-[13px] text-chalk">Before you turn it over</p>
          <Choice
            label="Before you turn it over"
            value={laying.order}
            options={LAY_ORDERS.map(value => ({ value, text: ORDER_WORDS[value] }))}
            onChoose={order => put(() => ({ order }))}
          />
        </div>
      )}
      {!form.solid && (
        <div>
          <p className="text-[13px] text-chalk">Fibre direction</p>
          <Choice
            label="Fibre direction"
            value={laying.fibres}
            options={FIBRE_LAYS.map(value => ({ value, text: FIBRE_WORDS[value] }))}
            onChoose={fibres => put(() => ({ fibres }))}
          />
        </div>
      )}
      {!form.solid && (
        <Decorations
          decorations={laying.decorations}
          faces={faces}
          units={context.settings.units}
          onChange={now => put(was => ({ decorations: now(was.decorations) }))}
        />
      )}
      <HabitChoices
        ids={way.habits}
        habits={habits}
        size="dry"
        onHabits={(next, label) => context.change(p => ({ ...p, habits: next }), { label })}
      />
      <details>
        <summary className="cursor-pointer py-1">{steps.length} steps of laying, in order</summary>
        <ol className="list-decimal pl-7 text-sm">
          {steps.map(s => (
            <li key={s.id}>{layWords(s, { ...how, layers, habits })}</li>
          ))}
        </ol>
      </details>
    </div>
  );
};
