import { memo } from 'react';
import type { Turned } from '../../core/forms/formKind';
import type { PlanInput } from '../../core/plan/planInput';
import { planOf } from '../../core/plan/planOf';
import { UNDYED } from '../../core/wool/undyed';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene, type Role } from '../../drawing/scene';
import { TurnedPicture } from '../../ui/table/Turning';
import { useInTurn } from '../../ui/useInTurn';

const BOX_PX = 150;
const LEFT_OUT: readonly Role[] = ['wool', 'hardest', 'mouth'];
/** Over openings the wanted size and the cuts would be a tangle. */
const GRID_LEFT_OUT: readonly Role[] = [...LEFT_OUT, 'wanted', 'cut'];

interface Sketch {
  readonly transform: string;
  readonly lines: ReadonlyArray<{ readonly role: Role; readonly path: string }>;
}
type Picture = { readonly turned: Turned } | { readonly sketch: Sketch } | null;

/** What is drawn of a plan: the finished thing where it is round, else what is laid and what it becomes. */
const pictureOf = (input: PlanInput): Picture => {
  const plan = planOf(input);
  if (!plan.ok) return null;
  const { form } = plan.value;
  if (form.turned) return { turned: form.turned };
  const scene = pieceScene(form, { foldOverMm: 0 });
  const { minX, minY, maxX, maxY } = scene.box;
  const scale = (BOX_PX - 12) / Math.max(maxX - minX, maxY - minY);
  const leftOut = form.openings.length > 0 ? GRID_LEFT_OUT : LEFT_OUT;
  return {
    sketch: {
      transform: `translate(${BOX_PX / 2 - ((minX + maxX) / 2) * scale} ${BOX_PX / 2 - ((minY + maxY) / 2) * scale}) scale(${scale})`,
      lines: scene.shapes
        .filter(s => !leftOut.includes(s.role))
        .map(s => ({ role: s.role, path: svgPathData(s.points, s.closed, 1) })),
    },
  };
};

const Picture = ({ input }: { readonly input: PlanInput }) => {
  const picture = useInTurn(input, pictureOf);
  if (!picture) return null;
  if ('turned' in picture) return <TurnedPicture turned={picture.turned} colour={UNDYED} sizePx={BOX_PX} />;
  return (
    <svg width={BOX_PX} height={BOX_PX} aria-hidden="true">
      <g transform={picture.sketch.transform}>
        {picture.sketch.lines.map(({ role, path }, i) => (
          <path
            key={i}
            d={path}
            className={`line line-${role}`}
            style={
              role === 'wanted' ? { fill: 'color-mix(in srgb, var(--soap) 60%, transparent)' } : undefined
            }
          />
        ))}
      </g>
    </svg>
  );
};

/**
 * A form at a glance. Forty of them are made one after the other: the page answers between two. A finger never lands on the picture itself: it may
 * come between its touching down and its lifting.
 */
export const FormPicture = memo(({ input }: { readonly input: PlanInput }) => (
  <div className="pointer-events-none" style={{ width: BOX_PX, height: BOX_PX }}>
    <Picture input={input} />
  </div>
));
FormPicture.displayName = 'FormPicture';
