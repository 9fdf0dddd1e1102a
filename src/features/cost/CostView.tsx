import { useOutletContext, Link } from 'react-router';
import { costOf, perPiece, priceFor } from '../../core/cost/costOf';
import { cameMaking, plannedMaking, ratesOf } from '../../session/makings';
import type { PieceContext } from '../../session/pieceContext';
import { useCostWords } from '../../session/useCostWords';
import { useBook } from '../../session/useOpenWork';
import { usePrices } from '../../session/usePrices';
import { useEntries } from '../../session/useRecords';
import { useMoney } from '../../session/useWorkplace';
import { CostTable } from '../../ui/CostTable';
import { Why } from '../../ui/Why';

/** What a piece costs: planned against what it took, one and a dozen, and the price that leaves the wanted margin. */
export const CostView = () => {
  const { piece } = useOutletContext<PieceContext>();
  const log = useEntries(piece.id) ?? [];
  const book = useBook();
  const prices = usePrices();
  const words = useCostWords();
  const { show } = useMoney();
  const { workplace } = book;
  const rates = ratesOf(workplace);
  const planned = plannedMaking(piece, book, prices);
  const came = cameMaking(piece, log, prices);
  const columns = [
    { heading: 'planned', making: planned },
    ...(came ? [{ heading: piece.result.finishedAt === null ? 'so far' : 'came', making: came }] : []),
  ].map(({ heading, making }) => ({
    heading,
    cost: costOf(making.items, making, rates),
    pieces: making.pieces,
  }));
  const last = columns.at(-1);
  const judged = piece.result.finishedAt === null ? columns[0] : last;
  const each = judged ? perPiece(judged.cost.total, judged.pieces).each : 0;
  const price = priceFor(each, workplace);
  const isOpen = columns.some(c => c.cost.open > 0);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-6 py-4">
      <h2 className="text-2xl font-semibold">What it costs</h2>
      <CostTable columns={columns} words={words} show={show} />
      {isOpen && (
        <p className="max-w-prose">
          What has no price is not in the sum. Prices of wool are on the{' '}
          <Link to="/shelf" className="underline">
            shelf
          </Link>
          , of parts under{' '}
          <Link to="/parts" className="underline">
            Parts
          </Link>
          ; an hour of hands and soap under{' '}
          <Link to="/hours" className="underline">
            Hours and money
          </Link>
          .
        </p>
      )}
      <div className="flex items-start gap-2">
        {price === null ? (
          <p>Margin and fee together leave nothing for the cost. Lower one of them.</p>
        ) : (
          <p className="text-xl">
            Price of one for a margin of {workplace.marginBp / 100} %: <strong>{show(price)}</strong>
          </p>
        )}
        <Why of="this price">
          <p>
            Cost of one ÷ (1 − margin − selling fee) = {show(each)} ÷ (1 − {workplace.marginBp / 10_000} −{' '}
            {workplace.feeBp / 10_000}), rounded up. Hands count{' '}
            {rates.hourMinor === null ? 'nothing yet' : `${show(rates.hourMinor)} an hour`}.
          </p>
        </Why>
      </div>
      <p className="max-w-prose text-[13px] text-chalk">
        {came && came.isWeighed === false && 'Its wool was not weighed: it counts as planned. '}
        Planned: wool with its reserve, hands by your own pace. Came: as it was weighed and logged, pauses
        over five minutes left out. What rules and taxes ask for is not counted.
      </p>
    </div>
  );
};
