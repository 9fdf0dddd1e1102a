import { useEffect, useRef, useState } from 'react';
import type { Plan } from '../../core/plan/makePlan';
import type { FeltTruth } from '../../core/rehearsal/rehearse';
import { sharesNow } from '../../core/rehearsal/sharesNow';
import type { Point } from '../../core/outline/polygon';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';

/** How long the felt takes on the screen to what an act made of it, ms. */
const MOVES_MS = 700;

/** Goes from one size to the next as the hands would see it; at once where movement is not wanted. */
const useMoving = (to: { readonly along: number; readonly across: number }) => {
  const [shown, setShown] = useState(to);
  const from = useRef(to);
  const { along, across } = to;
  useEffect(() => {
    const start = from.current;
    const end = { along, across };
    const isStill = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const began = performance.now();
    let frame = 0;
    const draw = (now: number): void => {
      const t = isStill ? 1 : Math.min(1, (now - began) / MOVES_MS);
      const at = {
        along: start.along + t * (end.along - start.along),
        across: start.across + t * (end.across - start.across),
      };
      from.current = at;
      setShown(at);
      if (t < 1) frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [along, across]);
  return shown;
};

/** The felt as it lies there by now, beside where it was laid: what eyes see, and no more. */
export const FeltPicture = (props: {
  readonly plan: Plan;
  readonly truth: FeltTruth;
  readonly colour: string;
  /** Held to the light: thin spots show. */
  readonly spots: readonly Point[];
}) => {
  const { plan, truth, colour, spots } = props;
  const now = useMoving(sharesNow(truth));
  const { shapes, box } = pieceScene(plan.form, { foldOverMm: 0, now });
  const around = 0.04 * Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const skin = Math.min(...truth.skin.values());
  const width = box.maxX - box.minX;
  const origin = pieceScene(plan.form, { foldOverMm: 0 }).box;
  return (
    <svg
      viewBox={`${box.minX - around} ${box.minY - around} ${width + 2 * around} ${box.maxY - box.minY + 2 * around}`}
      className="max-h-64 w-full"
      aria-hidden="true"
    >
      {shapes
        .filter(s => s.role === 'laid')
        .map((s, i) => (
          <path key={i} d={svgPathData(s.points, s.closed, 1)} className="line line-laid" />
        ))}
      {shapes
        .filter(s => s.role === 'now')
        .map((s, i) => (
          <path
            key={i}
            d={svgPathData(s.points, true, 1)}
            style={{ fill: colour, stroke: colour }}
            // Loose wool has no edge yet.
            strokeWidth={skin < 1 ? 0.03 * width : 0.006 * width}
            strokeOpacity={skin < 1 ? 0.35 : 1}
            strokeLinejoin="round"
          />
        ))}
      {spots.map((p, i) => (
        <circle
          key={i}
          cx={(p.x - (origin.minX + origin.maxX) / 2) * now.across + (origin.minX + origin.maxX) / 2}
          cy={(p.y - (origin.minY + origin.maxY) / 2) * now.along + (origin.minY + origin.maxY) / 2}
          r={0.05 * width}
          style={{ fill: 'var(--soap)', stroke: 'var(--wanted)' }}
          strokeWidth={0.008 * width}
        />
      ))}
    </svg>
  );
};
