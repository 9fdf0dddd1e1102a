import { CUSHIONS, WATERS } from '../../core/acts/vocabulary';
import { moveStep, type Recipe } from '../../core/recipe/recipe';
import { schoolsOf } from '../../core/recipe/schools';
import { freshStep, RECIPE_STEPS, recipeStepWords } from '../../core/recipe/recipeSteps';
import type { RecipeStep } from '../../core/acts/recipeStep';
import { newRecipe, recipeOf } from '../../records/recipe';
import { useNotify } from '../../session/notices';
import type { PieceContext } from '../../session/pieceContext';
import { useAddRecipe, useChangeRecipe, useDeleteRecipe } from '../../session/useChanges';
import { useRecipes } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import type { BenchStatus } from './useBenchStatus';
import { WayChoice } from './WayChoice';
import type { Plan } from '../../core/plan/makePlan';
import { PanelFrame } from './PanelFrame';
import { CUSHION_WORDS } from '../../core/acts/cushionWords';

const StepRow = (props: {
  readonly step: RecipeStep;
  readonly at: number;
  readonly units: PieceContext['settings']['units'];
  readonly onChange: (step: RecipeStep) => void;
  readonly onMove: (by: number) => void;
  readonly onRemove: () => void;
}) => {
  const { step, at, units } = props;
  const { count: _count, minutes: _minutes, ...bare } = step;
  const takes = RECIPE_STEPS.get(step.act)?.takes ?? [];
  return (
    <li className="flex flex-wrap items-end gap-2 border-b border-rim py-1">
      <span className="w-6 text-right text-chalk">{at + 1}</span>
      <Select
        className="w-44"
        hideLabel
        label={`Step ${at + 1}`}
        value={step.act}
        options={[...RECIPE_STEPS].map(([value, { name }]) => ({ value, text: name }))}
        onPick={act => props.onChange(freshStep(step.id, act))}
      />
      {takes.includes('count') && (
        <NumberField
          className="w-20"
          hideLabel
          label={`How often, step ${at + 1}`}
          unit="×"
          shown={step.count === undefined ? '' : String(step.count)}
          read={reader('count', units, { min: 1, max: 10_000 })}
          onValue={count => props.onChange({ ...step, count: Math.round(count) })}
          onEmpty={() => props.onChange(step.minutes ? { ...bare, minutes: step.minutes } : bare)}
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
          onValue={minutes => props.onChange({ ...step, minutes })}
          onEmpty={() => props.onChange(step.count ? { ...bare, count: step.count } : bare)}
        />
      )}
      {takes.includes('cushion') && (
        <Select
          hideLabel
          label={`Cushion, step ${at + 1}`}
          value={step.cushion ?? 'bubble'}
          options={CUSHIONS.map(value => ({ value, text: CUSHION_WORDS[value] }))}
          onPick={cushion => props.onChange({ ...step, cushion })}
        />
      )}
      {takes.includes('water') && (
        <Select
          hideLabel
          label={`Water, step ${at + 1}`}
          value={step.water ?? 'hot'}
          options={WATERS.map(value => ({ value, text: value }))}
          onPick={water => props.onChange({ ...step, water })}
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

const Editor = (props: {
  readonly recipe: Recipe;
  readonly context: PieceContext;
  readonly onChange: (recipe: Recipe) => void;
}) => {
  const { recipe, context, onChange } = props;
  const { chance } = useWorkshop();
  const { steps } = recipe;
  const put = (next: readonly RecipeStep[]): void => onChange({ ...recipe, steps: next });
  return (
    <>
      <TextField
        label="Name of the recipe"
        value={recipe.name}
        required
        onText={name => onChange({ ...recipe, name: name.slice(0, 200) })}
      />
      <ol>
        {steps.map((step, i) => (
          <StepRow
            key={step.id}
            step={step}
            at={i}
            units={context.settings.units}
            onChange={changed => put(steps.map((s, k) => (k === i ? changed : s)))}
            onMove={by => put(moveStep(steps, i, by))}
            onRemove={() => put(steps.filter((_, k) => k !== i))}
          />
        ))}
      </ol>
      <Button className="self-start" onClick={() => put([...steps, freshStep(chance.newId(), 'look')])}>
        Add a step
      </Button>
    </>
  );
};

const Offers = (props: {
  readonly recipes: readonly Recipe[];
  readonly followed: string | null;
  readonly onPick: (recipe: Recipe) => void;
}) =>
  props.recipes.map(r => (
    <Button
      key={r.id}
      size="wet"
      aria-pressed={props.followed === r.id}
      look={props.followed === r.id ? 'main' : 'plain'}
      className="!flex-col !gap-0"
      onClick={() => props.onPick(r)}
    >
      {r.name}
      <span className="text-base font-normal opacity-75">{r.steps.length} steps</span>
    </Button>
  ));

/** Which recipe is followed: a school to start from, one of the maker’s own, or none; and its steps, to be changed and kept. */
export const RecipePanel = (props: {
  readonly context: PieceContext;
  readonly plan: Plan;
  readonly standing: BenchStatus;
  readonly onCancel: () => void;
}) => {
  const { context, plan, standing } = props;
  const faces = standing.faces.length;
  const { recipe } = context.piece;
  const recipes = useRecipes();
  const change = useChangeRecipe();
  const deleteRecipe = useDeleteRecipe();
  const add = useAddRecipe();
  const { tell, failed } = useNotify();
  const { chance, nowIso } = useWorkshop();
  // Those of this way, those that say none, and the one that is followed.
  const ownHere = recipes.filter(r => r.way === null || r.way === standing.way.id || r.id === recipe?.id);
  const ownElsewhere = recipes.filter(r => !ownHere.includes(r));
  const isOwn = recipes.some(r => r.id === recipe?.id);
  const follow = (next: Recipe | null, label: string): void =>
    context.change(p => ({ ...p, recipe: next }), { label, key: label });
  const keep = (): void => {
    if (!recipe) return;
    const told = (): void => tell({ text: `“${recipe.name}” is saved with your recipes.` });
    if (isOwn) {
      const { name, steps } = recipe;
      change(recipe.id, r => ({ ...r, name, steps: [...steps] }), { label: `recipe ${name}` });
      return told();
    }
    const own = newRecipe({ ...recipe, id: chance.newId() }, standing.way.id, nowIso());
    add(own).then(() => {
      follow(recipeOf(own), 'recipe');
      told();
    }, failed);
  };
  const forget = (): void => {
    const own = recipes.find(r => r.id === recipe?.id);
    if (own) deleteRecipe(own, `delete ${own.name}`);
  };
  return (
    <PanelFrame
      title={recipe ? recipe.name : 'How do you work it?'}
      label="Recipe to follow"
      onCancel={props.onCancel}
      back="Back"
    >
      <WayChoice context={context} plan={plan} way={standing.way} />
      <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
        <Offers
          recipes={[...ownHere, ...schoolsOf(standing.way.id)].map(recipeOf)}
          followed={recipe?.id ?? null}
          onPick={r => follow(r, 'recipe')}
        />
        {recipe && (
          <Button size="wet" onClick={() => follow(null, 'no recipe')}>
            No recipe, just the advice
          </Button>
        )}
      </div>
      {ownElsewhere.length > 0 && (
        <details>
          <summary className="min-h-12 cursor-pointer py-2 text-lg">
            Your recipes for other ways of working
          </summary>
          <div className="grid grid-cols-1 gap-2 sm:grid-cols-2">
            <Offers recipes={ownElsewhere.map(recipeOf)} followed={null} onPick={r => follow(r, 'recipe')} />
          </div>
        </details>
      )}
      {recipe && (
        <details>
          <summary className="min-h-12 cursor-pointer py-2 text-lg">Change its steps</summary>
          <Editor recipe={recipe} context={context} onChange={next => follow(next, 'steps of the recipe')} />
          <div className="mt-3 flex gap-2">
            <Button onClick={keep}>Save to my recipes</Button>
            {isOwn && (
              <Button look="bare" onClick={forget}>
                Remove from my recipes
              </Button>
            )}
          </div>
        </details>
      )}
      {recipe && (
        <ol className="list-decimal pl-8 text-lg">
          {recipe.steps.map(s => (
            <li key={s.id}>{recipeStepWords(s, faces)}</li>
          ))}
        </ol>
      )}
      <p className="text-[13px] text-chalk">
        These recipes are common practice. You can depart from them at any time.
      </p>
    </PanelFrame>
  );
};
