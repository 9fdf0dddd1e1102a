import type { FormPlan } from '../../core/forms/formKind';
import type { LineRead, PhotoReading } from '../../core/photo/photoAsked';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { turnFor } from '../../drawing/orient';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';
import { Button } from '../../ui/Button';

/** Its rim as it was seen, between what was laid and what is wanted. */
const OnTable = ({ form, reading }: { readonly form: FormPlan; readonly reading: PhotoReading }) => {
  const scene = pieceScene(form, { foldOverMm: 0 });
  const turn = turnFor(form.alongOnTable);
  const { minX, minY, maxX, maxY } = scene.box;
  const around = 0.04 * Math.max(maxX - minX, maxY - minY);
  const box = `${minX - around} ${minY - around} ${maxX - minX + 2 * around} ${maxY - minY + 2 * around}`;
  return (
    <svg
      viewBox={box}
      className="h-56 max-w-full"
      role="img"
      aria-label="Its edge now, between the laid and the target outline"
    >
      {scene.shapes
        .filter(s => s.role === 'laid' || s.role === 'wanted')
        .map((s, i) => (
          <path key={i} d={svgPathData(s.points, s.closed, 1)} className={`line line-${s.role}`} />
        ))}
      <path d={svgPathData(reading.onPlan.map(turn), true, 1)} className="line line-now" />
    </svg>
  );
};

/** What a picture says: each line with its length and its range, and the edge on the table. */
export const PhotoResult = (props: {
  readonly form: FormPlan;
  readonly units: UnitSystem;
  readonly reading: PhotoReading;
  readonly lines: readonly LineRead[];
  /** Lines whose ends were moved. */
  readonly byHand: ReadonlySet<string>;
  /** Shows the lines turned another way; null where that changes nothing. */
  readonly onTurn: (() => void) | null;
}) => {
  const { form, units, reading, lines, byHand, onTurn } = props;
  return (
    <>
      <div role="status">
        <ul className="text-3xl">
          {lines.map(l => (
            <li key={l.id}>
              <b>{l.id}</b> {showQuantity(l.mm, 'length', units)}
              <span className="text-lg text-chalk">
                {' '}
                ± {showQuantity(l.within, 'length', units)}
                {byHand.has(l.id) && ', by hand'}
              </span>
            </li>
          ))}
        </ul>
      </div>
      {reading.isMirrored && <p className="text-lg">It is seen from its other side.</p>}
      {onTurn && (
        <div className="my-2">
          <p className="text-lg">
            It looks alike turned another way. See that {lines[0]?.id} lies as it does on the piece.
          </p>
          <Button size="wet" onClick={onTurn}>
            Turn the lines
          </Button>
        </div>
      )}
      <OnTable form={form} reading={reading} />
    </>
  );
};
