import type { RecipeStep } from '../../core/acts/recipeStep';
import { CUSHION_WORDS } from '../../core/acts/cushionWords';
import { CUSHIONS, WATERS } from '../../core/acts/vocabulary';
import { moveStep, type Recipe } from '../../core/recipe/recipe';
import { freshStep, RECIPE_STEPS } from '../../core/recipe/recipeSteps';
import type { Settings } from '../../records/settings';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';

const StepRow = (props: {
  readonly step: RecipeStep;
  readonly at: number;
  readonly units: Settings['units'];
  readonly onChange: (change: (step: RecipeStep) => RecipeStep) => void;
  readonly onMove: (by: number) => void;
  readonly onRemove: () => void;
}) => {
  const { step, at, units } = props;
  const takes = RECIPE_STEPS.get(step.act)?.takes ?? [];
  return (
    <li className="flex flex-wrap items-end gap-2 border-b border-rim py-1">
      <span className="w-6 pb-2 text-right text-chalk">{at + 1}</span>
      <Select
        className="w-44"
        hideLabel
        label={`Step ${at + 1}`}
        value={step.act}
        options={[...RECIPE_STEPS].map(([value, { name }]) => ({ value, text: name }))}
        onPick={act => props.onChange(({ id }) => freshStep(id, act))}
      />
      {takes.includes('count') && (
        <NumberField
          className="w-20"
          hideLabel
          label={`How often, step ${at + 1}`}
          unit="×"
          shown={step.count === undefined ? '' : String(step.count)}
          read={reader('count', units, { min: 1, max: 10_000 })}
          onValue={count => props.onChange(was => ({ ...was, count: Math.round(count) }))}
          onEmpty={() => props.onChange(({ count: _count, ...rest }) => rest)}
        />
      )}
      {takes.includes('minutes') && (
        <NumberField
          className="w-24"
          hideLabel
          label={`Minutes, step ${at + 1}`}
          unit="min"
          shown={step.minutes === undefined ? '' : String(step.minutes)}
          read={reader('count', units, { min: 1, max: 20_000 })}
          onValue={minutes => props.onChange(was => ({ ...was, minutes }))}
          onEmpty={() => props.onChange(({ minutes: _minutes, ...rest }) => rest)}
        />
      )}
      {takes.includes('cushion') && (
        <Select
          hideLabel
          label={`Cushion, step ${at + 1}`}
          value={step.cushion ?? 'bubble'}
          options={CUSHIONS.map(value => ({ value, text: CUSHION_WORDS[value] }))}
          onPick={cushion => props.onChange(was => ({ ...was, cushion }))}
        />
      )}
      {takes.includes('water') && (
        <Select
          hideLabel
          label={`Water, step ${at + 1}`}
          value={step.water ?? 'hot'}
          options={WATERS.map(value => ({ value, text: value }))}
          onPick={water => props.onChange(was => ({ ...was, water }))}
        />
      )}
      <span className="ml-auto flex">
        <Button look="bare" aria-label={`Step ${at + 1} earlier`} onClick={() => props.onMove(-1)}>
          ↑
        </Button>
        <Button look="bare" aria-label={`Step ${at + 1} later`} onClick={() => props.onMove(1)}>
          ↓
        </Button>
        <Button look="bare" aria-label={`Remove step ${at + 1}`} onClick={props.onRemove}>
          Remove
        </Button>
      </span>
    </li>
  );
};

/** A recipe's name and steps. What is changed is the recipe as it stands by then: two changes may come quicker than they are drawn. */
export const RecipeEditor = (props: {
  readonly recipe: Recipe;
  readonly units: Settings['units'];
  readonly onChange: (change: (recipe: Recipe) => Recipe) => void;
}) => {
  const { recipe, units, onChange } = props;
  const { chance } = useWorkshop();
  const put = (change: (steps: readonly RecipeStep[]) => readonly RecipeStep[]): void =>
    onChange(was => ({ ...was, steps: change(was.steps) }));
  return (
    <>
      <TextField
        label="Name of the recipe"
        value={recipe.name}
        required
        onText={name => onChange(was => ({ ...was, name: name.slice(0, 200) }))}
      />
      <ol className="mt-2">
        {recipe.steps.map((step, i) => (
          <StepRow
            key={step.id}
            step={step}
            at={i}
            units={units}
            onChange={change => put(steps => steps.map(s => (s.id === step.id ? change(s) : s)))}
            onMove={by =>
              put(steps =>
                moveStep(
                  steps,
                  steps.findIndex(s => s.id === step.id),
                  by,
                ),
              )
            }
            onRemove={() => put(steps => steps.filter(s => s.id !== step.id))}
          />
        ))}
      </ol>
      <Button
        className="self-start"
        onClick={() => put(steps => [...steps, freshStep(chance.newId(), 'look')])}
      >
        Add a step
      </Button>
    </>
  );
};
