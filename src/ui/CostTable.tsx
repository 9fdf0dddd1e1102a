import type { Cost, CostLine } from '../core/cost/costOf';
import { perPiece } from '../core/cost/costOf';
import type { Minor } from '../core/money/exact';

/** A cost with what stands over it, and how many pieces it is for. */
export interface CostColumn {
  readonly heading: string;
  readonly cost: Cost;
  readonly pieces: number;
}

const keyOf = ({ is, id }: CostLine): string => `${is} ${id ?? ''}`;

/** Costs side by side: every line with its sum, the total, and what one and a dozen come to. */
export const CostTable = (props: {
  readonly columns: readonly CostColumn[];
  readonly words: (line: CostLine) => string;
  readonly show: (minor: Minor) => string;
}) => {
  const { columns, show } = props;
  const rows = new Map(columns.flatMap(c => c.cost.lines.map(l => [keyOf(l), l] as const)));
  const money = (minor: Minor | null | undefined): string =>
    minor === undefined ? '–' : minor === null ? 'no price' : show(minor);
  const cell = 'py-1 pl-4 text-right tabular-nums';
  return (
    <table className="w-full max-w-2xl">
      <thead className="text-[13px] text-chalk">
        <tr>
          <th className="text-left font-normal">for</th>
          {columns.map(c => (
            <th key={c.heading} className="pl-4 text-right font-normal">
              {c.heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...rows].map(([key, line]) => (
          <tr key={key} className="border-b border-rim align-baseline">
            <th scope="row" className="py-1 text-left font-normal">
              {columns
                .flatMap(c => c.cost.lines.filter(l => keyOf(l) === key))
                .map(props.words)
                .filter((words, i, all) => all.indexOf(words) === i)
                .join(' → ') || props.words(line)}
            </th>
            {columns.map(c => (
              <td key={c.heading} className={cell}>
                {money(c.cost.lines.find(l => keyOf(l) === key)?.minor)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t-2 border-ink text-lg font-semibold">
          <th scope="row" className="py-1 text-left">
            Altogether
          </th>
          {columns.map(c => (
            <td key={c.heading} className={cell}>
              {show(c.cost.total)}
            </td>
          ))}
        </tr>
        {(['each', 'dozen'] as const).map(of => (
          <tr key={of}>
            <th scope="row" className="text-left font-normal">
              {of === 'each' ? 'One' : 'A dozen'}
            </th>
            {columns.map(c => (
              <td key={c.heading} className="pl-4 text-right tabular-nums">
                {show(perPiece(c.cost.total, c.pieces)[of])}
              </td>
            ))}
          </tr>
        ))}
      </tfoot>
    </table>
  );
};
