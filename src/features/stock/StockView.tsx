import { Link, useParams } from 'react-router';
import { stockOf } from '../../core/stock/ledger';
import { freeStock } from '../../core/stock/promised';
import { download } from '../../files/download';
import { stockCsv } from '../../files/stockCsv';
import { newProduct, productKind } from '../../records/product';
import { localDay } from '../../session/clock';
import { openLines } from '../../session/openWork';
import { unstocked } from '../../session/unstocked';
import { useAddAndOpen } from '../../session/useAddAndOpen';
import { useBook } from '../../session/useOpenWork';
import { useLedger, useStock } from '../../session/useStock';
import { useMoney } from '../../session/useWorkplace';
import { useWorkshop } from '../../session/workshop';
import { Button } from '../../ui/Button';
import { useTitle } from '../../ui/useTitle';
import { ProductDetail } from './ProductDetail';

/** Finished pieces of a product that are in no ledger yet. */
const Unstocked = () => {
  const found = unstocked(useBook());
  const { append } = useLedger();
  if (found.length === 0) return null;
  return (
    <ul aria-label="Finished, not in stock yet" className="max-w-3xl border-l-4 border-now pl-3">
      {found.map(({ piece, product }) => (
        <li key={piece.id} className="flex flex-wrap items-center gap-3">
          <span>
            {piece.name} is finished: {piece.plan.pieces} {piece.plan.pieces === 1 ? 'piece' : 'pieces'}.
          </span>
          <Button
            onClick={() =>
              void append(
                [{ productId: product.id, move: 'made', count: piece.plan.pieces, pieceId: piece.id }],
                `into stock: ${piece.name}`,
              )
            }
          >
            Put into stock
          </Button>
        </li>
      ))}
    </ul>
  );
};

/** What is on hand of everything that is sold, what is promised of it, and what is free. */
export const StockView = () => {
  useTitle('Stock');
  const { productId } = useParams();
  const book = useBook();
  const { entries, states } = useStock();
  const addAndOpen = useAddAndOpen(productKind, id => `/stock/${id}`);
  const money = useMoney();
  const { chance, nowIso } = useWorkshop();
  const products = book.products.toSorted((a, b) => a.name.localeCompare(b.name));
  const promised = openLines(book.orders, states);
  const chosen = products.find(p => p.id === productId);
  const begin = (): void => {
    const product = newProduct({ id: chance.newId(), name: 'New product', now: nowIso() });
    addAndOpen(product);
  };
  const save = (): void => {
    const rows = products
      .flatMap(product =>
        (states.get(product.id)?.lines ?? []).map(line => ({
          line,
          product: product.name,
          order: book.orders.find(o => o.id === line.entry.orderId)?.name ?? '',
          note: entries.find(e => e.id === line.entry.id)?.note ?? '',
        })),
      )
      .toSorted((a, b) => (a.line.entry.at < b.line.entry.at ? -1 : 1));
    download(`jorrit-stock-${localDay(nowIso())}.csv`, 'text/csv', stockCsv(rows, money));
  };
  const taken = [...states.values()].reduce((sum, s) => sum + s.paid, 0);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto px-6 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="text-3xl font-semibold">Stock</h1>
        <Button look="main" onClick={begin}>
          New product
        </Button>
        {entries.length > 0 && (
          <Button className="ml-auto" onClick={save}>
            Save as CSV
          </Button>
        )}
      </div>
      <Unstocked />
      {products.length === 0 ? (
        <p className="max-w-prose text-lg">
          Nothing is made for sale yet. A product is made like one of your pieces or projects; its ledger says
          what was made, sold, given and spoilt, and what is left.
        </p>
      ) : (
        <div className="grid gap-x-12 gap-y-6 lg:grid-cols-2">
          <div>
            <table className="w-full">
              <thead className="text-[13px] text-chalk">
                <tr>
                  <th className="text-left font-normal">product</th>
                  <th className="pl-3 text-right font-normal">on hand</th>
                  <th className="pl-3 text-right font-normal">promised</th>
                  <th className="pl-3 text-right font-normal">free</th>
                  <th className="pl-3 text-right font-normal">sold for</th>
                </tr>
              </thead>
              <tbody>
                {products.map(product => {
                  const state = states.get(product.id) ?? stockOf([]);
                  const {
                    onHand,
                    promised: wanted,
                    free,
                  } = freeStock(
                    state.onHand,
                    promised.filter(l => l.productId === product.id),
                  );
                  const figure = 'py-1 pl-3 text-right text-lg tabular-nums';
                  return (
                    <tr
                      key={product.id}
                      className={`border-b border-rim ${product.id === productId ? 'bg-soap' : ''}`}
                    >
                      <th scope="row" className="py-1 text-left">
                        <Link
                          to={`/stock/${product.id}`}
                          aria-current={product.id === productId ? 'true' : undefined}
                          className="font-semibold hover:underline"
                        >
                          {product.name}
                        </Link>
                      </th>
                      <td className={`${figure} ${onHand < 0 ? 'font-semibold text-wanted' : ''}`}>
                        {onHand}
                      </td>
                      <td className={figure}>{wanted}</td>
                      <td className={`${figure} ${free < 0 ? 'font-semibold text-wanted' : 'font-semibold'}`}>
                        {free < 0 ? `${-free} short` : free}
                      </td>
                      <td className={figure}>{state.paid > 0 ? money.show(state.paid) : '–'}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
            {taken > 0 && <p className="mt-2 text-right">Sold for {money.show(taken)} altogether.</p>}
          </div>
          {chosen ? (
            <ProductDetail key={chosen.id} product={chosen} />
          ) : (
            <p className="text-chalk">Choose a product to enter what was made or sold.</p>
          )}
        </div>
      )}
    </div>
  );
};
