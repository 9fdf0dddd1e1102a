import { Link } from 'react-router';
import { costOf, leftOf, perPiece, priceFor } from '../../core/cost/costOf';
import { DOZEN, type LedgerEntry } from '../../core/stock/ledger';
import { type Product, productKind } from '../../records/product';
import { sayDay } from '../../session/clock';
import { productMaking, ratesOf } from '../../session/makings';
import { useChange } from '../../session/useChanges';
import { useDeleteTold } from '../../session/useDeleteTold';
import { useCostWords } from '../../session/useCostWords';
import { useBook } from '../../session/useOpenWork';
import { usePrices } from '../../session/usePrices';
import { useLedger, useStock } from '../../session/useStock';
import { useMoney } from '../../session/useWorkplace';
import { Button } from '../../ui/Button';
import { CostTable } from '../../ui/CostTable';
import { MoneyField } from '../../ui/MoneyField';
import { namedOptions, Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { MOVE_WORDS } from '../../words/stock';
import { Enter } from './Enter';

/** What a line says happened; one that takes another back is never among those that stand. */
const wasWords = ({ move }: LedgerEntry): string => MOVE_WORDS[move === 'undo' ? 'counted' : move].was;

/** So many lines of the ledger are shown. */
const LINES = 40;

const Ledger = ({ product }: { readonly product: Product }) => {
  const { entries, states } = useStock();
  const { takeBack } = useLedger();
  const { show } = useMoney();
  const { orders } = useBook();
  const lines = (states.get(product.id)?.lines ?? []).toReversed();
  if (lines.length === 0) return <p>Nothing is entered yet.</p>;
  return (
    <ol aria-label="Ledger, the last first">
      {lines.slice(0, LINES).map(({ entry, change, onHand }) => {
        const stored = entries.find(e => e.id === entry.id);
        const order = orders.find(o => o.id === entry.orderId);
        return (
          <li key={entry.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rim py-1">
            <span className="w-24 text-chalk tabular-nums">{sayDay(Date.parse(entry.at))}</span>
            <span className="min-w-36 flex-1">
              {entry.count} {wasWords(entry)}
              {order && `, ${order.name}`}
              {stored && stored.note !== '' && `, ${stored.note}`}
              {entry.paid !== null && `, ${show(entry.paid)}`}
              {entry.move === 'counted' && change !== 0 && ` (${change > 0 ? '+' : '−'}${Math.abs(change)})`}
            </span>
            <span className={`w-24 text-right tabular-nums ${onHand < 0 ? 'font-semibold text-wanted' : ''}`}>
              {onHand} on hand
            </span>
            {stored && (
              <Button
                look="bare"
                aria-label={`Take back: ${entry.count} ${wasWords(entry)}`}
                onClick={() => takeBack(stored, `take back ${entry.count} ${product.name}`)}
              >
                Take back
              </Button>
            )}
          </li>
        );
      })}
    </ol>
  );
};

/** What one costs, and what its price leaves. */
const Costs = ({ product }: { readonly product: Product }) => {
  const book = useBook();
  const prices = usePrices();
  const words = useCostWords();
  const { show } = useMoney();
  const { workplace } = book;
  const making = productMaking(product, DOZEN, { book, prices });
  if (!making) return <p>Choose the piece or project it is made like, and Jorrit says what it costs.</p>;
  const cost = costOf(making.items, making, ratesOf(workplace));
  const { each } = perPiece(cost.total, DOZEN);
  const wanted = priceFor(each, workplace);
  const left = product.price === null ? null : leftOf(product.price, each, workplace.feeBp);
  return (
    <>
      <CostTable
        columns={[{ heading: 'a dozen made at once', cost, pieces: DOZEN }]}
        words={words}
        show={show}
      />
      {wanted !== null && (
        <p className="mt-1">
          Price of one for a margin of {workplace.marginBp / 100} %: <strong>{show(wanted)}</strong>
          {left &&
            `. At ${show(product.price ?? 0)} it leaves ${show(left.minor)}, ${(left.bp / 100).toFixed(0)} %`}
          .
        </p>
      )}
    </>
  );
};

/** One product: what it is made like, its prices, its ledger and its cost. */
export const ProductDetail = ({ product }: { readonly product: Product }) => {
  const book = useBook();
  const changeProduct = useChange(productKind);
  const remove = useDeleteTold(productKind);
  const money = useMoney();
  const change = (how: (p: Product) => Product, label: string): void =>
    changeProduct(product.id, how, { label, key: label });
  const model = product.projectId === null ? product.pieceId : null;
  const pieces = book.pieces.filter(p => p.deletedAt === null);
  const projects = book.projects.filter(p => p.deletedAt === null);
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <TextField
          label="Name of the product"
          hideLabel
          className="min-w-48 flex-1 text-xl font-semibold"
          value={product.name}
          required
          onText={name => change(p => ({ ...p, name: name.slice(0, 200) }), 'name')}
        />
        <Button look="bare" onClick={() => remove(product)}>
          Delete
        </Button>
      </div>
      <Enter
        key={product.id}
        product={product}
        orders={book.orders.filter(o => o.doneAt === null && o.lines.some(l => l.productId === product.id))}
      />
      <Ledger product={product} />
      <div className="flex flex-wrap items-end gap-3">
        <Select
          label="Made like the piece"
          value={model ?? ''}
          options={namedOptions(pieces, 'none')}
          onPick={id => change(p => ({ ...p, pieceId: id === '' ? null : id, projectId: null }), 'made like')}
        />
        <Select
          label="or put together like"
          value={product.projectId ?? ''}
          options={namedOptions(projects, 'no project')}
          onPick={id => change(p => ({ ...p, projectId: id === '' ? null : id }), 'made like')}
        />
        {model && (
          <Link to={`/pieces/${model}/plan`} className="min-h-9 py-1 underline underline-offset-2">
            To the piece
          </Link>
        )}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <MoneyField
          label="Price of one"
          minor={product.price}
          places={money.places}
          code={money.code}
          onMinor={price => change(p => ({ ...p, price }), 'price')}
        />
        <MoneyField
          label="Price of a dozen"
          minor={product.dozenPrice}
          places={money.places}
          code={money.code}
          onMinor={dozenPrice => change(p => ({ ...p, dozenPrice }), 'price of a dozen')}
        />
      </div>
      <section aria-labelledby="costs">
        <h2 id="costs" className="border-b border-ink text-lg font-semibold">
          What it costs
        </h2>
        <Costs product={product} />
      </section>
    </div>
  );
};
