import type { Plan } from '../../core/plan/makePlan';
import { setMeasure, setPlaces } from '../../core/plan/setLink';
import { MM_PER_INCH } from '../../core/units/constants';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';
import type { Grip, Scene } from '../../drawing/scene';
import type { PieceStage } from '../../session/pieceStage';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import type { Hanger } from '../../ui/table/hangers';

interface FieldProps {
  readonly stage: PieceStage;
  readonly plan: Plan;
  readonly id: string;
  readonly onDrawing?: boolean;
}

/** One finished measure of the form. */
const MeasureField = ({ stage, plan, id, onDrawing }: FieldProps) => {
  const { units } = stage.settings;
  const spec = plan.kind.specs(plan.measures).find(s => s.id === id);
  const value = plan.measures[id];
  if (!spec || value === undefined) return null;
  const put = (v: number): void =>
    stage.changePlan(p => setMeasure(p, id, v), { label: spec.label, key: `m.${id}` });
  const step = units === 'metric' ? 5 : MM_PER_INCH / 4;
  return (
    <NumberField
      className={onDrawing ? 'w-[7.4rem] rounded-bench bg-soap/85 px-1' : 'w-28'}
      label={spec.label}
      strong={onDrawing ?? false}
      shown={showFigure(value, 'length', { units: units })}
      unit={homeUnit('length', units)}
      read={reader('length', units, spec)}
      onStep={n => put(Math.min(spec.max, Math.max(spec.min, (Math.round(value / step) + n) * step)))}
      onValue={put}
    />
  );
};

const MOST_ON_DRAWING = 6;

/** Measures hang off the drawing where there is room; else they stand in the list. */
export const hangsOff = (plan: Plan): boolean => plan.kind.specs(plan.measures).length <= MOST_ON_DRAWING;

/** Girths and widths hang on the side they are held at, lengths on the other. */
const sideOf = (grip: Grip, girthsAt: 'left' | 'right'): Hanger['side'] => {
  const isLength = Math.abs(grip.towards.y) > 0.5;
  if (!isLength) return girthsAt;
  return girthsAt === 'right' ? 'left' : 'right';
};

/** The measures as figures at their handles. A measure with two handles is written once. */
export const measureHangers = (stage: PieceStage, plan: Plan, scene: Scene): Hanger[] => {
  const seen = new Set<string>();
  const girthsAt = scene.grips.some(g => plan.measures[g.target] !== undefined && g.towards.x < -0.5)
    ? 'left'
    : 'right';
  const hangers = scene.grips.flatMap((grip): Hanger[] => {
    if (seen.has(grip.target) || plan.measures[grip.target] === undefined) return [];
    seen.add(grip.target);
    return [
      {
        id: grip.target,
        at: grip.at,
        side: sideOf(grip, girthsAt),
        node: <MeasureField stage={stage} plan={plan} id={grip.target} onDrawing />,
      },
    ];
  });
  return hangers;
};

/** For a form with a list of places: one more at the mouth, or one fewer. */
const Places = ({ stage, plan }: { readonly stage: PieceStage; readonly plan: Plan }) => {
  const change = (how: 'more' | 'fewer'): void =>
    stage.changePlan(p => setPlaces(p, how) ?? p, {
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
  stage,
  plan,
  ids,
}: {
  readonly stage: PieceStage;
  readonly plan: Plan;
  readonly ids: readonly string[];
}) =>
  ids.length === 0 ? null : (
    <section aria-labelledby="measures-title" className="mb-4">
      <h2 id="measures-title" className="text-lg font-semibold">
        Finished measures
      </h2>
      <div className={plan.kind.places ? 'grid w-fit grid-cols-2 gap-x-8' : 'flex flex-wrap gap-x-5 gap-y-2'}>
        {ids.map(id => (
          <MeasureField key={id} stage={stage} plan={plan} id={id} />
        ))}
      </div>
      <Places stage={stage} plan={plan} />
    </section>
  );

/** A length of the laying, such as the fold-over, that belongs to the plan and not to the form. */
export const LayingField = (props: {
  readonly stage: PieceStage;
  readonly link: 'foldOverMm' | 'resistMm';
  readonly label: string;
  readonly units: UnitSystem;
}) => {
  const { stage, link, units } = props;
  const value = stage.piece.plan[link];
  const dimension = link === 'resistMm' ? 'thickness' : 'length';
  const put = (v: number): void =>
    stage.changePlan(p => ({ ...p, [link]: v }), { label: props.label, key: link });
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
