import { useEffect, useRef, useState } from 'react';
import type { Plan } from '../../core/plan/makePlan';
import type { FeltTruth } from '../../core/rehearsal/rehearse';
import { shapeNow } from '../../core/rehearsal/sharesNow';
import type { litPlaces } from '../../core/rehearsal/senses';
import { MM_PER_INCH } from '../../core/units/constants';
import { showQuantity, type UnitSystem } from '../../core/units/units';
import { svgPathData } from '../../drawing/pathSink';
import { turnFor } from '../../drawing/orient';
import { pieceScene } from '../../drawing/scene';
import { Button } from '../../ui/Button';

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

/** Shows the middle of what is larger than its place. */
const toItsMiddle = (place: HTMLElement | null): void =>
  place?.scrollTo((place.scrollWidth - place.clientWidth) / 2, (place.scrollHeight - place.clientHeight) / 2);

/** What scrolls has to be reached by the keyboard. */
const SCROLLED_BY_KEYS = { tabIndex: 0 } as const;

/** The bar that is drawn beside it, mm. */
const BARS: Readonly<Record<UnitSystem, number>> = { metric: 100, imperial: 4 * MM_PER_INCH };

/** The felt as it lies there by now, beside where it was laid: what eyes see, and no more. */
export const FeltPicture = (props: {
  readonly plan: Plan;
  readonly truth: FeltTruth;
  readonly colour: string;
  /** Held to the light: thin spots show. */
  readonly spots: ReturnType<typeof litPlaces>;
  readonly units: UnitSystem;
}) => {
  const { plan, truth, colour, spots, units } = props;
  const [isLifeSize, setLifeSize] = useState(false);
  const now = useMoving(shapeNow(truth));
  const { shapes, box } = pieceScene(plan.form, { foldOverMm: 0, now });
  const turn = turnFor(plan.form.alongOnTable);
  const around = 0.04 * Math.max(box.maxX - box.minX, box.maxY - box.minY);
  const skin = Math.min(...truth.skin.values());
  const width = box.maxX - box.minX;
  const origin = pieceScene(plan.form, { foldOverMm: 0 }).box;
  const [wideMm, highMm] = [width + 2 * around, box.maxY - box.minY + 2 * around];
  const barMm = BARS[units];
  const svg = (
    <svg
      viewBox={`${box.minX - around} ${box.minY - around} ${wideMm} ${highMm}`}
      className={isLifeSize ? 'block max-w-none' : 'max-h-64 w-full'}
      style={isLifeSize ? { width: `${wideMm}mm`, height: `${highMm}mm` } : {}}
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
      {spots
        .map(p => ({ ...p, at: turn(p.at) }))
        .map((p, i) => (
          <circle
            key={i}
            cx={(p.at.x - (origin.minX + origin.maxX) / 2) * now.across + (origin.minX + origin.maxX) / 2}
            cy={(p.at.y - (origin.minY + origin.maxY) / 2) * now.along + (origin.minY + origin.maxY) / 2}
            r={(p.acrossMm / 2) * Math.min(now.along, now.across)}
            style={{ fill: 'var(--soap)', stroke: 'var(--wanted)' }}
            strokeWidth={0.008 * width}
          />
        ))}
      <path
        d={`M ${box.minX} ${box.maxY + 0.6 * around} h ${barMm}`}
        className="line line-laid"
        strokeWidth={0.25 * around}
      />
    </svg>
  );
  return (
    <div className="flex flex-col gap-1">
      {isLifeSize ? (
        <section
          aria-label="The felt, life size"
          className="max-h-96 overflow-auto"
          ref={toItsMiddle}
          {...SCROLLED_BY_KEYS}
        >
          {svg}
        </section>
      ) : (
        svg
      )}
      <p className="flex items-center gap-3 text-[13px] text-chalk">
        <span className="flex-1">
          The bar is {showQuantity(barMm, 'length', units)}, at the size it was laid.
          {isLifeSize && ' As large as your screen takes a millimetre to be.'}
        </span>
        <Button
          look={isLifeSize ? 'main' : 'plain'}
          aria-pressed={isLifeSize}
          onClick={() => setLifeSize(is => !is)}
        >
          Life size
        </Button>
      </p>
    </div>
  );
};
