import { priorCurve, curveEnds, meanCurve, readCurves } from '../../core/felting/curve';
import type { Plan } from '../../core/plan/makePlan';
import type { Gauge } from '../../core/forms/formKind';
import type { PieceForecast } from '../../core/felting/forecastPiece';
import { formForModel } from '../../core/felting/feltingRecordOf';
import { benchLog } from '../../core/log/logParts';
import { planOf } from '../../core/plan/planOf';
import { showShare } from '../../core/units/units';
import type { PieceContext } from '../../session/pieceContext';
import { useSomePieces } from '../../session/useSomePieces';
import { useSummaries } from '../../session/useSummaries';
import type { ChartLine } from '../../ui/chart/LineChart';
import { later } from '../../ui/later';
import { usePrior } from '../../session/usePrior';

const LineChart = later(
  async () => (await import('../../ui/chart/LineChart')).LineChart,
  <p className="h-72">Drawing …</p>,
);

/** More earlier pieces than these make a thicket. */
const MOST_EARLIER = 4;
/** As far as the curve is drawn beyond what was done, reference rolls. */
const BEYOND = 200;
const SHORTEST = 600;
const percent = (share: number): string => showShare(share);

/** The curve of this piece, against what was believed of it and against earlier pieces of its wool. */
export const Curve = ({
  context,
  plan,
  gauges,
  ahead,
}: {
  readonly context: PieceContext;
  readonly plan: Plan;
  /** Its lines as they are now. */
  readonly gauges: readonly Gauge[];
  /** The way ahead, from now; empty where it is not known or nothing is left. */
  readonly ahead: PieceForecast['ahead'];
}) => {
  const { piece, entries } = context;
  const { belief } = usePrior(context);
  const alike = useSummaries()
    .filter(p => p.id !== piece.id && p.woolId !== null && p.woolId === piece.woolId)
    .slice(0, MOST_EARLIER);
  const earlier = useSomePieces(alike.map(p => p.id));
  const formed = formForModel(plan.form, gauges);
  const own = readCurves(entries, formed);
  const { wanted: level, done } = curveEnds(entries, formed);
  const fan = ahead.map(({ work, share }) => ({ x: done + work, ...share }));
  const far = Math.max(SHORTEST, done + BEYOND, ...fan.map(p => p.x));
  const colours = ['now', 'ink', 'chalk'] as const;
  const lines: readonly ChartLine[] = [
    {
      name: 'expected before measuring',
      points: priorCurve(belief, far).map(p => [p.work, p.share] as const),
      colour: 'laid',
      dash: 'dashed',
    },
    ...earlier.flatMap(({ piece: p, log }): ChartLine[] => {
      const made = planOf(p.plan);
      const points = made.ok ? meanCurve(readCurves(benchLog(log), formForModel(made.value.form))) : [];
      return points.length > 1
        ? [{ name: p.name, points: points.map(c => [c.work, c.share] as const), colour: 'rim', width: 3 }]
        : [];
    }),
    ...own.map((points, g): ChartLine => ({
      name: `${formed.gauges[g]?.id ?? ''}, ${formed.gauges[g]?.name ?? ''}`,
      points: points.map(c => [c.work, c.share] as const),
      colour: colours[g % colours.length] ?? 'now',
      marked: true,
      endsIn: formed.gauges[g]?.id ?? '',
    })),
  ];
  return (
    <figure>
      <LineChart
        lines={
          fan.length > 0
            ? [
                ...lines,
                {
                  name: 'rolls to go',
                  points: fan.map(p => [p.x, p.median] as const),
                  colour: 'now',
                  dash: 'dotted',
                },
              ]
            : lines
        }
        {...(fan.length > 0
          ? {
              band: {
                name: 'four times in five',
                points: fan.map(p => [p.x, p.low80, p.high80] as const),
                colour: 'now' as const,
              },
            }
          : {})}
        level={{ name: 'target', y: level }}
        xName="work, in rolls"
        yName="length, % of laid"
        yText={percent}
        label={`Length against work: ${own.map((c, g) => `${formed.gauges[g]?.id} ${percent(c.at(-1)?.share ?? 1)}`).join(', ')}; target ${percent(level)}`}
      />
      <figcaption className="text-[13px] text-chalk">
        Points: your measurements. Dashed: what we expected before you measured. Dotted across: the target.
        {fan.length > 0 && ' Shaded: the rolls to go, four times in five.'}
        {lines.some(l => l.colour === 'rim') && ' Pale: earlier pieces in this wool.'}
      </figcaption>
    </figure>
  );
};
