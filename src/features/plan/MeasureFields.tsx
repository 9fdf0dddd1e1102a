import type { Plan } from '../../core/plan/makePlan';
import { setPlaces } from '../../core/plan/setLink';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';
import type { Grip, Scene } from '../../drawing/scene';
import type { PieceContext } from '../../session/pieceContext';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import type { Hanger } from '../../ui/table/hangers';
import { MeasureField } from './MeasureField';

const MOST_ON_DRAWING = 6;

/** Measures hang off the drawing where there is room; else they stand in the list. */
const hangsOff = (plan: Plan): boolean =>
  plan.kind.places === undefined && new Set(plan.form.handles.map(h => h.measure)).size <= MOST_ON_DRAWING;

/** Girths and widths hang on the side they are held at, lengths on the other. */
const sideOf = (grip: Grip, girthsAt: 'left' | 'right'): Hanger['side'] => {
  const isLength = Math.abs(grip.towards.y) > 0.5;
  if (!isLength) return girthsAt;
  return girthsAt === 'right' ? 'left' : 'right';
};

/** The measures as figures at their handles. A measure with two handles is written once. */
export const measureHangers = (context: PieceContext, plan: Plan, scene: Scene): Hanger[] => {
  if (!hangsOff(plan)) return [];
  const seen = new Set<string>();
  const specs = plan.kind.specs(plan.measures);
  const girthsAt = scene.grips.some(g => plan.measures[g.target] !== undefined && g.towards.x < -0.5)
    ? 'left'
    : 'right';
  return scene.grips.flatMap((grip): Hanger[] => {
    const spec = specs.find(s => s.id === grip.target);
    if (!spec || seen.has(grip.target)) return [];
    seen.add(grip.target);
    return [
      {
        id: grip.target,
        at: grip.at,
        side: sideOf(grip, girthsAt),
        node: <MeasureField context={context} plan={plan} spec={spec} onDrawing />,
      },
    ];
  });
};

/** For a form with a list of places: one more at the mouth, or one fewer. */
const Places = ({ context, plan }: { readonly context: PieceContext; readonly plan: Plan }) => {
  const change = (how: 'more' | 'fewer'): void =>
    context.changePlan(p => setPlaces(p, how) ?? p, {
      label: how === 'more' ? 'add a place' : 'remove a place',
    });
  return plan.kind.places ? (
    <div className="mt-2 flex gap-2">
      <Button onClick={() => change('more')}>Add a place</Button>
      <Button onClick={() => change('fewer')} disabled={plan.kind.places.fewer(plan.measures) === null}>
        Remove the last
      </Button>
    </div>
  ) : null;
};

/** Measures that have no handle on the drawing, or all of them when they do not fit there. */
export const MeasureList = ({
  context,
  plan,
  hung,
}: {
  readonly context: PieceContext;
  readonly plan: Plan;
  /** Those that hang off the drawing already. */
  readonly hung: ReadonlySet<string>;
}) => {
  const listed = plan.kind
    .specs(plan.measures)
    // A measure by a table of sizes stands here too: there is no room for the table on the drawing.
    .filter(s => !hung.has(s.id) || s.table !== undefined);
  return listed.length === 0 ? null : (
    <section aria-labelledby="measures-title" className="mb-4">
      <h2 id="measures-title" className="mb-1 text-lg font-semibold">
        Finished measures
      </h2>
      <div className={plan.kind.places ? 'grid w-fit grid-cols-2 gap-x-8' : 'flex flex-wrap gap-x-5 gap-y-3'}>
        {listed.map(spec => (
          <MeasureField key={spec.id} context={context} plan={plan} spec={spec} />
        ))}
      </div>
      <Places context={context} plan={plan} />
    </section>
  );
};

/** A length of the laying, such as the fold-over, that belongs to the plan and not to the form. */
export const LayingField = (props: {
  readonly context: PieceContext;
  readonly link: 'foldOverMm' | 'resistMm';
  readonly label: string;
  readonly units: UnitSystem;
}) => {
  const { context, link, units } = props;
  const value = context.piece.plan[link];
  const dimension = link === 'resistMm' ? 'thickness' : 'length';
  const put = (v: number): void =>
    context.changePlan(p => ({ ...p, [link]: v }), { label: props.label, key: link });
  return (
    <NumberField
      className="w-32"
      label={props.label}
      shown={showFigure(value, dimension, { units: units })}
      unit={homeUnit(dimension, units)}
      read={reader(dimension, units, { min: 0, max: link === 'resistMm' ? 90 : 200 })}
      onValue={put}
    />
  );
};
