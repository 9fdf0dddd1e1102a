import type { Plan } from '../../core/plan/makePlan';
import type { Piece } from '../../records/piece';
import { useRecipeCard } from '../../session/useRecipeCard';
import { useSettings } from '../../session/useRecords';
import { Button } from '../../ui/Button';

/** A recipe card for each, to take home. */
export const Handouts = (props: { readonly piece: Piece; readonly plan: Plan; readonly people: number }) => {
  const { units } = useSettings();
  const { print } = useRecipeCard(props.piece, props.plan, units);
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => print('a5', props.people)}>
        Save {props.people} recipe {props.people === 1 ? 'card' : 'cards'} as PDF
      </Button>
    </div>
  );
};
