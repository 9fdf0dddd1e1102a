import { Link } from 'react-router';
import { meanCurve, readCurves } from '../../core/felting/curve';
import { formForModel } from '../../core/felting/feltingRecordOf';
import { outcome } from '../../core/plan/outcome';
import { planOf } from '../../core/plan/planOf';
import { showQuantity, showShare, type UnitSystem } from '../../core/units/units';
import type { Piece } from '../../records/piece';
import { useLogs } from '../../session/useLogs';
import { usePieces } from '../../session/useRecords';
import { Button } from '../../ui/Button';
import type { ChartLine } from '../../ui/chart/LineChart';
import { later } from '../../ui/later';
import { linesOf, offBy } from '../../words/resultLines';

const LineChart = later(
  async () => (await import('../../ui/chart/LineChart')).LineChart,
  <p className="h-72">Drawing …</p>,
);
const COLOURS = ['now', 'laid', 'wanted'] as const;
const DASHES = ['solid', 'dashed', 'dotted'] as const;

/** Every line of plan against result of one piece, by its name. */
const linesOfPiece = (piece: Piece, units: UnitSystem) => {
  const plan = planOf(piece.plan);
  if (!plan.ok) return new Map<string, string>();
  const laidG = plan.value.laidGramsEach;
  const came = outcome(plan.value.form, piece.result, laidG);
  return new Map(
    linesOf(plan.value, came, { result: piece.result, units, laidG }).flatMap(l =>
      l.came === null
        ? []
        : [[l.name, `${showQuantity(l.came, l.dimension, units)} ${offBy(l) && `(${offBy(l)})`}`] as const],
    ),
  );
};

/** Two or three pieces side by side: how they came out against their plans, their curves, and what was noted. */
export const Compared = (props: {
  readonly ids: readonly string[];
  readonly units: UnitSystem;
  readonly onLeave: () => void;
}) => {
  const { units } = props;
  const all = usePieces() ?? [];
  const pieces = props.ids.flatMap(id => all.filter(p => p.id === id)).slice(0, COLOURS.length);
  const logs = useLogs(pieces.map(p => p.id));
  const lines = pieces.map(p => linesOfPiece(p, units));
  const names = [...new Set(lines.flatMap(l => [...l.keys()]))];
  const curves = pieces.flatMap((p, i): ChartLine[] => {
    const plan = planOf(p.plan);
    const points = plan.ok ? meanCurve(readCurves(logs.get(p.id) ?? [], formForModel(plan.value.form))) : [];
    return points.length > 1
      ? [
          {
            name: p.name,
            points: points.map(c => [c.work, c.share] as const),
            colour: COLOURS[i] ?? 'ink',
            dash: DASHES[i] ?? 'solid',
            marked: true,
            endsIn: String(i + 1),
          },
        ]
      : [];
  });
  return (
    <section aria-label="Side by side" className="border-b-2 border-ink pb-3">
      <div className="overflow-x-auto">
        <table className="w-full min-w-[36rem] text-left">
          <caption className="sr-only">How they came out, and how far off the plan</caption>
          <thead>
            <tr className="border-b border-ink align-bottom">
              <th scope="col" className="w-52 font-normal text-chalk">
                came out, off the plan by
              </th>
              {pieces.map((p, i) => (
                <th key={p.id} scope="col" className="pr-4 font-semibold">
                  <Link to={`/pieces/${p.id}/diary`} className="hover:underline">
                    {i + 1} · {p.name}
                  </Link>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {names.map(name => (
              <tr key={name} className="border-b border-rim">
                <th scope="row" className="font-normal">
                  {name}
                </th>
                {lines.map((l, i) => (
                  <td key={i} className="pr-4 tabular-nums">
                    {l.get(name) ?? '–'}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="align-top">
              <th scope="row" className="font-normal">
                to change next time
              </th>
              {pieces.map(p => (
                <td key={p.id} className="pr-4 whitespace-pre-line">
                  {p.notes || '–'}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      {curves.length > 0 && (
        <LineChart
          lines={curves}
          xName="work, in rolls"
          yName="length, % of laid"
          yText={showShare}
          label={`Length against work of ${curves.map(c => c.name).join(', ')}`}
        />
      )}
      <Button onClick={props.onLeave}>Leave the comparison</Button>
    </section>
  );
};
