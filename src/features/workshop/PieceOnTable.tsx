import { Link } from 'react-router';
import { benchState } from '../../core/log/benchState';
import { meanProgress, nowShare } from '../../core/forecast/progressNow';
import { type Stage, stageOf } from '../../core/log/stageOf';
import { progressForecast } from '../../core/forecast/progressForecast';
import type { Plan } from '../../core/plan/makePlan';
import { dryShare, outcome } from '../../core/plan/outcome';
import { homeUnit, showFigure, type UnitSystem } from '../../core/units/units';
import { svgPathData } from '../../drawing/pathSink';
import { pieceScene, type Scene } from '../../drawing/scene';
import type { Entry } from '../../records/entry';
import type { Piece } from '../../records/piece';
import type { Wool } from '../../records/wool';
import { planOf } from '../../core/plan/planOf';

/** A piece with what is needed to lay it on the workshop's table. */
export interface PiecePlacement {
  readonly piece: Piece;
  readonly plan: Plan | null;
  readonly scene: Scene | null;
  readonly context: Stage;
  readonly progress: number | null;
  readonly wool: Wool | null;
}

/** Works out how a piece lies on the table now. Never throws: what cannot be drawn is shown as to be mended. */
export const placeOnTable = (piece: Piece, log: readonly Entry[], wool: Wool | null): PiecePlacement => {
  try {
    return lay(piece, log, wool);
  } catch {
    const context = stageOf(log, piece.result.finishedAt);
    return { piece, plan: null, scene: null, context, progress: null, wool };
  }
};

const lay = (piece: Piece, log: readonly Entry[], wool: Wool | null): PiecePlacement => {
  const made = planOf(piece.plan);
  const context = stageOf(log, piece.result.finishedAt);
  if (!made.ok) return { piece, plan: null, scene: null, context, progress: null, wool };
  const { form } = made.value;
  const forecast = progressForecast(form.gauges, benchState(log));
  const dry = context === 'finished' ? outcome(form, piece.result, null) : null;
  const now = dry ? dryShare(dry) : context === 'planned' ? null : nowShare(forecast);
  return {
    piece,
    plan: made.value,
    scene: pieceScene(form, { foldOverMm: 0, ...(now ? { now } : {}) }),
    context,
    progress: context === 'bench' ? meanProgress(forecast) : null,
    wool,
  };
};

const STAGE_PATH: Readonly<Record<Stage, string>> = {
  planned: 'plan',
  bench: 'bench',
  drying: 'bench',
  finished: 'finish',
};

const stageWords = ({ context, progress }: PiecePlacement): string => {
  if (context === 'planned') return 'planned';
  if (context === 'finished') return 'finished';
  if (context === 'drying') return 'drying';
  return progress === null
    ? 'on the bench, not yet measured'
    : `on the bench, ${Math.round(100 * progress)} % of the way`;
};

/** Its size: as it came out when it is finished, else as it is wanted. */
const sizeWords = (plan: Plan, { context, piece }: PiecePlacement, units: UnitSystem): string =>
  plan.form.gauges
    .slice(0, 2)
    .map(g => (context === 'finished' ? piece.result.readings[g.id] : null) ?? g.wantedMm)
    .map(mm => showFigure(mm, 'length', { units }))
    .join(' × ') + ` ${homeUnit('length', units)}`;

const AROUND_PX = 5;

/** A finished piece is what it came out as, beside what was wanted; a planned one has no wool on the table yet. */
const shownRoles = (context: Stage): readonly string[] =>
  context === 'finished'
    ? ['now', 'wanted']
    : context === 'planned'
      ? ['laid', 'wanted']
      : ['laid', 'now', 'wanted'];

/** One piece lying on the table, to the same scale as all the others, and a way to it. */
export const PieceOnTable = ({
  laid,
  pxPerMm,
  units,
}: {
  readonly laid: PiecePlacement;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
}) => {
  const { piece, plan, scene, context, wool } = laid;
  const box = scene?.box ?? { minX: 0, minY: 0, maxX: 100, maxY: 100 };
  const width = (box.maxX - box.minX) * pxPerMm + 2 * AROUND_PX;
  const height = (box.maxY - box.minY) * pxPerMm + 2 * AROUND_PX;
  const roles = shownRoles(context);
  const fill = context === 'planned' ? 'none' : (wool?.colour ?? 'none');
  const measured = scene?.shapes.some(s => s.role === 'now') ?? false;
  const felt = measured ? 'now' : context === 'finished' ? 'wanted' : 'laid';
  return (
    <Link
      to={`/pieces/${piece.id}/${STAGE_PATH[context]}`}
      className="group flex max-w-72 flex-col items-start gap-1.5 rounded-bench p-1"
    >
      <svg width={width} height={height} aria-hidden="true">
        <g
          transform={`translate(${AROUND_PX - box.minX * pxPerMm} ${AROUND_PX - box.minY * pxPerMm}) scale(${pxPerMm})`}
        >
          {scene?.shapes
            .filter(s => roles.includes(s.role))
            .map((s, i) => (
              <g key={`${s.role}${i}`}>
                {s.role === felt && (
                  <path d={svgPathData(s.points, true, 1)} fill={fill} fillOpacity={0.85} />
                )}
                <path d={svgPathData(s.points, s.closed, 1)} className={`line line-${s.role}`} />
              </g>
            ))}
        </g>
      </svg>
      <span className="border-t-2 border-ink pt-1 leading-tight group-hover:underline">
        <span className="block text-lg font-semibold">{piece.name}</span>
        <span className="block">{stageWords(laid)}</span>
        <span className="block text-[13px] text-chalk">
          {plan ? sizeWords(plan, laid, units) : 'plan needs fixing'}
          {wool && ` · ${wool.name}`}
        </span>
      </span>
    </Link>
  );
};
