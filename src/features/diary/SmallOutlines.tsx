import type { FormPlan } from '../../core/forms/formKind';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';

const SIDE_PX = 110;

/** A measuring as a small drawing: as laid, as it was then, and as it is wanted. */
export const SmallOutlines = (props: {
  readonly form: FormPlan;
  readonly now: { readonly along: number; readonly across: number };
}) => {
  const { shapes, box } = pieceScene(props.form, { foldOverMm: 0, now: props.now });
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const scale = SIDE_PX / Math.max(width, height);
  return (
    <svg width={width * scale + 4} height={height * scale + 4} aria-hidden="true" className="shrink-0">
      <g transform={`translate(${2 - box.minX * scale} ${2 - box.minY * scale}) scale(${scale})`}>
        {shapes
          .filter(s => s.role === 'laid' || s.role === 'now' || s.role === 'wanted')
          .map((s, i) => (
            <path key={i} d={svgPathData(s.points, true, 1)} className={`line line-${s.role}`} />
          ))}
      </g>
    </svg>
  );
};
