import { type ReactNode, useState } from 'react';
import { drawnOnPiece } from '../../core/forms/drawnForm';
import { issueText } from '../../words/issues';
import { cleanOutline } from '../../core/outline/cleanOutline';
import { selfCrossing } from '../../core/outline/crossing';
import { curvedOutline } from '../../core/outline/curve';
import type { DrawnOutline } from '../../core/outline/drawn';
import type { Plan } from '../../core/plan/makePlan';
import type { PlanInput } from '../../core/plan/planInput';
import { setOutline } from '../../core/plan/setLink';
import { useNotify } from '../../session/notices';
import type { PieceContext } from '../../session/pieceContext';
import type { View } from '../../ui/table/view';
import { snapStep } from './controls';
import { OutlineNodes } from './OutlineNodes';
import { OutlineTools } from './OutlineTools';

/** What editing a drawn outline adds to the plan: points over the drawing, tools beside it. */
export interface OutlineEditing {
  readonly editing: boolean;
  readonly nodes: ((view: View, hold: (held: boolean) => void) => ReactNode) | null;
  readonly tools: ReactNode;
}

/** Editing the outline of a form that is drawn; nothing for one that is not. */
export const useOutline = (of: {
  readonly context: PieceContext;
  readonly plan: Plan;
  /** False while the outline as it is drawn cannot be planned. */
  readonly isCurrent: boolean;
  readonly set: (change: (plan: PlanInput) => PlanInput, done: boolean, label: string) => void;
  /** Lets go of what is only being dragged. */
  readonly drop: () => void;
}): OutlineEditing => {
  const { context, plan, isCurrent, set, drop } = of;
  const { tell } = useNotify();
  const [editing, setEditing] = useState(false);
  const [picked, setPicked] = useState(0);
  const given = context.piece.plan.form.outline ?? plan.kind.outline;
  if (!plan.kind.outline || !given) return { editing: false, nodes: null, tools: null };
  const measures = isCurrent ? plan.measures : context.piece.plan.form.measures;
  const drawn = drawnOnPiece(measures, given);
  const crossing = isCurrent ? null : selfCrossing(curvedOutline(drawn).points);
  /** An outline that encloses nothing or crosses itself is shown while it is dragged, and not kept. */
  const keep = (next: DrawnOutline, label: string): void => {
    const clean = cleanOutline(curvedOutline(next).points, '');
    if (clean.ok) return set(p => setOutline(p, next), true, label);
    drop();
    tell({ text: `${clean.issues.map(issueText).join(' ')} The outline is unchanged.` });
  };
  const { units, snap } = context.settings;
  const chosen = Math.min(picked, drawn.points.length - 1);
  return {
    editing,
    nodes: editing
      ? (view, hold) => (
          <OutlineNodes
            drawn={drawn}
            view={view}
            chosen={chosen}
            stepMm={snapStep({ units, snap, value: plan.measures['length'] ?? 100 })}
            units={units}
            onChoose={setPicked}
            onHold={hold}
            crossing={crossing}
            onChange={(next, done) =>
              done ? keep(next, 'move a point') : set(p => setOutline(p, next), false, 'move a point')
            }
          />
        )
      : null,
    tools: (
      <OutlineTools
        drawn={drawn}
        chosen={chosen}
        units={units}
        isHollow={plan.kind.faces > 1}
        editing={editing}
        onEditing={setEditing}
        onChoose={setPicked}
        onChange={keep}
      />
    ),
  };
};
