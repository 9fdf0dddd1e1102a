import type { PlanInput } from '../../core/plan/planInput';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene, type Role } from '../../drawing/scene';
import { planOf } from '../../core/plan/planOf';
import { TurnedPicture } from '../../ui/table/Turning';
import { UNDYED } from '../../core/wool/undyed';

const BOX_PX = 150;
const LEFT_OUT: readonly Role[] = ['wool', 'hardest', 'mouth'];
/** Over openings the wanted size and the cuts would be a tangle. */
const GRID_LEFT_OUT: readonly Role[] = [...LEFT_OUT, 'wanted', 'cut'];

/** A form at a glance: the finished thing where it is round, else what is laid and what it becomes. */
export const FormPicture = ({ input }: { readonly input: PlanInput }) => {
  const plan = planOf(input);
  if (!plan.ok) return null;
  const { form } = plan.value;
  if (form.turned) return <TurnedPicture turned={form.turned} colour={UNDYED} sizePx={BOX_PX} />;
  const scene = pieceScene(form, { foldOverMm: 0 });
  const { minX, minY, maxX, maxY } = scene.box;
  const scale = (BOX_PX - 12) / Math.max(maxX - minX, maxY - minY);
  return (
    <svg width={BOX_PX} height={BOX_PX} aria-hidden="true">
      <g
        transform={`translate(${BOX_PX / 2 - ((minX + maxX) / 2) * scale} ${BOX_PX / 2 - ((minY + maxY) / 2) * scale}) scale(${scale})`}
      >
        {scene.shapes
          .filter(s => !(form.openings.length > 0 ? GRID_LEFT_OUT : LEFT_OUT).includes(s.role))
          .map((s, i) => (
            <path
              key={i}
              d={svgPathData(s.points, s.closed, 1)}
              className={`line line-${s.role}`}
              style={
                s.role === 'wanted' ? { fill: 'color-mix(in srgb, var(--soap) 60%, transparent)' } : undefined
              }
            />
          ))}
      </g>
    </svg>
  );
};
