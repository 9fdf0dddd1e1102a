import { startTransition, useMemo, useState } from 'react';
import { issueText } from '../../words/issues';
import { originOf } from '../../core/plan/explain';
import { makePlan, type Plan } from '../../core/plan/makePlan';
import { draggedFineness, standInPlan } from '../../core/plan/whileEditing';
import type { PlanInput } from '../../core/plan/planInput';
import type { Turned } from '../../core/forms/formKind';
import { pieceScene, type Role } from '../../drawing/scene';
import { type PieceContext, usePieceContext } from '../../session/pieceContext';
import { afterwards } from '../../ui/afterwards';
import { calmly } from '../../ui/calmly';
import { ViewLayout } from '../../ui/ViewLayout';
import { CalmLegend } from '../../ui/table/Legend';
import { Table } from '../../ui/table/Table';
import { Turning } from '../../ui/table/Turning';
import { UNDYED } from '../../core/wool/undyed';
import { useRoomy } from '../../ui/useRoomy';
import { Making, Measures, type Shown, Told, useBeside } from './Beside';
import { gripControls } from './controls';
import { Facts } from './Facts';
import { measureHangers } from './MeasureFields';
import { useNeighbour } from './useNeighbour';
import { useOutline } from './useOutline';

/** While a grip is dragged the plan is drafted here (session); it is kept when the finger lifts. */
const useDraft = (context: PieceContext) => {
  const [draft, setDraft] = useState<{ base: PlanInput; plan: PlanInput } | null>(null);
  const live = draft && draft.base === context.piece.plan ? draft.plan : null;
  const planned = useMemo(
    () =>
      live
        ? makePlan(live, context.plan.ok ? { finenessMm: draggedFineness(context.plan.value) } : {})
        : context.plan,
    [live, context],
  );
  const set = (change: (plan: PlanInput) => PlanInput, done: boolean, label: string): void => {
    const base = context.piece.plan;
    // Drawn between two moves of the finger, which do not wait for it.
    if (!done) return void afterwards(() => startTransition(() => setDraft({ base, plan: change(base) })));
    context.changePlan(change, { label });
    // After the change has come, which is worked out in two goes: what stood before it was dragged is not seen again.
    afterwards(() => afterwards(() => startTransition(() => setDraft(null))));
  };
  const shown: PieceContext = useMemo(
    () => (live ? { ...context, piece: { ...context.piece, plan: live } } : context),
    [context, live],
  );
  return { planned, set, drop: () => setDraft(null), shown, isDragged: live !== null };
};

const woolFill = (role: Role): string | undefined =>
  role === 'wool' ? 'color-mix(in srgb, var(--soap) 55%, transparent)' : undefined;

const TURNED_PX = 150;

/** The finished form beside its resist, shaded, to be turned. */
const FinishedForm = ({ turned, colour }: { readonly turned: Turned; readonly colour: string }) => (
  <figure className="absolute bottom-6 left-9 flex flex-col items-center">
    <Turning turned={turned} colour={colour} sizePx={TURNED_PX} label="Finished form: turn it" />
    <figcaption className="text-[13px] text-chalk">finished, drag to turn</figcaption>
  </figure>
);

/** While points are edited the other handles are put away. */
const noGrips = (): null => null;

/** On an upright tablet the measures stand beside the chain. Each part has a place of its own: one that moves down is not painted anew. */
const TWO_COLUMNS = '[&>*]:[translate:0] md:max-lg:flex md:max-lg:flex-wrap md:max-lg:gap-x-10';

// What follows is drawn after the figure that was typed.
const CalmFacts = calmly(Facts);
const CalmForm = calmly(FinishedForm);

const Drawn = ({
  context,
  plan,
  isCurrent,
  set,
  drop,
  isDragged,
}: Shown & {
  /** False while what was decided cannot be planned: then the last plan that could is drawn. */
  readonly isCurrent: boolean;
  readonly set: ReturnType<typeof useDraft>['set'];
  readonly drop: () => void;
  readonly isDragged: boolean;
}) => {
  const { units } = context.settings;
  const beside = useBeside(context, { plan, isDragged });
  const input = context.piece.plan;
  const [face, setFace] = useState(0);
  const laidIsHeld = originOf(input, plan, 'size') === 'follows';
  const scene = useMemo(
    () => pieceScene(plan.form, { foldOverMm: input.foldOverMm, face, laidIsHeld }),
    [plan.form, input.foldOverMm, face, laidIsHeld],
  );
  const roomy = useRoomy('md');
  const hangers = roomy ? measureHangers(context, plan, scene) : [];
  const hung = hangers.map(h => h.id).join(' ');
  const outline = useOutline({ context, plan, isCurrent, set, drop });
  return (
    <ViewLayout
      label="Plan"
      table={
        <>
          <Table
            scene={scene}
            units={units}
            label={`${context.piece.name} on the table`}
            controlOf={
              outline.editing
                ? noGrips
                : gripControls({ input, plan, units, snap: context.settings.snap, set })
            }
            hangers={outline.editing ? [] : hangers}
            fillOf={woolFill}
            {...(outline.nodes ? { over: outline.nodes } : {})}
          />
          <CalmLegend scene={scene} />
          {plan.form.turned && roomy && (
            <CalmForm turned={plan.form.turned} colour={context.wool?.colour ?? UNDYED} />
          )}
        </>
      }
      instruments={
        <div className={TWO_COLUMNS}>
          <Told {...beside} />
          {outline.tools}
          <Measures {...beside} hung={hung} />
          <Making {...beside} face={face} onFace={setFace} />
          <CalmFacts plan={beside.plan} units={units} />
        </div>
      }
    />
  );
};

/** Plan: what it must measure, and everything that follows. */
export const PlanView = () => {
  const context = usePieceContext();
  const { planned, shown, ...draft } = useDraft(context);
  useNeighbour(context.piece.plan);
  const [last, setLast] = useState<Plan | null>(null);
  if (planned.ok && planned.value !== last) setLast(planned.value);
  const plan = planned.ok ? planned.value : (last ?? standInPlan(context.piece.plan));
  return (
    <>
      {!planned.ok && (
        <div role="alert" className="border-b border-wanted bg-soap px-4 py-2">
          {planned.issues.map(i => (
            <p key={i.path}>{issueText(i)}</p>
          ))}
        </div>
      )}
      {plan && <Drawn context={shown} plan={plan} isCurrent={planned.ok} {...draft} />}
    </>
  );
};
