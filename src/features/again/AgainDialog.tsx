import { useState } from 'react';
import type { PlanInput } from '../../core/plan/planInput';
import type { UnitSystem } from '../../core/units/units';
import type { Piece } from '../../records/piece';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { ChangedFields, changedPlan, type Wanted, wantedOf } from './ChangedFields';

/** Make a piece again, at another size, shrinkage or wool. */
export const AgainDialog = (props: {
  readonly piece: Piece;
  readonly units: UnitSystem;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly onMake: (plan: PlanInput, woolId: string | null) => void;
}) => {
  const { piece, units } = props;
  const [wanted, setWanted] = useState<Wanted>(() => wantedOf(piece.plan, piece.woolId));
  const recipe = changedPlan(piece.plan, wanted);
  return (
    <Dialog open={props.open} onOpenChange={props.onOpenChange} title="Make it again, changed">
      <div className="flex flex-col gap-4">
        <ChangedFields
          plan={piece.plan}
          wanted={wanted}
          units={units}
          onWanted={change => setWanted(was => ({ ...was, ...change }))}
        />
        <Button
          look="main"
          disabled={!recipe.ok}
          onClick={() => recipe.ok && props.onMake(recipe.value.input, wanted.woolId)}
        >
          Make it
        </Button>
      </div>
    </Dialog>
  );
};
