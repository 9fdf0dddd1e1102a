import { memo } from 'react';
import type { BenchState } from '../../core/log/benchState';
import type { Petal } from '../../core/acts/benchFold';
import { ROLL_DIRECTIONS } from '../../core/acts/vocabulary';
import type { FormPlan } from '../../core/forms/formKind';
import { tableAngle } from '../../drawing/orient';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene } from '../../drawing/scene';

const R = 168;
const HUB = 82;
/** Rolls in one direction that fill a petal; beyond it the rose is drawn to its own largest. */
const FULL = 200;

const petalPath = (length: number, width: number): string => {
  const end = HUB + length;
  return `M${HUB} 0C${HUB + length * 0.3} ${-width} ${end} ${-width} ${end} 0C${end} ${width} ${HUB + length * 0.3} ${width} ${HUB} 0Z`;
};

/**
 * The ends of a direction at which a face's rolls are drawn: its own one of the two. A piece of one face, and a ball, which has none,
 * is rolled there and back, and its petals grow at both.
 */
const endsOf = (face: number, faces: readonly number[]): readonly number[] =>
  faces.length < 2 ? [0, 180] : [face === 1 ? 0 : 180];

const total = (petals: readonly Petal[], directionDeg: number, face: number): number =>
  petals.filter(p => p.directionDeg === directionDeg && p.face === face).reduce((n, p) => n + p.rolls, 0);

export interface RoseProps {
  readonly form: FormPlan;
  readonly state: BenchState;
  readonly faces: readonly number[];
  /** True for a sheet: what is drawn by side is its front and its back. */
  readonly hasBack: boolean;
  /** Present length as a share of the laid one, once measured. */
  readonly now: { readonly along: number; readonly across: number } | null;
  readonly next: { readonly face: number; readonly directionDeg: number } | null;
}

/** Laid, now and wanted in the middle of the rose, to one scale. */
const Middle = ({ form, now }: { readonly form: FormPlan; readonly now: RoseProps['now'] }) => {
  const scene = pieceScene(form, { foldOverMm: 0, ...(now ? { now } : {}) });
  const { minX, minY, maxX, maxY } = scene.box;
  const scale = (2 * (HUB - 8)) / Math.hypot(maxX - minX, maxY - minY);
  return (
    <g transform={`scale(${scale})`}>
      {scene.shapes
        .filter(s => s.role !== 'mouth')
        .map((s, i) => (
          <path
            key={`${s.role}${i}`}
            d={svgPathData(s.points, s.closed, 1)}
            className={`line line-${s.role}`}
          />
        ))}
    </g>
  );
};

/** The piece as it lies, where nothing is rolled in a direction: laid, now and target, to one scale. */
export const Outlines = memo(({ form, now }: Pick<RoseProps, 'form' | 'now'>) => (
  <svg
    viewBox={`${-HUB - 10} ${-HUB - 10} ${2 * HUB + 20} ${2 * HUB + 20}`}
    className="h-full w-full"
    role="img"
    aria-label="The piece as laid, now, and as it should be"
  >
    <Middle form={form} now={now} />
  </svg>
));
Outlines.displayName = 'Outlines';

/**
 * The rolling rose: rolls in each direction round a small plan of the piece. Face 1 grows to one side, face 2 to the
 * other; a single face grows to both; the petal to grow next is marked.
 */
export const Rose = memo(({ form, state, faces, hasBack, next, now }: RoseProps) => {
  const most = Math.max(FULL, ...state.petals.map(p => p.rolls));
  const wording = ROLL_DIRECTIONS.map(
    d => `${d}°: ${faces.map(f => total(state.petals, d, f)).join(' and ')}`,
  ).join('; ');
  return (
    <svg
      viewBox={`${-R - 50} ${-R - 34} ${2 * R + 100} ${2 * R + 68}`}
      className="h-full w-full"
      role="img"
      aria-label={`Rolls by direction, counted from lengthwise, by ${hasBack ? 'front and back' : 'side'}. ${wording}`}
    >
      <circle r={HUB} className="fill-soap stroke-rim" />
      <circle r={R} className="fill-none stroke-rim" strokeDasharray="2 6" />
      <Middle form={form} now={now} />
      {ROLL_DIRECTIONS.map(d =>
        faces.flatMap(face =>
          endsOf(face, faces).map(end => {
            const angle = tableAngle(form.alongOnTable, d) + end;
            const rolls = total(state.petals, d, face);
            const length = ((R - HUB) * rolls) / most;
            const isNext = next !== null && next.directionDeg === d && next.face === face;
            const out = (R + 26) * (isNext || rolls > 0 ? 1 : 0);
            const rad = (angle * Math.PI) / 180;
            return (
              <g key={`${d}/${face}/${end}`}>
                <g transform={`rotate(${angle})`}>
                  <line x1={HUB} x2={R} y1={0} y2={0} className="stroke-rim" strokeWidth={1} />
                  {rolls > 0 && (
                    <path
                      d={petalPath(length, 15)}
                      className={face === 1 ? 'fill-now' : 'fill-now/35 stroke-now'}
                      strokeWidth={2}
                    />
                  )}
                  {isNext && (
                    <path
                      d={petalPath(Math.min(R - HUB, length + 24), 19)}
                      className="fill-none stroke-ink"
                      strokeWidth={3}
                      strokeDasharray="6 5"
                    />
                  )}
                </g>
                {out > 0 && (
                  <text
                    x={out * Math.cos(rad)}
                    y={out * Math.sin(rad) + 7}
                    textAnchor="middle"
                    className={`text-[22px] ${isNext ? 'fill-ink font-bold' : 'fill-chalk'}`}
                  >
                    {rolls}
                  </text>
                )}
              </g>
            );
          }),
        ),
      )}
    </svg>
  );
});
Rose.displayName = 'Rose';
