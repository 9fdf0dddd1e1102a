import type { Recipe } from '../../core/recipe/recipe';
import { schoolsOf } from '../../core/recipe/schools';
import { recipeStepWords } from '../../core/recipe/recipeSteps';
import { pieceKind } from '../../records/piece';
import { newRecipe, recipeOf } from '../../records/recipe';
import { useNotify } from '../../session/notices';
import type { PieceContext } from '../../session/pieceContext';
import { useAddRecipe, useChangeRecipe, useDeleteRecipe } from '../../session/useChanges';
import { useRecipes } from '../../session/useRecords';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import type { BenchStatus } from './useBenchStatus';
import { WayChoice } from './WayChoice';
import type { Plan } from '../../core/plan/makePlan';
import { PanelFrame } from './PanelFrame';
import { RecipeEditor } from './RecipeEditor';

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
  const { cache, chance, nowIso } = useWorkshop();
  // Those of this way, those that say none, and the one that is followed.
  const ownHere = recipes.filter(r => r.way === null || r.way === standing.way.id || r.id === recipe?.id);
  const ownElsewhere = recipes.filter(r => !ownHere.includes(r));
  const isOwn = recipes.some(r => r.id === recipe?.id);
  const follow = (next: Recipe | null, label: string): void =>
    context.change(p => ({ ...p, recipe: next }), { label, key: label });
  const edit = (next: (was: Recipe) => Recipe): void =>
    context.change(p => (p.recipe ? { ...p, recipe: next(p.recipe) } : p), {
      label: 'steps of the recipe',
      key: 'steps of the recipe',
    });
  const keep = (): void => {
    // As it stands by now: what was just typed may not be drawn yet.
    const now = cache.shown(pieceKind, context.piece.id)?.recipe ?? recipe;
    if (!now) return;
    const told = (): void => tell({ text: `“${now.name}” is saved with your recipes.` });
    if (isOwn) {
      const { name, steps } = now;
      change(now.id, r => ({ ...r, name, steps: [...steps] }), { label: `recipe ${name}` });
      return told();
    }
    const own = newRecipe({ ...now, id: chance.newId() }, standing.way.id, nowIso());
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
          <RecipeEditor recipe={recipe} units={context.settings.units} onChange={edit} />
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
